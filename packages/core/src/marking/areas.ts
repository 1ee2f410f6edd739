import type { Drive } from '../drive/drive';
import { countingMarks } from './counting';
import { rulesOf } from './rules';
import type { Standard } from './standard';

/** Marks of one category, by grade code. */
export interface AreaCount {
  readonly category: string;
  readonly name: string;
  readonly byGrade: Readonly<Record<string, number>>;
  readonly total: number;
}

/** How many marks that count each category of the standard has, in the standard's order, empty ones left out. */
export function marksByArea(standard: Standard, drive: Drive): readonly AreaCount[] {
  const { items } = rulesOf(standard);
  const counts = new Map<string, Record<string, number>>();
  for (const mark of countingMarks(standard, drive)) {
    const category = items.get(mark.item)?.category.code;
    if (category === undefined) continue;
    const byGrade = counts.get(category) ?? {};
    byGrade[mark.grade] = (byGrade[mark.grade] ?? 0) + 1;
    counts.set(category, byGrade);
  }
  return standard.categories.flatMap(({ code, name }) => {
    const byGrade = counts.get(code);
    if (!byGrade) return [];
    return [{ category: code, name, byGrade, total: Object.values(byGrade).reduce((sum, n) => sum + n, 0) }];
  });
}
