import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { heardIn, type Heard } from '@jasperwren/core/safety-questions/match';
import { useState } from 'react';
import type { CardProps } from './card-props';
import styles from './drill.module.css';
import { byPoints } from './card-result';
import { PointTicks } from './PointTicks';

/** Type the key points; they are found whatever the wording, and what was missed is named. */
export function TypeCard({ card, source, onDone }: CardProps) {
  const [words, setWords] = useState('');
  const [found, setFound] = useState<Heard>();
  const [heard, setHeard] = useState<readonly string[]>([]);
  if (found)
    return (
      <>
        <p role="status">{found.right ? t('allRequiredPointsFound') : t('aRequiredPointWasNotFound')}</p>
        <PointTicks question={card.question} vehicle={source.vehicle} heard={heard} onHeard={setHeard} />
        <p className={styles.said}>{words}</p>
        <div className={styles.thumb}>
          <Button variant="contained" size="large" onClick={() => onDone(byPoints(card, heard))} autoFocus>
            {t('continue')}
          </Button>
        </div>
      </>
    );
  return (
    <form
      className={styles.typed}
      onSubmit={(event) => {
        event.preventDefault();
        const result = heardIn(card.question, words);
        setFound(result);
        setHeard(result.heard);
      }}
    >
      <TextField
        label={t('yourAnswerInAFewWords')}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            event.currentTarget.closest('form')?.requestSubmit();
          }
        }}
        slotProps={{ htmlInput: { maxLength: 600 } }}
        multiline
        minRows={3}
        fullWidth
        autoFocus
      />
      <div className={styles.thumb}>
        <Button variant="contained" size="large" type="submit">
          {t('checkAnswer')}
        </Button>
      </div>
    </form>
  );
}
