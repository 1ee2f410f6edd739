import type { DriveEvent } from '@jasperwren/core/drive/event';
import { compareEvents } from '@jasperwren/core/drive/event-order';

/** A drive's own clock: it runs on the page's monotonic clock, so a changed wall clock does not touch durations. */
interface DriveClock {
  readonly atMs: number;
  readonly readAtMs: number;
  /** Stands still until the car moves. */
  readonly waiting: boolean;
  /**
   * It ran here all the time; or after a reload it was read off the wall clock since the last event, of this device
   * (somebody may have changed it) or of another (then it is but a guess); or others told it.
   */
  readonly by: 'itself' | 'own-wall' | 'guess' | 'others';
}

const clocks = new Map<string, DriveClock>();

function set(driveId: string, clock: Pick<DriveClock, 'atMs'> & Partial<DriveClock>): void {
  clocks.set(driveId, { waiting: false, by: 'itself', ...clock, readAtMs: performance.now() });
}

/** Makes the clock of a new drive, which waits at 0 through the briefing where there is one. */
export function makeClock(driveId: string, waiting: boolean): void {
  set(driveId, { atMs: 0, waiting });
}

/** Starts the clock of a drive: the car moves, or has moved for so many milliseconds. */
export function startClock(driveId: string, atMs = 0): void {
  set(driveId, { atMs });
}

/**
 * Takes up the clock of a drive after a reload: the page's clock began anew, so the time away is read off the
 * wall clock, and never counts as less than nothing.
 * @param device this one: the wall clock of another may be hours off
 */
export function resumeClock(driveId: string, events: readonly DriveEvent[], device: string): void {
  if (clocks.has(driveId)) return;
  const ordered = [...events].sort(compareEvents);
  if (isWaiting(ordered)) {
    makeClock(driveId, true);
    return;
  }
  const last = ordered.at(-1);
  const awayMs = last ? Math.max(0, Date.now() - Date.parse(last.wall)) : 0;
  set(driveId, { atMs: (last?.atMs ?? 0) + awayMs, by: last?.device === device ? 'own-wall' : 'guess' });
}

function isWaiting(events: readonly DriveEvent[]): boolean {
  return (
    events.some((event) => event.type === 'started' && event.briefing) &&
    !events.some((event) => event.type === 'moved-off')
  );
}

/**
 * Takes the clock of another device, as it was told or as the server reckons it, where this one waits or had to
 * guess. What is told is late by the time it was under way, so of what others tell the latest is nearest. A clock that
 * was running here all the time is not touched, and none runs backwards.
 */
export function adoptClock(driveId: string, atMs: number): void {
  const clock = clocks.get(driveId);
  if (!clock || (clock.by === 'itself' && !clock.waiting)) return;
  if (clock.waiting) startClock(driveId, Math.max(0, atMs));
  else set(driveId, { atMs: Math.max(clock.by === 'others' ? exactMs(clock) : 0, atMs), by: 'others' });
}

/** Whether the clock has to be asked for and is told nobody: here it could only be guessed. */
export const isGuessed = (driveId: string): boolean => clocks.get(driveId)?.by === 'guess';

/** Not rounded: what is told again and again would drift by half a millisecond each time. */
const exactMs = ({ waiting, atMs, readAtMs }: DriveClock): number =>
  waiting ? atMs : atMs + performance.now() - readAtMs;

/** Milliseconds since the drive started, a whole number. */
export function driveNowMs(driveId: string): number {
  const clock = clocks.get(driveId);
  return clock ? Math.round(exactMs(clock)) : 0;
}
