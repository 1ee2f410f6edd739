import type { Drive } from '../drive/drive';
import { countBy, groupBy } from './grouping';
import { countingMarks } from './counting';
import { rulesOf } from './rules';
import type { EffectiveStandard } from './standard';

/** Marks of one category, by grade code. */
export interface AreaCount {
  readonly category: string;
  readonly name: string;
  readonly byGrade: Readonly<Record<string, number>>;
  readonly total: number;
}

/** How many marks that count each category of the standard has, in the standard's order, empty ones left out. */
export function marksByArea(standard: EffectiveStandard, drive: Drive): readonly AreaCount[] {
  const { items } = rulesOf(standard);
  const byCategory = groupBy(countingMarks(standard, drive), ({ item }) => items.get(item)?.category.code ?? '');
  return standard.categories.flatMap(({ code, name }) => {
    const marks = byCategory.get(code);
    return marks ? [{ category: code, name, byGrade: countBy(marks, ({ grade }) => grade), total: marks.length }] : [];
  });
}
