import { t } from '@jasperwren/words/desk';
import { itemsOfExercise } from '@jasperwren/core/marking/likely';
import { coversExercise, rulesOf } from '@jasperwren/core/marking/rules';
import type { Limit, LimitMeasure, EffectiveStandard } from '@jasperwren/core/marking/standard';

const mostNamed = 4;

/** What an exercise can be marked for, the likeliest first. */
export function bringsWords(standard: EffectiveStandard, exercise: string): string {
  const { items } = rulesOf(standard);
  const names = itemsOfExercise(standard, exercise).flatMap((code) => items.get(code)?.item.name.toLowerCase() ?? []);
  const named = names.slice(0, mostNamed).join(', ');
  return names.length > mostNamed
    ? t('watchForNamedAndCountMore', { named, count: names.length - mostNamed })
    : t('watchForNamed', { named });
}

/** The limit of this kind over an exercise, its own before one over all. */
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
