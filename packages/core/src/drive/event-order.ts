import type { DriveEvent } from './event';

/** The order in which a log is read: by moment, then device, then the device's own count, then id. */
export function compareEvents(a: DriveEvent, b: DriveEvent): number {
  return a.atMs - b.atMs || compareText(a.device, b.device) || a.seq - b.seq || compareText(a.id, b.id);
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
