import { t } from '@jasperwren/words/refusals';
import { conflict } from './refusal';

/**
 * Says no where somebody has changed a thing since it was read.
 * @param current what stands now: the page shows both, and nothing is lost
 * @throws conflict
 */
export function refuseStale<T>(known: number, now: number, what: string, current: T): void {
  if (known === now) return;
  throw conflict(t('changedMeanwhile', { what }), {
    code: 'stale',
    current,
  });
}
