import { gradeAmount, isFixed, scopeOf } from '@jasperwren/core/marking/result-detail';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { Headroom } from '@jasperwren/core/marking/verdict';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { wordsOf } from '../words';
import { amountWords, scopeWords } from './amounts';

export const resource = {
  limitIn: '{{limit}}, {{where}}',
} as const;

const t = wordsOf('marking-names', resource);

/** "1 serious fault", "16 driving faults". */
export function countOfGrade(standard: EffectiveStandard, grade: string, n: number): string {
  return amountWords({ grades: [gradeAmount(standard, grade, n)] });
}

/** The name of a fault type, with its area: "Junctions: observation". */
export function itemName(standard: EffectiveStandard, code: string): string {
  const found = rulesOf(standard).items.get(code);
  return found ? scopeWords({ area: found.category.name, name: found.item.name }) : code;
}

/** What a limit counts in this scope: "Driving faults", "Driving faults, Junctions". */
export function limitName(standard: EffectiveStandard, of: Pick<Headroom, 'limit' | 'scope'>): string {
  const { limit } = of;
  return isFixed(limit) ? limit.name : t('limitIn', { limit: limit.name, where: scopeName(standard, of) });
}

/** The area, fault type, class or exercise that a limit holds in; empty for the whole test. */
export function scopeName(standard: EffectiveStandard, of: Pick<Headroom, 'limit' | 'scope'>): string {
  const scope = scopeOf(standard, of);
  return scope ? scopeWords(scope) : '';
}
