import { compareEvents, type DriveEvent, type MarkEvent, type RegradeEvent } from './event';
import type { Drive, Mark, Moment, Pause, Pin, Span, Struck } from './drive';
import { effectiveStrikes } from './strikes';

/**
 * What a log of events says, whatever the order in which they arrived and however often.
 * Events with the same id are one event. Strikes and regrades of things that are not in the log change nothing
 * until their target arrives.
 */
export function foldDrive(events: Iterable<DriveEvent>): Drive {
  const byId = new Map<string, DriveEvent>();
  for (const event of events) if (!byId.has(event.id)) byId.set(event.id, event);
  const ordered = [...byId.values()].sort(compareEvents);
  const strikes = effectiveStrikes(ordered);
  const struck = (id: string): Struck | undefined => {
    const strike = strikes.get(id);
    return strike && { strikeId: strike.id, reason: strike.reason, undo: strike.undo ?? false };
  };
  const standing = ordered.filter((event) => !strikes.has(event.id));

  const started = standing.find((event) => event.type === 'started');
  const ended = standing.find((event) => event.type === 'ended');
  const spans = spansOf(standing, ended?.atMs);
  const pauses = pausesOf(standing, ended?.atMs);
  const grades = lastRegrades(standing);
  const settledPins = new Set<string>();
  for (const event of standing) if (event.type === 'mark' && event.pin) settledPins.add(event.pin);

  const marks: Mark[] = [];
  const pins: Pin[] = [];
  const prompts: Moment[] = [];
  const interventions: Moment[] = [];
  for (const event of ordered) {
    switch (event.type) {
      case 'mark':
        marks.push(toMark(event, byId, grades, spans, struck(event.id)));
        break;
      case 'pin': {
        const drop = struck(event.id);
        if (drop?.undo) break;
        const state = drop ? 'dropped' : settledPins.has(event.id) ? 'settled' : 'unsettled';
        pins.push({ id: event.id, atMs: event.atMs, state, ...(drop && { struck: drop }) });
        break;
      }
      case 'prompt':
        if (!strikes.has(event.id)) prompts.push({ id: event.id, atMs: event.atMs });
        break;
      case 'intervention':
        if (!strikes.has(event.id)) interventions.push({ id: event.id, atMs: event.atMs });
        break;
      default:
    }
  }
  marks.sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));

  return {
    phase: ended
      ? 'ended'
      : !started
        ? 'not-started'
        : pauses.at(-1)?.toMs === undefined && pauses.length
          ? 'paused'
          : 'running',
    ...(started && { learnerId: started.learnerId, standard: started.standard, startedAt: started.wall }),
    marks,
    pins,
    prompts,
    interventions,
    spans,
    pauses,
    ...(ended && { ended: { atMs: ended.atMs, ending: ended.ending, ...(ended.reason && { reason: ended.reason }) } }),
    lastMs: ordered.at(-1)?.atMs ?? 0,
  };
}

function toMark(
  event: MarkEvent,
  byId: ReadonlyMap<string, DriveEvent>,
  grades: ReadonlyMap<string, RegradeEvent>,
  spans: readonly Span[],
  struck: Struck | undefined,
): Mark {
  const pin = event.pin === undefined ? undefined : byId.get(event.pin);
  const atMs = pin?.type === 'pin' ? pin.atMs : event.atMs;
  const grade = grades.get(event.id)?.grade ?? event.grade;
  return {
    id: event.id,
    item: event.item,
    grade,
    firstGrade: grade === event.grade ? undefined : event.grade,
    atMs,
    exercise: spans.findLast((span) => span.fromMs <= atMs)?.exercise,
    pin: event.pin,
    note: event.note,
    by: event.by,
    struck,
  };
}

function lastRegrades(standing: readonly DriveEvent[]): ReadonlyMap<string, RegradeEvent> {
  const grades = new Map<string, RegradeEvent>();
  for (const event of standing) if (event.type === 'regrade') grades.set(event.target, event);
  return grades;
}

function spansOf(standing: readonly DriveEvent[], endMs: number | undefined): readonly Span[] {
  if (!standing.some((event) => event.type === 'started')) return [];
  const spans: Span[] = [{ section: 'guided', fromMs: 0 }];
  for (const event of standing) {
    if (event.type !== 'section' || (endMs !== undefined && event.atMs >= endMs)) continue;
    const last = spans[spans.length - 1]!;
    if (last.fromMs === event.atMs) spans.pop();
    else spans[spans.length - 1] = { ...last, toMs: event.atMs };
    spans.push({ section: event.section, ...(event.exercise && { exercise: event.exercise }), fromMs: event.atMs });
  }
  return endMs === undefined ? spans : [...spans.slice(0, -1), { ...spans.at(-1)!, toMs: endMs }];
}

function pausesOf(standing: readonly DriveEvent[], endMs: number | undefined): readonly Pause[] {
  const pauses: Pause[] = [];
  let openFromMs: number | undefined;
  for (const event of standing) {
    if (event.type !== 'pause' || (endMs !== undefined && event.atMs > endMs)) continue;
    if (event.state === 'paused') openFromMs ??= event.atMs;
    else if (openFromMs !== undefined) {
      pauses.push({ fromMs: openFromMs, toMs: event.atMs });
      openFromMs = undefined;
    }
  }
  if (openFromMs !== undefined) pauses.push({ fromMs: openFromMs, ...(endMs !== undefined && { toMs: endMs }) });
  return pauses;
}
