import { unsettledPins, type Drive } from '../drive/drive';
import type { DriveEvent } from '../drive/event';

/** Whether nothing is left to be settled, so that what the learner is shown will not change under the hand. */
export function isFinal(drive: Drive): boolean {
  return drive.ended !== undefined && unsettledPins(drive).length === 0 && drive.doubles.length === 0;
}

/**
 * A drive as its learner may see it: without private notes, without what was struck or dropped, without accounts
 * and devices.
 */
export function forLearner(drive: Drive): Drive {
  return {
    ...drive,
    learnerId: '',
    marks: drive.marks.filter(({ struck }) => !struck).map((mark) => ({ ...mark, by: '', device: '' })),
    pins: [],
    notes: drive.notes.filter((note) => !note.private).map((note) => ({ ...note, by: '' })),
  };
}

/** The events of a record that may be handed on: everything but private notes and what points at them. */
export function withoutPrivateNotes(events: readonly DriveEvent[]): readonly DriveEvent[] {
  const hidden = new Set(events.flatMap((event) => (event.type === 'note' && event.private ? [event.id] : [])));
  return events.filter((event) => !hidden.has(event.id) && !('target' in event && hidden.has(event.target ?? '')));
}
