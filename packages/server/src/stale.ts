import { conflict } from './refusal';

/**
 * Says no where somebody has changed a thing since it was read.
 * @param sentence what has changed, for the person who was about to save
 * @param current what stands now: the page shows both, and nothing is lost
 * @throws conflict
 */
export function refuseStale<T>(known: number, now: number, sentence: string, current: T): void {
  if (known === now) return;
  throw conflict(sentence, { code: 'stale', current });
}
