import { t } from '@jasperwren/words/drives';
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
  const { name, tries } = asked.rule;
  const count = tries.value - asked.nextTry;
  return (
    <span className={styles.answers}>
      <Button variant="outlined" aria-label={t('nameRight', { name })} onClick={() => onAnswer(true)}>
        {t('right')}
      </Button>
      <Button
        variant="outlined"
        aria-label={t('nameAnswer', { name, answer: isLastTry(asked) ? t('wrong2') : t('wrongMore', { count }) })}
        onClick={() => onAnswer(false)}
      >
        {isLastTry(asked) ? t('wrong') : t('wrongMoreTries', { count })}
      </Button>
    </span>
  );
}
