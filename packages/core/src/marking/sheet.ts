import type { Mark } from '../drive/drive';
import { cellAt, rulesOf } from './rules';
import { scoreMarks } from './score';
import type { EffectiveStandard } from './standard';
import { verdictOf, type Verdict } from './verdict';

/** How often an item was marked with a grade on the sheet of a real test. */
export interface SheetEntry {
  readonly item: string;
  readonly grade: string;
  readonly count: number;
}

/** What the sheet adds up to, beside what the authority said. */
export interface SheetJudgement {
  readonly verdict: Verdict;
  /** Whether the marks lead to the official result. */
  readonly agrees: boolean;
}

/** The marks of a sheet; their moments are not known, so they stand in the order of the sheet. */
export function sheetMarks(entries: readonly SheetEntry[]): readonly Mark[] {
  return entries.flatMap(({ item, grade, count }, line) =>
    Array.from({ length: count }, (_, i) => ({
      id: `${line}-${i}`,
      item,
      grade,
      atMs: line,
      by: 'sheet',
      device: 'sheet',
    })),
  );
}

/**
 * Judges the counts of a result sheet under a standard. Time and attempts are not on a sheet: limits over them
 * stay unused and nothing is missing.
 */
export function judgeSheet(
  standard: EffectiveStandard,
  entries: readonly SheetEntry[],
  official: 'pass' | 'fail',
): SheetJudgement {
  const verdict = verdictOf(scoreMarks(rulesOf(standard), sheetMarks(entries)));
  return { verdict, agrees: verdict.outcome === official };
}

/** Entries that name an item or grade the standard does not have. */
export function strangeEntries(standard: EffectiveStandard, entries: readonly SheetEntry[]): readonly SheetEntry[] {
  const rules = rulesOf(standard);
  return entries.filter(({ item, grade }) => !cellAt(rules, item, grade));
}
