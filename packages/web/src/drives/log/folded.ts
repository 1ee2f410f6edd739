import type { Drive } from '@jasperwren/core/drive/drive';
import { standingMarks } from '@jasperwren/core/drive/drive';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { RootState } from '../../base/store';

const none: readonly DriveEvent[] = [];
const drives = new WeakMap<readonly DriveEvent[], Drive>();
const counts = new WeakMap<Drive, ReadonlyMap<string, number>>();

/** The events of an open drive; none where it is not open. */
export const eventsOf = (state: RootState, driveId: string): readonly DriveEvent[] =>
  state.driveLogs.open[driveId]?.events ?? none;

/** The drive that a log tells of, folded once for each log however often it is asked for. */
export function folded(events: readonly DriveEvent[]): Drive {
  const drive = drives.get(events) ?? foldDrive(events);
  drives.set(events, drive);
  return drive;
}

/** How many standing marks each item has in each grade, by `item grade`. */
export function cellCounts(drive: Drive): ReadonlyMap<string, number> {
  const known = counts.get(drive);
  if (known) return known;
  const made = new Map<string, number>();
  for (const { item, grade } of standingMarks(drive)) {
    const key = `${item} ${grade}`;
    made.set(key, (made.get(key) ?? 0) + 1);
  }
  counts.set(drive, made);
  return made;
}
