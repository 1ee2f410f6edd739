import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { benchExercise } from '@jasperwren/core/yard/driven';
import type { SentSample } from '@jasperwren/core/yard/sample';

/** The exercises of a course whose run says where the car was and where it pointed, and which of the bench each is. */
export function exercisesDriven({ exercises }: EffectiveStandard, samples: readonly SentSample[]) {
  const zones = new Set(
    samples.flatMap(({ zone, x, y, heading }) =>
      x === undefined || y === undefined || heading === undefined ? [] : [zone],
    ),
  );
  return exercises.flatMap((exercise) => {
    const bench = zones.has(exercise.code) ? benchExercise(exercise) : undefined;
    return bench ? [{ code: exercise.code, name: exercise.name, bench }] : [];
  });
}
