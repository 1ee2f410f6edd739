import type { Drive } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import type { ItemCounts } from '../marking/likely';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { timesMarked } from './went-well';

const lastDrives = 3;

/** A drive beside the ones before it. */
export interface ComparedWithLast {
  /** How many drives before it are looked at; there is nothing to compare where it is 0. */
  readonly drives: number;
  readonly marks: number;
  /** Marks of each of those drives, oldest first. */
  readonly before: readonly number[];
  /** Items marked now and in every drive looked at, two or more of them. */
  readonly again: readonly string[];
  /** Items marked now and in none of them. */
  readonly fresh: readonly string[];
}

/**
 * A drive beside the learner's last ones. Items that the standard does not have are left out.
 * @param past how often each item was marked in the drives before, oldest first
 */
export function comparedWithLast(
  standard: EffectiveStandard,
  drive: Drive,
  past: readonly ItemCounts[],
): ComparedWithLast {
  const { items } = rulesOf(standard);
  const recent = past.slice(-lastDrives);
  const marks = countingMarks(standard, drive).filter(({ item }) => items.has(item));
  const now = [...new Set(marks.map(({ item }) => item))];
  const before = timesMarked(recent);
  return {
    drives: recent.length,
    marks: marks.length,
    before: recent.map((counts) =>
      Object.entries(counts).reduce((sum, [item, n]) => sum + (items.has(item) ? n : 0), 0),
    ),
    again: recent.length >= 2 ? now.filter((item) => before.get(item) === recent.length) : [],
    fresh: recent.length > 0 ? now.filter((item) => !before.has(item)) : [],
  };
}
