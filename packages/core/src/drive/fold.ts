import type {
  AdviceEvent,
  CheckEvent,
  DriveEvent,
  HelpForEvent,
  MissedStepEvent,
  PlaceEvent,
  RegradeEvent,
} from './event';
import { compareEvents } from './event-order';
import { doublesAmong, withoutRepeats } from './doubles';
import { sameOnce } from './same-once';
import type {
  Answer,
  BriefingResult,
  Drive,
  Mark,
  Help,
  TimedEvent,
  Note,
  Pin,
  CountedMove,
  LookSeen,
  Struck,
} from './drive';
import { effectiveStrikes } from './strikes';
import { movedOff, pausesOf, phaseOf, spansOf } from './stretches';
import { toMark, type Lasting } from './to-mark';
import { orNothing, whyOf } from './why';

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
    steps: lastByTarget<MissedStepEvent>(standing, 'missed-step'),
  };
  const helpFor = lastByTarget<HelpForEvent>(standing, 'help-for');
  const settledPins = new Set<string>();
  for (const event of standing) if (event.type === 'mark' && event.pin) settledPins.add(event.pin);

  const found: Mark[] = [];
  const pins: Pin[] = [];
  const prompts: Help[] = [];
  const interventions: Help[] = [];
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
        if (!strikes.has(event.id)) prompts.push(toHelp(event, helpFor.get(event.id), byId, strikes));
        break;
      case 'intervention':
        if (!strikes.has(event.id)) interventions.push(toHelp(event, helpFor.get(event.id), byId, strikes));
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
  const short = standing.findLast((event) => event.type === 'short');

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
    ...(short && { short: { id: short.id, why: whyOf(short) } }),
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

/** A fault that was taken out, or that is not in the log yet, made nothing necessary. */
function toHelp(
  { id, atMs }: DriveEvent,
  said: HelpForEvent | undefined,
  byId: ReadonlyMap<string, DriveEvent>,
  struck: ReadonlyMap<string, unknown>,
): Help {
  const { mark, reason } = said ?? {};
  const stands = mark !== undefined && byId.get(mark)?.type === 'mark' && !struck.has(mark);
  return { id, atMs, ...(stands && { mark }), ...(reason && { reason }) };
}

function toNote({ id, atMs, target, private: own, by }: Extract<DriveEvent, { type: 'note' }>, text: string): Note {
  return { id, atMs, text, target, private: own ?? false, by };
}

function lastByTarget<E extends RegradeEvent | AdviceEvent | PlaceEvent | MissedStepEvent | HelpForEvent>(
  standing: readonly DriveEvent[],
  type: E['type'],
): ReadonlyMap<string, E> {
  const last = new Map<string, E>();
  for (const event of standing) if (event.type === type) last.set((event as E).target, event as E);
  return last;
}
