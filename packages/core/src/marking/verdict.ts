import type { Mark } from '../drive/drive';
import type { EndingCause, SectionKind } from '../drive/event';
import type { Circumstances } from './circumstances';
import { nonMarkReasons, nonMarkUses, type PlainUse } from './exercise-uses';
import type { Reason } from './reason';
import { marksOf, type Score, type Use } from './score';
import type { Limit, Requirement, Standard } from './standard';

export type Outcome = 'pass' | 'fail' | 'incomplete';

/** What is left of a limit: `left` is `allowed` less `used`, below 0 where it was crossed. */
export interface Headroom {
  readonly limit: Limit;
  readonly scope: string;
  readonly used: number;
  readonly allowed: number;
  readonly left: number;
}

/** Why a drive without a reason to fail is no pass yet. */
export type Missing =
  | { readonly kind: 'not-ended' }
  | { readonly kind: 'abandoned' }
  | { readonly kind: 'unsettled-pins'; readonly count: number }
  | { readonly kind: 'unsettled-doubles'; readonly count: number }
  | { readonly kind: 'driving-time'; readonly haveMs: number; readonly needMin: number }
  | { readonly kind: 'section-time'; readonly section: SectionKind; readonly haveMs: number; readonly needMin: number }
  | { readonly kind: 'exercise'; readonly exercise: string; readonly name: string };

/** What fails a drive apart from its marks. */
export type Stop =
  | { readonly kind: 'broken-off'; readonly cause: EndingCause; readonly atMs: number }
  | { readonly kind: 'check'; readonly check: string; readonly name: string };

export interface Verdict {
  /** Fail as soon as a limit that fails the test is crossed or something stops it for good; else incomplete while anything is missing. */
  readonly outcome: Outcome;
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
  /** Limits crossed by which this standard made a mark graver of itself. */
  readonly upgrades: readonly Reason[];
  /** Marks that a cap kept from counting. */
  readonly capped: readonly Mark[];
  /** Marks this standard has no item or grade for: they count for nothing, and somebody should know. */
  readonly unplaced: readonly Mark[];
}

/**
 * The verdict that a score and the circumstances of the drive lead to.
 * @param circumstances left out where only the marks are known, as from a result sheet: nothing is missing then,
 *   and limits over time and attempts stay unused
 */
export function verdictOf(score: Score, circumstances?: Circumstances): Verdict {
  const { standard } = score.rules;
  const marked = [...score.uses.values()];
  const plain = circumstances ? nonMarkUses(standard, circumstances) : [];
  const crossed = [...marked.filter((use) => use.crossedBy !== undefined).map(toReason), ...nonMarkReasons(plain)].sort(
    (a, b) => a.crossedAtMs - b.crossedAtMs,
  );
  const failedExercises = firstOfEach(crossed.filter(({ limit }) => limit.effect.kind === 'fail-exercise'));
  const exerciseUses = failedExerciseUses(standard.limits, failedExercises);
  const reasons = [...crossed, ...exerciseUses.flatMap((use) => (use.reason ? [use.reason] : []))]
    .filter((reason) => reason.limit.effect.kind === 'fail-test')
    .sort((a, b) => a.crossedAtMs - b.crossedAtMs);
  const missing = circumstances
    ? missingIn(standard.requirements, circumstances, (code) => standard.exercises.find((e) => e.code === code)?.name)
    : [];
  const stops = circumstances ? stopsIn(standard, circumstances) : [];
  return {
    outcome: reasons.length > 0 || stops.length > 0 ? 'fail' : missing.length > 0 ? 'incomplete' : 'pass',
    reasons,
    stops,
    missing,
    headroom: headroomOf(standard.limits, [...marked, ...plain, ...exerciseUses]),
    questions: crossed.filter((reason) => reason.limit.effect.kind === 'ask-upgrade'),
    failedExercises,
    upgrades: crossed.filter((reason) => reason.limit.effect.kind === 'upgrade'),
    capped: marksOf(score.capped),
    unplaced: marksOf(score.unplaced),
  };
}

function toReason({ limit, scope, used, marks, crossedBy }: Use): Reason {
  return { limit, scope, used, marks: marksOf(marks), crossedBy, crossedAtMs: crossedBy!.atMs };
}

/** The first reason of each exercise; `reasons` in order of their moments. */
function firstOfEach(reasons: readonly Reason[]): readonly Reason[] {
  return reasons.filter((reason, i) => reasons.findIndex(({ scope }) => scope === reason.scope) === i);
}

type ExerciseUse = PlainUse & { readonly reason: Reason | undefined };

function failedExerciseUses(limits: readonly Limit[], failed: readonly Reason[]): readonly ExerciseUse[] {
  return limits.flatMap((limit) => {
    if (limit.measure.kind !== 'failed-exercises') return [];
    const last = failed[limit.allowed.value];
    const reason = last && {
      limit,
      scope: '',
      used: failed.length,
      marks: failed.flatMap(({ marks }) => marks),
      crossedBy: last.crossedBy,
      crossedAtMs: last.crossedAtMs,
    };
    return [{ limit, scope: '', used: failed.length, reason }];
  });
}

function headroomOf(limits: readonly Limit[], uses: readonly PlainUse[]): readonly Headroom[] {
  const byLimit = new Map<string, PlainUse[]>();
  for (const use of uses) {
    const others = byLimit.get(use.limit.code);
    if (others) others.push(use);
    else byLimit.set(use.limit.code, [use]);
  }
  return limits.flatMap((limit) => {
    const own = byLimit.get(limit.code);
    if (own) return own.map((use) => room(use.limit, use.scope, use.used));
    return limit.scope.kind === 'test' ? [room(limit, '', 0)] : [];
  });
}

function room(limit: Limit, scope: string, used: number): Headroom {
  const allowed = limit.allowed.value;
  return { limit, scope, used, allowed, left: allowed - used };
}

function stopsIn({ briefing = [], endings = [] }: Standard, is: Circumstances): readonly Stop[] {
  const checks = briefing.filter(({ kind, code }) => kind === 'eyesight' && is.failedChecks.includes(code));
  const ending = endings.find(({ cause, outcome }) => cause === is.cause && outcome === 'fail');
  return [
    ...checks.map(({ code, name }): Stop => ({ kind: 'check', check: code, name })),
    ...(ending && is.ending === 'abandoned'
      ? [{ kind: 'broken-off', cause: ending.cause, atMs: is.endedMs } as const]
      : []),
  ];
}

function missingIn(
  requirements: readonly Requirement[],
  is: Circumstances,
  nameOf: (exercise: string) => string | undefined,
): readonly Missing[] {
  const missing: Missing[] = [];
  if (is.ending === 'none') missing.push({ kind: 'not-ended' });
  if (is.ending === 'abandoned') missing.push({ kind: 'abandoned' });
  if (is.unsettledPins > 0) missing.push({ kind: 'unsettled-pins', count: is.unsettledPins });
  if (is.unsettledDoubles > 0) missing.push({ kind: 'unsettled-doubles', count: is.unsettledDoubles });
  // On a repeat of what was failed before, only that is driven.
  const repeat = is.runs.some((run) => run.retest);
  for (const requirement of requirements) {
    if (requirement.kind === 'exercise') {
      const { exercise } = requirement;
      if (repeat || is.runs.some((run) => run.exercise === exercise)) continue;
      missing.push({ kind: 'exercise', exercise, name: nameOf(exercise) ?? exercise });
      continue;
    }
    const needMin = requirement.atLeastMin.value;
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

/** A limit is near when a fifth of it or less is left. */
const nearShare = 0.2;

/** Limits that were used and not crossed, with so little left that a bad moment would have crossed them. */
export function nearLimits(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter(
    ({ limit, used, allowed, left }) =>
      limit.measure.kind !== 'attempts' && used > 0 && left >= 0 && left <= allowed * nearShare,
  );
}
