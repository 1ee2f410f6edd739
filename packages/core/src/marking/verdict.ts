import { exerciseName } from './exercise';
import type { Mark } from '../drive/drive';
import type { EndingCause, SectionKind } from '../drive/event';
import type { Circumstances } from './circumstances';
import type { MeasuredConflict } from './counting';
import { nonMarkReasons, nonMarkUses, type PlainUse, type SaidFailed } from './exercise-uses';
import { groupBy } from './grouping';
import type { Reason } from './reason';
import { coversExercise, type Slot } from './rules';
import { marksOf, type Score, type Use } from './score';
import type { Limit, EffectiveStandard } from './standard';
import { strangeMark, type StrangeReference } from './strange';
import type { TestKind } from './test-kind';
import { passedBy } from './way-through';

export type Outcome = 'pass' | 'fail' | 'incomplete';

/** What is left of a limit: `left` is `allowed` less `used`, below 0 where it was crossed. */
export interface Headroom extends Slot {
  readonly used: number;
  readonly allowed: number;
  readonly left: number;
}

/** Why a drive without a reason to fail is no pass yet. */
export type Missing =
  | { readonly kind: 'not-ended' }
  | { readonly kind: 'abandoned' }
  /** Ended without the car having moved. */
  | { readonly kind: 'not-moved-off' }
  | { readonly kind: 'unsettled-pins'; readonly count: number }
  | { readonly kind: 'unsettled-doubles'; readonly count: number }
  | { readonly kind: 'driving-time'; readonly haveMs: number; readonly needMin: number }
  | { readonly kind: 'section-time'; readonly section: SectionKind; readonly haveMs: number; readonly needMin: number }
  /** Not driven, or every attempt so far failed and one is left. */
  | { readonly kind: 'exercise'; readonly exercise: string; readonly name: string; readonly attempted: boolean }
  /** The log names what the standard does not have: nothing is judged. */
  | { readonly kind: 'not-judged'; readonly references: readonly StrangeReference[] }
  /** The standard has a place for too little of a drive marked under another: nothing is judged. */
  | { readonly kind: 'does-not-fit'; readonly placed: number; readonly marks: number }
  /** The standard is of another kind of test than the drive: nothing is judged. */
  | { readonly kind: 'another-kind'; readonly driven: TestKind };

/** What fails a drive apart from its marks. */
export type Stop =
  | { readonly kind: 'broken-off'; readonly cause: EndingCause; readonly atMs: number }
  | { readonly kind: 'check'; readonly check: string; readonly name: string };

export interface Verdict {
  /**
   * Fail as soon as a limit that fails the test is crossed or something stops it for good; else incomplete while
   * anything is missing, and always where the drive cannot be judged by this standard.
   */
  readonly outcome: Outcome;
  /** True where it was meant to be shorter than a whole test: the time of one was not asked of it. */
  readonly short?: true;
  /** In order of the moment of crossing. */
  readonly reasons: readonly Reason[];
  readonly stops: readonly Stop[];
  readonly missing: readonly Missing[];
  /** Every limit over the whole test, and every narrower one that was drawn on. */
  readonly headroom: readonly Headroom[];
  /** Limits crossed that ask for a decision and decide nothing themselves. */
  readonly questions: readonly Reason[];
  /** Limits crossed that failed an exercise. */
  readonly failedExercises: readonly Reason[];
  /** Limits crossed that failed an attempt at an exercise. */
  readonly failedAttempts: readonly Reason[];
  /** Attempts that a person said had failed, where no limit had failed them before. */
  readonly saidFailed: readonly SaidFailed[];
  /** Limits crossed by which this standard made marks graver of itself. */
  readonly upgrades: readonly Reason[];
  /** Marks that a cap kept from counting on some limit. */
  readonly capped: readonly Mark[];
  /** Marks that count on a limit which decides something of itself. */
  readonly counted: readonly Mark[];
  /** The others: they count for nothing. */
  readonly free: readonly Mark[];
  /** Marks whose measured value and grade contradict each other. */
  readonly conflicts: readonly MeasuredConflict[];
}

/** Whether the standard cannot judge the drive at all, as against one that is not complete yet. */
export function isNotJudged({ missing }: Verdict): boolean {
  return missing.some(({ kind }) => kind === 'not-judged' || kind === 'does-not-fit' || kind === 'another-kind');
}

/** Whether a time that is asked of a whole test is missing: a short mock test does without. */
export const isTimeAsked = ({ kind }: Missing): boolean => kind === 'driving-time' || kind === 'section-time';

/** The limits over the whole test that fail it. */
export function testHeadroom(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter((room) => room.limit.scope.kind === 'test' && room.limit.effect.kind === 'fail-test');
}

/** A verdict that says nothing but why there is none. */
export function noVerdict(missing: Missing): Verdict {
  return {
    outcome: 'incomplete',
    reasons: [],
    stops: [],
    missing: [missing],
    headroom: [],
    questions: [],
    failedExercises: [],
    failedAttempts: [],
    saidFailed: [],
    upgrades: [],
    capped: [],
    counted: [],
    free: [],
    conflicts: [],
  };
}

/**
 * The verdict that a score and the circumstances of the drive lead to.
 * @param circumstances left out where only the marks are known, as from a result sheet: nothing is missing then,
 *   and limits over time and attempts stay unused
 * @param conflicts what to say of measured values, see `measuredConflicts`
 */
export function verdictOf(
  score: Score,
  circumstances?: Circumstances,
  conflicts: readonly MeasuredConflict[] = [],
): Verdict {
  const { standard, items } = score.rules;
  const strange = circumstances?.strange ?? [];
  const references = strange.length > 0 ? strange : marksOf(score.unplaced).map((mark) => strangeMark(items, mark));
  if (references.length > 0) return noVerdict({ kind: 'not-judged', references });
  const marked = [...score.uses.values()];
  const {
    uses: plain,
    failedAttempts,
    saidFailed,
    managed,
  } = circumstances
    ? nonMarkUses(standard, circumstances)
    : { uses: [], failedAttempts: [], saidFailed: [], managed: new Set<string>() };
  const crossed = [...marked.filter((use) => use.crossedBy !== undefined).map(toReason), ...nonMarkReasons(plain)].sort(
    (a, b) => a.crossedAtMs - b.crossedAtMs,
  );
  const failedExercises = firstOfEach(crossed.filter(({ limit }) => limit.effect.kind === 'fail-exercise'));
  const exerciseUses = failedExerciseUses(standard.limits, failedExercises);
  const reasons = [...crossed, ...exerciseUses.flatMap((use) => (use.reason ? [use.reason] : []))]
    .filter((reason) => reason.limit.effect.kind === 'fail-test')
    .sort((a, b) => a.crossedAtMs - b.crossedAtMs);
  const missing = circumstances
    ? missingIn(standard, circumstances, new Set([...managed, ...failedExercises.flatMap(({ scope }) => scope ?? [])]))
    : [];
  const stops = circumstances ? stopsIn(standard, circumstances) : [];
  return {
    outcome: reasons.length > 0 || stops.length > 0 ? 'fail' : missing.length > 0 ? 'incomplete' : 'pass',
    ...(circumstances?.short && { short: true }),
    reasons,
    stops,
    missing,
    headroom: headroomOf(standard.limits, [...marked, ...plain, ...exerciseUses]),
    questions: crossed.filter((reason) => reason.limit.effect.kind === 'ask-upgrade'),
    failedExercises,
    failedAttempts,
    saidFailed,
    upgrades: crossed.filter((reason) => reason.limit.effect.kind === 'upgrade'),
    capped: marksOf(score.capped),
    counted: marksOf(score.counted),
    free: marksOf(score.free),
    conflicts,
  };
}

function toReason({ limit, scope, used, marks, crossedBy }: Use): Reason {
  return { limit, scope, used, marks: marksOf(marks), crossedBy, crossedAtMs: crossedBy!.atMs };
}

/** The first reason of each exercise; `reasons` in order of their moments. */
function firstOfEach(reasons: readonly Reason[]): readonly Reason[] {
  const seen = new Set<string | undefined>();
  return reasons.filter(({ scope }) => !seen.has(scope) && seen.add(scope));
}

type ExerciseUse = PlainUse & { readonly reason: Reason | undefined };

function failedExerciseUses(limits: readonly Limit[], failed: readonly Reason[]): readonly ExerciseUse[] {
  return limits.flatMap((limit) => {
    if (limit.measure.kind !== 'failed-exercises') return [];
    const last = failed[limit.allowed.value];
    const reason = last && {
      limit,
      used: failed.length,
      marks: failed.flatMap(({ marks }) => marks),
      crossedBy: last.crossedBy,
      crossedAtMs: last.crossedAtMs,
    };
    return [{ limit, used: failed.length, reason }];
  });
}

function headroomOf(limits: readonly Limit[], uses: readonly PlainUse[]): readonly Headroom[] {
  const byLimit = groupBy(uses, ({ limit }) => limit.code);
  return limits.flatMap((limit) => {
    const own = byLimit.get(limit.code);
    if (own) return own.map((use) => room(use, use.used));
    return limit.scope.kind === 'test' ? [room({ limit }, 0)] : [];
  });
}

function room({ limit, scope }: Slot, used: number): Headroom {
  const allowed = limit.allowed.value;
  return { limit, scope, used, allowed, left: allowed - used };
}

function stopsIn({ briefing = [], endings = [] }: EffectiveStandard, is: Circumstances): readonly Stop[] {
  const checks = briefing.filter(({ kind, code }) => kind === 'eyesight' && is.failedChecks.includes(code));
  const ending = endings.find(({ cause, outcome }) => cause === is.cause && outcome === 'fail');
  return [
    ...checks.map(({ code, name }): Stop => ({ kind: 'check', check: code, name })),
    ...(ending && is.ending === 'abandoned'
      ? [{ kind: 'broken-off', cause: ending.cause, atMs: is.endedMs } as const]
      : []),
  ];
}

/** Less than so many minutes is no mock test, however short it was meant to be (house default). */
const shortLeastMin = 5;

/** @param settled exercises with an attempt that did not fail, or that have failed for good */
function missingIn(standard: EffectiveStandard, is: Circumstances, settled: ReadonlySet<string>): readonly Missing[] {
  const missing: Missing[] = [];
  if (is.ending === 'none') missing.push({ kind: 'not-ended' });
  if (is.ending === 'abandoned') missing.push({ kind: 'abandoned' });
  if (is.ending === 'completed' && !is.movedOff) missing.push({ kind: 'not-moved-off' });
  if (is.unsettledPins > 0) missing.push({ kind: 'unsettled-pins', count: is.unsettledPins });
  if (is.unsettledDoubles > 0) missing.push({ kind: 'unsettled-doubles', count: is.unsettledDoubles });
  // On a repeat of what was failed before, only that is driven.
  const repeat = is.runs.some((run) => run.retest);
  const attempted = new Set(is.runs.map(({ exercise }) => exercise));
  const required = standard.requirements.flatMap((one) => (one.kind === 'exercise' ? [one.exercise] : []));
  // Nor what lies on a branch that was not taken.
  const lost = passedBy(standard.exercises, [...attempted]);
  const begun = [...attempted].filter((exercise) => limitsAttempts(standard, exercise));
  for (const exercise of new Set([...required, ...begun])) {
    if (settled.has(exercise) || ((repeat || lost.has(exercise)) && !attempted.has(exercise))) continue;
    const name = exerciseName(standard, exercise);
    missing.push({ kind: 'exercise', exercise, name, attempted: attempted.has(exercise) });
  }
  for (const requirement of standard.requirements) {
    if (requirement.kind === 'exercise' || (is.short && requirement.kind === 'section-time')) continue;
    const needMin = Math.min(requirement.atLeastMin.value, is.short ? shortLeastMin : Infinity);
    const haveMs = requirement.kind === 'driving-time' ? is.drivenMs : is.sectionMs[requirement.section];
    if (haveMs >= needMin * 60_000) continue;
    missing.push(
      requirement.kind === 'driving-time'
        ? { kind: 'driving-time', haveMs, needMin }
        : { kind: 'section-time', section: requirement.section, haveMs, needMin },
    );
  }
  return missing;
}

/** Whether the standard says how many attempts at an exercise there are. */
export function limitsAttempts({ limits }: EffectiveStandard, exercise: string): boolean {
  return limits.some(
    (limit) =>
      (limit.measure.kind === 'attempts' || limit.measure.kind === 'failed-attempts') &&
      coversExercise(limit, exercise),
  );
}

/** A limit is near when a fifth of it or less is left. */
const nearShare = 0.2;

/** Limits that were used and not crossed, with so little left that a bad moment would have crossed them. */
export function nearLimits(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter(
    ({ limit, used, allowed, left }) =>
      limit.measure.kind !== 'attempts' &&
      limit.measure.kind !== 'failed-attempts' &&
      used > 0 &&
      left >= 0 &&
      left <= allowed * nearShare,
  );
}
