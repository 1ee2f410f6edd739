import Button from '@mui/material/Button';
import { isLastTry, type Asked } from '@jasperwren/core/marking/asked';
import styles from './answers.module.css';

interface Props {
  readonly asked: Asked;
  readonly onAnswer: (right: boolean) => void;
}

/** Right or wrong, in one touch. */
export function AnswerButtons({ asked, onAnswer }: Props) {
  if (asked.left === 0) return null;
  const { name } = asked.rule;
  return (
    <span className={styles.answers}>
      <Button variant="outlined" aria-label={`${name}: right`} onClick={() => onAnswer(true)}>
        Right
      </Button>
      <Button
        variant="outlined"
        aria-label={`${name}: ${isLastTry(asked) ? 'wrong' : 'wrong, try again'}`}
        onClick={() => onAnswer(false)}
      >
        {isLastTry(asked) ? 'Wrong' : 'Wrong, try again'}
      </Button>
    </span>
  );
}
