import { coversExercise } from './rules';
import type { EffectiveStandard, Limit, LimitMeasure } from './standard';

/** The limit of this kind over an exercise, its own before one over all; undefined where the standard has none. */
export function limitOf(
  standard: EffectiveStandard,
  exercise: string,
  kind: LimitMeasure['kind'],
  step?: string,
): Limit | undefined {
  const fits = standard.limits.filter(
    (limit) =>
      limit.measure.kind === kind &&
      (limit.measure.kind !== 'steps' || limit.measure.step === step) &&
      coversExercise(limit, exercise),
  );
  return fits.find(({ scope }) => scope.kind === 'exercise' && scope.exercise !== undefined) ?? fits[0];
}

/** The time an attempt at an exercise may take, in seconds; undefined where it has no clock. */
export function secondsAllowed(standard: EffectiveStandard, exercise: string, retest: boolean): number | undefined {
  const limit = limitOf(standard, exercise, 'time');
  return limit && limit.allowed.value + (retest ? (standard.retestExtraS?.value ?? 0) : 0);
}
