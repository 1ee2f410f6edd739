import { t } from '@jasperwren/words/test-results';
import { gradesOf } from '@jasperwren/core/marking/rules';
import type { SheetEntry } from '@jasperwren/core/marking/sheet';
import type { Category, Item, EffectiveStandard } from '@jasperwren/core/marking/standard';

/** What a code typed so far stands for: letter of the category, letter of the item, digit of the grade. */
export interface Typed {
  readonly category?: Category | undefined;
  readonly item?: Item | undefined;
  readonly grade?: string | undefined;
  /** Why the last character leads nowhere. */
  readonly problem?: string | undefined;
}

/** Reads a code such as `LA1`, complete or not; the same letters as on the desk. */
export function readCode(standard: EffectiveStandard, code: string): Typed {
  const [first, second, third] = code.toUpperCase();
  if (first === undefined) return {};
  const category = standard.categories.find(({ letter }) => letter === first);
  if (!category) return { problem: t('noAreaHasTheLetterFirst', { first }) };
  if (second === undefined) return { category };
  const item = category.items.find(({ letter }) => letter === second);
  if (!item) return { category, problem: t('categoryHasNoFaultWithThe', { category: category.name, second }) };
  const allowed = gradesOf(standard, item);
  if (third === undefined) return { category, item, grade: allowed.length === 1 ? allowed[0]!.code : undefined };
  const grade = standard.grades[Number(third) - 1];
  if (!grade || !allowed.includes(grade))
    return { category, item, problem: t('itemHasNoGradeThird', { item: item.name, third }) };
  return { category, item, grade: grade.code };
}

/**
 * What a digit does that follows a code which was taken without one: nothing where it is the grade that the fault has, else
 * the code with it, so that the problem is said.
 */
export function digitAfter(standard: EffectiveStandard, taken: string, digit: string): 'taken' | Typed {
  const { grade } = readCode(standard, taken);
  const typed = readCode(standard, taken + digit);
  return typed.grade !== undefined && typed.grade === grade ? 'taken' : typed;
}

/** The entries in which a mark stands for these items as well. */
export const standingFor = (
  entries: readonly SheetEntry[],
  { item, grade }: Pick<SheetEntry, 'item' | 'grade'>,
  also: readonly string[],
): readonly SheetEntry[] =>
  entries.map((entry) => {
    if (entry.item !== item || entry.grade !== grade) return entry;
    const { also: _, ...bare } = entry;
    return also.length > 0 ? { ...bare, also } : bare;
  });

/** The entries with one count more or less; entries that reach 0 go. */
export function counting(
  entries: readonly SheetEntry[],
  item: string,
  grade: string,
  by: 1 | -1,
): readonly SheetEntry[] {
  const is = (entry: SheetEntry) => entry.item === item && entry.grade === grade;
  if (!entries.some(is)) return by > 0 ? [...entries, { item, grade, count: 1 }] : entries;
  return entries
    .map((entry) => (is(entry) ? { ...entry, count: Math.min(99, entry.count + by) } : entry))
    .filter(({ count }) => count > 0);
}
