import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import type { CardProps } from './card-props';
import styles from './drill.module.css';

interface Props {
  /** The card has been answered. */
  readonly shown: boolean;
  readonly right: boolean;
  readonly onDone: CardProps['onDone'];
}

/** Leads to the next card once this one is answered, at the place of the thumb. */
export function GoOn({ shown, right, onDone }: Props) {
  if (!shown) return null;
  return (
    <div className={styles.thumb}>
      <Button
        variant="contained"
        size="large"
        autoFocus
        onClick={() => onDone({ rating: right ? 'good' : 'again', missed: [] })}
      >
        {t('continue')}
      </Button>
    </div>
  );
}
