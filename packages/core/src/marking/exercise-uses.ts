import type { ExerciseRun } from '../drive/clock';
import type { Circumstances } from './circumstances';
import { groupBy } from './grouping';
import type { Reason } from './reason';
import { coversExercise, type Slot } from './rules';
import type { Limit, EffectiveStandard } from './standard';

/** How far a limit is used that no mark draws on. */
export interface PlainUse extends Slot {
  readonly used: number;
}

/** As `PlainUse`, with the moment at which it went past what is allowed. */
interface TimedUse extends PlainUse {
  readonly crossedAtMs: number | undefined;
}

/** An attempt that a person said had failed, and when, in milliseconds of the drive's clock. */
export interface SaidFailed {
  readonly exercise: string;
  readonly atMs: number;
}

/** What no mark draws on: how far it is used, and which attempts at exercises failed. */
export interface NonMarkUses {
  readonly uses: readonly TimedUse[];
  /** Limits that failed an attempt, the first of each attempt, in order of their moments. */
  readonly failedAttempts: readonly Reason[];
  /** Those that a person said had failed, where no limit had failed them before. */
  readonly saidFailed: readonly SaidFailed[];
  /** Exercises with an attempt that did not fail. */
  readonly managed: ReadonlySet<string>;
}

/** How far time, attempts and steps are used: seconds, attempts, movements or looks. */
export function nonMarkUses(standard: EffectiveStandard, is: Circumstances): NonMarkUses {
  const failing: Reason[] = [];
  const saidFailed: SaidFailed[] = [];
  /** When each attempt failed, by the instructor's word or by a limit; those that did not are missing. */
  const failedAt = new Map<ExerciseRun, number>();
  const fail = (run: ExerciseRun, atMs: number) => failedAt.set(run, Math.min(failedAt.get(run) ?? Infinity, atMs));
  for (const run of is.runs) {
    const crossed = standard.limits
      .filter(({ effect }) => effect.kind === 'fail-attempt')
      .flatMap((limit) =>
        coversExercise(limit, run.exercise) ? nonMarkReasons(useOfRun(standard, limit, run, is) ?? []) : [],
      )
      .sort((a, b) => a.crossedAtMs - b.crossedAtMs);
    if (crossed[0]) {
      failing.push(crossed[0]);
      fail(run, crossed[0].crossedAtMs);
    } else if (run.failedAtMs !== undefined) saidFailed.push({ exercise: run.exercise, atMs: run.failedAtMs });
    if (run.failedAtMs !== undefined) fail(run, run.failedAtMs);
  }
  const uses = standard.limits.flatMap((limit): readonly TimedUse[] => {
    const { measure, scope } = limit;
    if (measure.kind === 'time' && scope.kind === 'test')
      return [timeUse({ limit }, is.startedMs, is.drivenMs, limit.allowed.value, is)];
    const runs = is.runs.filter((run) => coversExercise(limit, run.exercise));
    switch (measure.kind) {
      case 'attempts':
        return [...groupBy(runs, ({ exercise }) => exercise)].map(([exercise, attempts]) =>
          countUse(
            limit,
            exercise,
            attempts.map(({ fromMs }) => fromMs),
          ),
        );
      case 'failed-attempts':
        return [...groupBy(runs, ({ exercise }) => exercise)].map(([exercise, attempts]) =>
          countUse(
            limit,
            exercise,
            attempts.flatMap((run) => failedAt.get(run) ?? []),
          ),
        );
      default:
        return runs.flatMap((run) => useOfRun(standard, limit, run, is) ?? []);
    }
  });
  const managed = new Set(is.runs.filter((run) => !failedAt.has(run)).map(({ exercise }) => exercise));
  return { uses, failedAttempts: failing.sort((a, b) => a.crossedAtMs - b.crossedAtMs), saidFailed, managed };
}

/** A limit over what happened at these moments. */
const countUse = (limit: Limit, scope: string, moments: readonly number[]): TimedUse => ({
  limit,
  scope,
  used: moments.length,
  crossedAtMs: moments[limit.allowed.value],
});

/** A limit over the time or the steps of one attempt. */
function useOfRun(
  standard: EffectiveStandard,
  limit: Limit,
  run: ExerciseRun,
  is: Circumstances,
): readonly TimedUse[] | undefined {
  if (limit.measure.kind === 'steps') return [countUse(limit, run.exercise, run.steps[limit.measure.step])];
  if (limit.measure.kind !== 'time') return undefined;
  const extraS = run.retest ? (standard.retestExtraS?.value ?? 0) : 0;
  const allowedS = limit.allowed.value + extraS;
  const ofRun = extraS > 0 ? { ...limit, allowed: { ...limit.allowed, value: allowedS } } : limit;
  return [timeUse({ limit: ofRun, scope: run.exercise }, run.fromMs, run.timeMs, allowedS, is)];
}

function timeUse(slot: Slot, fromMs: number, timeMs: number, allowedS: number, is: Circumstances): TimedUse {
  const over = timeMs > allowedS * 1000;
  // Shown in whole seconds; a part of a second over is over.
  const used = over ? Math.max(Math.floor(timeMs / 1000), allowedS + 1) : Math.floor(timeMs / 1000);
  return { ...slot, used, crossedAtMs: over ? is.momentAfter(fromMs, allowedS * 1000) : undefined };
}

/** The reasons among these uses. */
export function nonMarkReasons(uses: readonly TimedUse[]): readonly Reason[] {
  return uses.flatMap(({ limit, scope, used, crossedAtMs }) =>
    crossedAtMs === undefined ? [] : [{ limit, scope, used, marks: [], crossedAtMs }],
  );
}
