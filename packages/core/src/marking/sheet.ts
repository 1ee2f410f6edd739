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
  /** Other items that one mark of the sheet stands for as well: a line on paper may hold several. It counts once, for `item`. */
  readonly also?: readonly string[];
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

/** What so many faults of a test come to, without its time and attempts: limits over them stay unused and nothing is missing. */
export const judgeCounts = (standard: EffectiveStandard, entries: readonly SheetEntry[]): Verdict =>
  verdictOf(scoreMarks(rulesOf(standard), sheetMarks(entries)));

const onPaper = new WeakMap<EffectiveStandard, EffectiveStandard>();

/** The standard as its sheet is read: what a cap leaves free was never written down. */
function asOnPaper(standard: EffectiveStandard): EffectiveStandard {
  if (!standard.caps.some(({ free }) => free)) return standard;
  const known = onPaper.get(standard);
  if (known) return known;
  const read: EffectiveStandard = { ...standard, caps: standard.caps.map(({ free: _, ...cap }) => cap) };
  onPaper.set(standard, read);
  return read;
}

/** Judges what stands on a result sheet under a standard: every mark on it counts, up to the most that a cap lets count. */
export function judgeSheet(
  standard: EffectiveStandard,
  entries: readonly SheetEntry[],
  official: 'pass' | 'fail',
): SheetJudgement {
  const verdict = judgeCounts(asOnPaper(standard), entries);
  return { verdict, agrees: verdict.outcome === official };
}

/** Entries that name an item or grade the standard does not have. */
export function strangeEntries(standard: EffectiveStandard, entries: readonly SheetEntry[]): readonly SheetEntry[] {
  const rules = rulesOf(standard);
  return entries.filter(
    ({ item, grade, also = [] }) => !cellAt(rules, item, grade) || also.some((code) => !rules.items.has(code)),
  );
}
