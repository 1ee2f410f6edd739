import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import { useState } from 'react';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';
import type { Step } from './step';

/** Call and response: the call that is due stands large, and one tap brings the next. */
export function CallsStep({ step, actions }: { readonly step: Step<'calls'>; readonly actions: BriefingActions }) {
  const [answers, setAnswers] = useState<readonly boolean[]>([]);
  const due = step.parts[answers.length];
  const answer = (came: boolean) => {
    const next = [...answers, came];
    setAnswers(next);
    if (next.length < step.parts.length) return;
    void actions.finish(
      step,
      step.parts.filter((_, i) => !next[i]),
    );
  };
  if (!due) return null;
  return (
    <>
      <p className={styles.call} role="status">
        <span className="muted">
          {t('callCountOfCount2', { count: answers.length + 1, count2: step.parts.length })}
        </span>{' '}
        <b>{due.name}</b>
      </p>
      <div className={styles.actions}>
        <Button variant="outlined" onClick={() => answer(true)}>
          {t('correct')}
        </Button>
        <Button variant="outlined" onClick={() => answer(false)}>
          {t('wrongOrMissing')}
        </Button>
        {answers.length > 0 && (
          <Button variant="text" onClick={() => setAnswers(answers.slice(0, -1))}>
            {t('previousCall')}
          </Button>
        )}
      </div>
    </>
  );
}
