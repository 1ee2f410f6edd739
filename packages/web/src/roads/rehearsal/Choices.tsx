import { t } from '@jasperwren/words/rehearsal';
import Button from '@mui/material/Button';
import styles from './rehearsal.module.css';

interface Choice {
  readonly key: string | number;
  readonly words: string;
  readonly right: boolean;
}

interface Props {
  readonly question: string;
  readonly choices: readonly Choice[];
  /** With what is said of the answer. */
  readonly onAnswer: (right: boolean, told: string) => void;
}

/** A question with its answers as buttons. */
export function Choices({ question, choices, onAnswer }: Props) {
  const answer = choices.find(({ right }) => right)?.words ?? '';
  return (
    <>
      <p className={styles.question}>{question}</p>
      {choices.map(({ key, words, right }) => (
        <Button
          key={key}
          variant="outlined"
          onClick={() => onAnswer(right, right ? t('answeredRight') : t('answeredWrong', { answer }))}
        >
          {words}
        </Button>
      ))}
    </>
  );
}
