import type { AdviceEvent, CheckEvent, DriveEvent, MarkEvent, PlaceEvent, RegradeEvent, StartedEvent } from './event';
import { compareEvents } from './event-order';
import { doublesAmong, withoutRepeats } from './doubles';
import { sameOnce } from './same-once';
import {
  spanAt,
  type Advised,
  type Answer,
  type BriefingResult,
  type Drive,
  type DrivePhase,
  type Mark,
  type TimedEvent,
  type Note,
  type Pause,
  type Pin,
  type Span,
  type CountedMove,
  type LookSeen,
  type Struck,
} from './drive';
import { effectiveStrikes } from './strikes';
import { whyOf, type Why } from './why';

/**
 * What a log of events says, whatever the order in which they arrived and however often.
 * Events with the same id are one event; should they differ (readers of files and the server refuse that), the same
 * one holds in every order. Strikes and regrades of things that are not in the log change nothing until their target
 * arrives.
 */
export function foldDrive(events: Iterable<DriveEvent>): Drive {
  const byId = sameOnce(events);
  const ordered = [...byId.values()].sort(compareEvents);
  const strikes = effectiveStrikes(ordered);
  const struck = (id: string): Struck | undefined => {
    const strike = strikes.get(id);
    return strike && { strikeId: strike.id, why: whyOf(strike), undo: strike.undo ?? false };
  };
  const standing = ordered.filter((event) => !strikes.has(event.id));

  const started = standing.find((event) => event.type === 'started');
  const ended = standing.find((event) => event.type === 'ended');
  const movedOffMs = movedOff(standing, started);
  const spans = spansOf(standing, movedOffMs ?? 0, ended?.atMs);
  const pauses = pausesOf(standing, ended?.atMs);
  const lasting: Lasting = {
    byId,
    spans,
    endMs: ended?.atMs ?? Infinity,
    grades: lastByTarget<RegradeEvent>(standing, 'regrade'),
    advice: lastByTarget<AdviceEvent>(standing, 'advice'),
    places: lastByTarget<PlaceEvent>(standing, 'place'),
  };
  const settledPins = new Set<string>();
  for (const event of standing) if (event.type === 'mark' && event.pin) settledPins.add(event.pin);

  const found: Mark[] = [];
  const pins: Pin[] = [];
  const prompts: TimedEvent[] = [];
  const interventions: TimedEvent[] = [];
  const steps: CountedMove[] = [];
  const looks: LookSeen[] = [];
  const failedAttempts: TimedEvent[] = [];
  const answers: Answer[] = [];
  const notes: Note[] = [];
  for (const event of ordered) {
    switch (event.type) {
      case 'mark':
        found.push(toMark(event, lasting, struck(event.id)));
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
      case 'step':
        if (!strikes.has(event.id)) steps.push({ id: event.id, atMs: event.atMs, step: event.step });
        break;
      case 'look':
        if (!strikes.has(event.id)) looks.push({ id: event.id, atMs: event.atMs, look: event.look });
        break;
      case 'attempt':
        if (!strikes.has(event.id)) failedAttempts.push({ id: event.id, atMs: event.atMs });
        break;
      case 'answer':
        if (!strikes.has(event.id))
          answers.push({
            id: event.id,
            atMs: event.atMs,
            item: event.item,
            right: event.right,
            question: event.question,
          });
        break;
      case 'note':
        if (!strikes.has(event.id) && event.text) notes.push(toNote(event, event.text));
        break;
      default:
    }
  }
  // The sort is stable: marks of one moment stay in the order of the log.
  found.sort((a, b) => a.atMs - b.atMs);
  const marks = withoutRepeats(found, standing);

  const debriefed = standing.findLast((event) => event.type === 'debriefed');
  const roads = standing.findLast((event) => event.type === 'roads');
  const run = standing.findLast((event) => event.type === 'run');

  return {
    phase: phaseOf(started !== undefined, movedOffMs === undefined, ended !== undefined, pauses),
    ...(started && { learnerId: started.learnerId, standard: started.standard, startedAt: started.wall }),
    ...(started?.route && { route: started.route }),
    marks,
    pins,
    prompts,
    interventions,
    steps,
    looks,
    ...(run && {
      sensors: {
        id: run.id,
        atMs: run.atMs,
        run: run.run,
        ...(run.car && { car: run.car }),
        clockMs: run.clockMs,
        ...(run.retest && { retest: run.retest }),
        wall: run.wall,
        by: run.by,
      },
    }),
    failedAttempts,
    ...(movedOffMs !== undefined && { movedOffMs }),
    spans,
    pauses,
    checks: briefingResultsOf(standing),
    answers,
    notes,
    doubles: doublesAmong(marks, standing),
    ...(debriefed && { debriefed: { id: debriefed.id, wall: debriefed.wall, workOn: debriefed.workOn } }),
    ...(roads && { familiarity: roads.familiarity }),
    ...(ended && {
      ended: {
        atMs: ended.atMs,
        ending: ended.ending,
        ...(ended.cause && { cause: ended.cause }),
        ...orNothing(whyOf(ended)),
      },
    }),
    lastMs: ordered.at(-1)?.atMs ?? 0,
  };
}

const orNothing = (why: Why | undefined) => (why ? { why } : {});

function phaseOf(started: boolean, waiting: boolean, ended: boolean, pauses: readonly Pause[]): DrivePhase {
  if (ended) return 'ended';
  if (!started) return 'not-started';
  if (waiting) return 'briefing';
  const last = pauses.at(-1);
  return last && last.toMs === undefined ? 'paused' : 'running';
}

function briefingResultsOf(standing: readonly DriveEvent[]): readonly BriefingResult[] {
  const last = new Map<string, CheckEvent>();
  for (const event of standing) if (event.type === 'check') last.set(event.check, event);
  return [...last.values()].map((event) => ({
    id: event.id,
    check: event.check,
    result: event.result,
    why: whyOf(event),
    detail: event.detail,
    missed: event.missed,
    atMs: event.atMs,
  }));
}

function toNote({ id, atMs, target, private: own, by }: Extract<DriveEvent, { type: 'note' }>, text: string): Note {
  return { id, atMs, text, target, private: own ?? false, by };
}

/** What the rest of the log says of a mark. */
interface Lasting {
  readonly byId: ReadonlyMap<string, DriveEvent>;
  readonly spans: readonly Span[];
  readonly endMs: number;
  readonly grades: ReadonlyMap<string, RegradeEvent>;
  readonly advice: ReadonlyMap<string, AdviceEvent>;
  readonly places: ReadonlyMap<string, PlaceEvent>;
}

function toMark(
  event: MarkEvent,
  { byId, spans, endMs, grades, advice, places }: Lasting,
  struck: Struck | undefined,
): Mark {
  const pin = event.pin === undefined ? undefined : byId.get(event.pin);
  const atMs = Math.min(endMs, pin?.type === 'pin' ? pin.atMs : event.atMs);
  const regrade = grades.get(event.id);
  const grade = regrade?.grade ?? event.grade;
  return {
    id: event.id,
    item: event.item,
    grade,
    firstGrade: grade === event.grade ? undefined : event.grade,
    atMs,
    exercise: spanAt(spans, atMs)?.exercise,
    pin: event.pin,
    note: event.note,
    measured: regrade?.measured ?? event.measured,
    advice: toAdvised(advice.get(event.id)),
    place: toPlace(places.get(event.id)),
    look: event.look,
    detected: event.detected,
    by: event.by,
    device: event.device,
    struck,
  };
}

function toAdvised(event: AdviceEvent | undefined): Advised | undefined {
  return event && { answers: event.answers, proposed: event.proposed };
}

function toPlace(event: PlaceEvent | undefined): Mark['place'] {
  return event && { lat: event.lat, lon: event.lon };
}

function lastByTarget<E extends RegradeEvent | AdviceEvent | PlaceEvent>(
  standing: readonly DriveEvent[],
  type: E['type'],
): ReadonlyMap<string, E> {
  const last = new Map<string, E>();
  for (const event of standing) if (event.type === type) last.set((event as E).target, event as E);
  return last;
}

/** Driving begins with the moving off; without a briefing nobody says so, and it begins with the start. */
function movedOff(standing: readonly DriveEvent[], started: StartedEvent | undefined): number | undefined {
  const event = standing.find(({ type }) => type === 'moved-off');
  return event?.atMs ?? (started && !started.briefing ? 0 : undefined);
}

/** A section opened before the car moved begins as it moves. */
function spansOf(standing: readonly DriveEvent[], fromMs: number, endMs: number | undefined): readonly Span[] {
  if (!standing.some((event) => event.type === 'started')) return [];
  // Ended before the car moved, a drive has one span without length.
  const beginMs = Math.min(fromMs, endMs ?? Infinity);
  const spans: Span[] = [{ section: 'guided', fromMs: beginMs }];
  for (const event of standing) {
    if (event.type !== 'section' || (endMs !== undefined && event.atMs >= endMs)) continue;
    const last = spans[spans.length - 1]!;
    const atMs = Math.max(beginMs, event.atMs);
    if (last.fromMs === atMs) spans.pop();
    else spans[spans.length - 1] = { ...last, toMs: atMs };
    spans.push({
      section: event.section,
      ...(event.exercise && { exercise: event.exercise }),
      ...(event.retest && { retest: true }),
      fromMs: atMs,
    });
  }
  return endMs === undefined ? spans : [...spans.slice(0, -1), { ...spans.at(-1)!, toMs: endMs }];
}

function pausesOf(standing: readonly DriveEvent[], endMs: number | undefined): readonly Pause[] {
  const pauses: Pause[] = [];
  // The clock stops at once; why is often said a moment later, in a note on the pause.
  const notes = new Map<string, Why | undefined>();
  for (const event of standing)
    if (event.type === 'note' && event.target && !event.private)
      notes.set(event.target, whyOf({ because: event.because, reason: event.text }));
  let open: Pause | undefined;
  for (const event of standing) {
    if (event.type !== 'pause' || (endMs !== undefined && event.atMs > endMs)) continue;
    if (event.state === 'paused') {
      open ??= { fromMs: event.atMs, ...orNothing(whyOf(event) ?? notes.get(event.id)) };
    } else if (open) {
      pauses.push({ ...open, toMs: event.atMs });
      open = undefined;
    }
  }
  if (open) pauses.push({ ...open, ...(endMs !== undefined && { toMs: endMs }) });
  return pauses;
}
