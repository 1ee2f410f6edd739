import type { DriveEvent } from '@jasperwren/core/drive/event';

/** A drive's own clock: it runs on the page's monotonic clock, so a changed wall clock does not touch durations. */
interface DriveClock {
  readonly atMs: number;
  readonly readAtMs: number;
}

const clocks = new Map<string, DriveClock>();

/** Starts the clock of a new drive at 0. */
export function startClock(driveId: string): void {
  clocks.set(driveId, { atMs: 0, readAtMs: performance.now() });
}

/**
 * Takes up the clock of a drive after a reload: the page's clock began anew, so the time away is read off the
 * wall clock, and never counts as less than nothing.
 */
export function resumeClock(driveId: string, events: readonly DriveEvent[]): void {
  if (clocks.has(driveId)) return;
  const last = events.reduce<DriveEvent | undefined>(
    (latest, event) => (!latest || event.atMs > latest.atMs ? event : latest),
    undefined,
  );
  const awayMs = last ? Math.max(0, Date.now() - Date.parse(last.wall)) : 0;
  clocks.set(driveId, { atMs: (last?.atMs ?? 0) + awayMs, readAtMs: performance.now() });
}

/** Milliseconds since the drive started, a whole number. */
export function driveNowMs(driveId: string): number {
  const clock = clocks.get(driveId);
  return clock ? Math.round(clock.atMs + performance.now() - clock.readAtMs) : 0;
}
