import type { Circumstances } from './circumstances';
import type { Reason } from './reason';
import type { Limit, Standard } from './standard';

/** How far a limit is used that no mark draws on. */
export interface PlainUse {
  readonly limit: Limit;
  readonly scope: string;
  readonly used: number;
}

/** As `PlainUse`, with the moment at which it went past what is allowed. */
interface TimedUse extends PlainUse {
  readonly crossedAtMs: number | undefined;
}

/** How far time, attempts and steps are used: seconds, goes, movements or looks. */
export function nonMarkUses(standard: Standard, is: Circumstances): readonly TimedUse[] {
  return standard.limits.flatMap((limit) => {
    const { measure, scope } = limit;
    if (measure.kind === 'time' && scope.kind === 'test') {
      return [timeUse(limit, '', 0, is.drivenMs, limit.allowed.value, is)];
    }
    if (scope.kind !== 'exercise') return [];
    const runs = is.runs.filter((run) => (scope.exercise ?? run.exercise) === run.exercise);
    switch (measure.kind) {
      case 'time':
        return runs.map((run) => {
          const extraS = run.retest ? (standard.retestExtraS?.value ?? 0) : 0;
          const allowedS = limit.allowed.value + extraS;
          const ofRun = extraS > 0 ? { ...limit, allowed: { ...limit.allowed, value: allowedS } } : limit;
          return timeUse(ofRun, run.exercise, run.fromMs, run.timeMs, allowedS, is);
        });
      case 'attempts':
        return [...new Set(runs.map((run) => run.exercise))].map((exercise) => {
          const goes = runs.filter((run) => run.exercise === exercise);
          return { limit, scope: exercise, used: goes.length, crossedAtMs: goes[limit.allowed.value]?.fromMs };
        });
      case 'steps':
        return runs.map((run) => {
          const steps = run.steps[measure.step];
          return { limit, scope: run.exercise, used: steps.length, crossedAtMs: steps[limit.allowed.value] };
        });
      default:
        return [];
    }
  });
}

function timeUse(
  limit: Limit,
  scope: string,
  fromMs: number,
  timeMs: number,
  allowedS: number,
  is: Circumstances,
): TimedUse {
  const over = timeMs > allowedS * 1000;
  // Shown in whole seconds; a part of a second over is over.
  const used = over ? Math.max(Math.floor(timeMs / 1000), allowedS + 1) : Math.floor(timeMs / 1000);
  return { limit, scope, used, crossedAtMs: over ? is.momentAfter(fromMs, allowedS * 1000) : undefined };
}

/** The reasons among these uses. */
export function nonMarkReasons(uses: readonly TimedUse[]): readonly Reason[] {
  return uses.flatMap(({ limit, scope, used, crossedAtMs }) =>
    crossedAtMs === undefined ? [] : [{ limit, scope, used, marks: [], crossedAtMs }],
  );
}
