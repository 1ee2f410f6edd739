import { foldDrive } from '../../drive/fold';
import type { DriveEvent, EventBody } from '../../drive/event';
import { judgeDrive } from '../judge';
import { rulesOf } from '../rules';
import { judgeCounts, type SheetEntry } from '../sheet';
import type { EffectiveStandard } from '../standard';
import type { Verdict } from '../verdict';

const minute = 60_000;

/** An attempt at an exercise in a made-up test. */
export interface TrialAttempt {
  readonly exercise: string;
  readonly seconds: number;
  readonly movements: number;
  /** The instructor says that it failed. */
  readonly failed: boolean;
}

/** A made-up test: how the exercises went, and which faults there were. */
export interface Trial {
  readonly attempts: readonly TrialAttempt[];
  readonly entries: readonly SheetEntry[];
}

/**
 * What a made-up test comes to, by the one function that judges a drive. A fault type of an exercise is marked in the first
 * attempt at it, any other after the last one; it lasts as long as a whole test has to. Without an attempt its faults alone
 * are counted.
 */
export function judgeTrial(standard: EffectiveStandard, { attempts, entries }: Trial): Verdict {
  if (attempts.length === 0) return judgeCounts(standard, entries);
  const { items } = rulesOf(standard);
  const marks = entries.flatMap(({ item, grade, count }) =>
    Array.from({ length: count }, () => ({ item, grade, exercise: items.get(item)?.item.exercise })),
  );
  const log = logbook(standard);
  const marked = new Set<(typeof marks)[number]>();
  for (const { exercise, seconds, movements, failed } of attempts) {
    const here = marks.filter((mark) => mark.exercise === exercise && !marked.has(mark));
    log.write({ type: 'section', section: 'exercise', exercise });
    for (const mark of here) {
      marked.add(mark);
      log.write({ type: 'mark', item: mark.item, grade: mark.grade });
    }
    for (let i = 0; i < movements; i++) log.write({ type: 'step', step: 'movement' });
    if (failed) log.write({ type: 'attempt', result: 'failed' });
    log.pass(seconds * 1000);
  }
  for (const requirement of standard.requirements) {
    if (requirement.kind !== 'section-time' || requirement.section === 'exercise') continue;
    log.write({ type: 'section', section: requirement.section });
    log.pass(requirement.atLeastMin.value * minute);
  }
  log.write({ type: 'section', section: 'guided' });
  for (const mark of marks) if (!marked.has(mark)) log.write({ type: 'mark', item: mark.item, grade: mark.grade });
  const whole = standard.requirements.find(({ kind }) => kind === 'driving-time');
  if (whole?.kind === 'driving-time') log.passUntil(whole.atLeastMin.value * minute);
  log.write({ type: 'ended', ending: 'completed' });
  return judgeDrive(standard, foldDrive(log.events));
}

/** The log of a test that nobody drives; its clock goes on as it is told. */
function logbook({ id, version }: EffectiveStandard) {
  const events: DriveEvent[] = [];
  let nowMs = 0;
  const write = (body: EventBody) => {
    const stamp = { id: `trial-${events.length}`, device: 'trial', seq: events.length, by: 'trial' };
    events.push({ ...body, ...stamp, atMs: nowMs, wall: new Date(nowMs).toISOString() });
  };
  write({ type: 'started', learnerId: 'nobody', standard: { id, version } });
  return {
    events: events as readonly DriveEvent[],
    write,
    /** Lets time pass: ms. */
    pass: (ms: number) => {
      nowMs += Math.max(0, Math.round(ms));
    },
    /** Lets time pass until so much of it is over, ms; nothing where it is already. */
    passUntil: (ms: number) => {
      nowMs = Math.max(nowMs, Math.round(ms));
    },
  };
}
