import { standingMarks, type Drive, type Mark } from './drive';
import type { DriveEvent } from './event';
import { compareEvents } from './event-order';

/** The mark that was made or graded anew last, among those that stand: a pin's is later than its moment. */
export function latestMark(events: Iterable<DriveEvent>, drive: Drive): Mark | undefined {
  const standing = new Map(standingMarks(drive).map((mark) => [mark.id, mark]));
  const touched = [...events].flatMap((event) => {
    const id = event.type === 'mark' ? event.id : event.type === 'regrade' ? event.target : undefined;
    return id !== undefined && standing.has(id) ? [{ event, id }] : [];
  });
  const last = touched.sort((a, b) => compareEvents(a.event, b.event)).at(-1);
  return last && standing.get(last.id);
}
