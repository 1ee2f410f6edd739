import { t } from '@jasperwren/words/yard';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { Exercise, ExpectedLook } from '@jasperwren/core/marking/exercise';
import type { DeskActions } from '../desk/desk-actions';
import styles from './yard.module.css';

interface Props {
  readonly exercise: Exercise;
  readonly drive: Drive;
  /** The start of the attempt, on the drive's clock in milliseconds. */
  readonly sinceMs: number;
  readonly actions: DeskActions;
}

/** The looks that the exercise asks for, each seen or missed at one touch. */
export function Looks({ exercise, drive, sinceMs, actions }: Props) {
  const { looks = [] } = exercise;
  if (looks.length === 0) return null;
  return (
    <section aria-label={t('looks')}>
      <h3>{t('looks')}</h3>
      <ul>
        {looks.map((look) => {
          const state = lookState(drive, look, sinceMs);
          return (
            <li key={look.code} className={styles.look} data-look={state}>
              <span>{look.name}</span>
              <button
                type="button"
                aria-label={t('seenLook', { look: look.name })}
                aria-pressed={state === 'seen'}
                disabled={!actions.running}
                onClick={() => actions.seeLook(look.code, look.name)}
              >
                {t('seen')}
              </button>
              <button
                type="button"
                aria-label={t('missedLook', { look: look.name })}
                aria-pressed={state === 'missed'}
                disabled={!actions.running || state === 'missed'}
                onClick={() => actions.missLook(look.code, look.item)}
              >
                {t('missed')}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What was last said of a look in this attempt. */
function lookState(drive: Drive, { code }: ExpectedLook, sinceMs: number): 'seen' | 'missed' | 'to-come' {
  const missed = drive.marks.some(({ look, atMs, struck }) => look === code && atMs >= sinceMs && !struck);
  if (missed) return 'missed';
  return drive.looks.some(({ look, atMs }) => look === code && atMs >= sinceMs) ? 'seen' : 'to-come';
}
