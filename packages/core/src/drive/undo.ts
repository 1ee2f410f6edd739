import type { DriveEvent } from './event';
import { compareEvents } from './event-order';
import { effectiveStrikes } from './strikes';

const cannotBeUndone = new Set<DriveEvent['type']>(['started', 'moved-off', 'run', 'ended']);

/**
 * The event that "undo" takes back next: the latest one of this device that still stands, whatever it was, save
 * the start, the moving off, the reading of sensors and the end of the drive, and what undo itself wrote.
 */
export function undoTarget(events: readonly DriveEvent[], device: string): DriveEvent | undefined {
  const ordered = [...events].sort(compareEvents);
  const strikes = effectiveStrikes(ordered);
  return ordered
    .filter((event) => event.device === device && !strikes.has(event.id) && !cannotBeUndone.has(event.type))
    .filter((event) => !(event.type === 'strike' && event.undo))
    .at(-1);
}
