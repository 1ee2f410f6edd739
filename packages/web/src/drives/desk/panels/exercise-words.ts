import { t } from '@jasperwren/words/desk';
import { itemsOfExercise } from '@jasperwren/core/marking/likely';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';

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
