import { t } from '@jasperwren/words/yard';
import type { AttemptSheet } from '@jasperwren/core/yard/course-sheet';
import { useEffect } from 'react';
import { useAppSelector } from '../../base/hooks';
import { clockTime } from '../../ui/format';
import { giveReceipt } from '../desk/receipts';
import styles from './yard.module.css';

/** So long before the limit the clock warns, in seconds (house default). */
const warnS = 15;

/** The time of the attempt, large enough to be read from the side window, with a warning before it is up. */
export function ExerciseClock({ attempt, running }: { readonly attempt: AttemptSheet; readonly running: boolean }) {
  const { timeMs, allowedS } = attempt;
  const leftMs = allowedS === undefined ? undefined : allowedS * 1000 - timeMs;
  const state = leftMs === undefined ? 'free' : leftMs < 0 ? 'over' : leftMs <= warnS * 1000 ? 'near' : 'free';
  const sounds = useAppSelector(({ settings }) => settings.receipts);
  useEffect(() => {
    if (state === 'near' && running && sounds) giveReceipt('nearly-over');
  }, [state, running, sounds]);
  return (
    <div className={styles.clock} data-state={state}>
      <div role="timer" aria-label={t('timer')}>
        <b>{clockTime(timeMs)}</b>
        {allowedS !== undefined && (
          <span className="muted">{t('ofAllowed', { time: '', allowed: clockTime(allowedS * 1000) })}</span>
        )}
        <strong role="status">
          {state === 'over'
            ? t('overTime')
            : state === 'near'
              ? t('secondsLeft', { count: Math.ceil(leftMs! / 1000) })
              : ''}
        </strong>
      </div>
      {allowedS !== undefined && (
        <span className={styles.bar} aria-hidden="true">
          <i style={{ width: `${Math.min(100, timeMs / (10 * allowedS))}%` }} />
          <em style={{ left: `${Math.max(0, 100 - (100 * warnS) / allowedS)}%` }} />
        </span>
      )}
    </div>
  );
}
