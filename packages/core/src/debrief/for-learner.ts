import { standingMarks, unsettledPins, type Drive, type Mark, type Note } from '../drive/drive';
import type { DriveEvent } from '../drive/event';
import { orNothing, type Why } from '../drive/why';
import { only } from './only';

/** Whether nothing is left to be settled, so that what the learner is shown will not change under the hand. */
export function isFinal(drive: Drive): boolean {
  return drive.ended !== undefined && unsettledPins(drive).length === 0 && drive.doubles.length === 0;
}

/**
 * A drive as its learner may see it, and whoever has a link to it: what is named here and nothing else, so that a field
 * that is added to a drive stays with the school until it is named as well. It judges as the whole drive does.
 */
export function forLearner(drive: Drive): Drive {
  const marks = standingMarks(drive).map(markForLearner);
  const told = new Set(marks.map(({ id }) => id));
  return {
    ...only(drive, 'phase', 'startedAt', 'movedOffMs', 'familiarity', 'lastMs'),
    ...(drive.standard && { standard: only(drive.standard, 'id', 'version') }),
    ...(drive.route && { route: { id: '', name: drive.route.name } }),
    marks,
    pins: [],
    prompts: drive.prompts.map((one) => only(one, 'id', 'atMs', 'mark', 'reason')),
    interventions: drive.interventions.map((one) => only(one, 'id', 'atMs', 'mark', 'reason')),
    steps: drive.steps.map((one) => only(one, 'id', 'atMs', 'step')),
    looks: drive.looks.map((one) => only(one, 'id', 'atMs', 'look')),
    failedAttempts: drive.failedAttempts.map((one) => only(one, 'id', 'atMs')),
    spans: drive.spans.map((one) => only(one, 'section', 'exercise', 'retest', 'fromMs', 'toMs')),
    pauses: drive.pauses.map((one) => ({ ...only(one, 'fromMs', 'toMs'), ...whyForLearner(one) })),
    checks: drive.checks.map((one) => ({
      ...only(one, 'id', 'check', 'result', 'detail', 'missed', 'atMs'),
      ...whyForLearner(one),
    })),
    answers: drive.answers.map((one) => only(one, 'id', 'atMs', 'item', 'right', 'question')),
    notes: drive.notes.filter(isForLearner(told)).map((one) => ({
      ...only(one, 'id', 'atMs', 'text', 'target', 'private'),
      by: '',
    })),
    // While two people may have seen one fault there is nothing to show yet.
    doubles: [],
    ...(drive.debriefed && { debriefed: only(drive.debriefed, 'id', 'wall', 'workOn') }),
    ...(drive.short && { short: { id: drive.short.id, ...whyForLearner(drive.short) } }),
    ...(drive.ended && {
      ended: { ...only(drive.ended, 'atMs', 'ending', 'cause'), ...whyForLearner(drive.ended) },
    }),
  };
}

const whyForLearner = ({ why }: { readonly why?: Why | undefined }) =>
  orNothing(why && ('because' in why ? only(why, 'because') : only(why, 'reason')));

/** What was answered about it goes along, what the adviser made of that does not: the grade is the instructor's. */
const markForLearner = (mark: Mark): Mark => ({
  ...only(mark, 'id', 'item', 'grade', 'firstGrade', 'atMs', 'exercise', 'note', 'measured', 'look', 'step'),
  ...(mark.place && { place: only(mark.place, 'lat', 'lon') }),
  ...(mark.advice && { advice: { answers: mark.advice.answers, proposed: 'none' } }),
  ...(mark.detected && { detected: { run: '', ...only(mark.detected, 'fromMs', 'toMs') } }),
  by: '',
  device: '',
});

/** A note to a mark that was struck goes with it. */
const isForLearner =
  (told: ReadonlySet<string>) =>
  ({ private: own, target }: Note): boolean =>
    !own && (target === undefined || told.has(target));

/** The events of a record that may be handed on: everything but private notes and what points at them. */
export function withoutPrivateNotes(events: readonly DriveEvent[]): readonly DriveEvent[] {
  const hidden = new Set(events.flatMap((event) => (event.type === 'note' && event.private ? [event.id] : [])));
  return events.filter((event) => !hidden.has(event.id) && !('target' in event && hidden.has(event.target ?? '')));
}
