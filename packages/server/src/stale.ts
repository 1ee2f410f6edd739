import { conflict } from './refusal';

/**
 * Says no where somebody has changed a thing since it was read.
 * @param current what stands now: the page shows both, and nothing is lost
 * @throws conflict
 */
export function refuseStale<T>(known: number, now: number, what: string, current: T): void {
  if (known === now) return;
  throw conflict(`Somebody else has changed ${what} meanwhile. Nothing was saved yet; see both and choose.`, {
    code: 'stale',
    current,
  });
}
