import type { Drive } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import type { ItemCounts } from '../marking/likely';
import { rulesOf } from '../marking/rules';
import type { GradeSign, EffectiveStandard } from '../marking/standard';
import type { Verdict } from '../marking/verdict';
import { timesMarked } from './went-well';

/** What a mark weighs against another when two things are to be chosen (house default). */
const weightOfSign: Readonly<Record<GradeSign, number>> = { noted: 0.5, counted: 1, outright: 4, highest: 5 };
/** What having been marked in an earlier drive adds (house default). */
const weightOfPast = 0.75;
const mostPast = 4;

/** Something to work on, and why it was chosen. */
export interface WorkOn {
  readonly item: string;
  readonly today: number;
  /** The gravest grade of today, by code; missing where it was not marked today. */
  readonly gravest?: string | undefined;
  /** In how many of the `of` last drives, this one included. */
  readonly drives: number;
  readonly of: number;
}

/**
 * What to work on next, the weightiest first: what was marked today, more where it was grave and where it keeps
 * coming back, and what keeps coming back without having been marked today. What a cap makes free is left out.
 * @param past how often each item was marked in the drives before, oldest first
 */
export function worthWork(
  standard: EffectiveStandard,
  drive: Drive,
  past: readonly ItemCounts[],
  { capped, free }: Pick<Verdict, 'capped' | 'free'>,
): readonly WorkOn[] {
  const costsNothing = new Set(capped.filter((mark) => free.includes(mark)).map(({ id }) => id));
  const { items, grades } = rulesOf(standard);
  const recent = past.slice(-mostPast);
  const before = timesMarked(recent);
  const today = new Map<string, { count: number; weight: number; gravest: string; rank: number }>();
  for (const { id, item, grade } of countingMarks(standard, drive)) {
    const found = grades.get(grade);
    if (!found || !items.has(item) || costsNothing.has(id)) continue;
    const rank = standard.grades.indexOf(found);
    const known = today.get(item);
    today.set(item, {
      count: (known?.count ?? 0) + 1,
      weight: (known?.weight ?? 0) + weightOfSign[found.sign],
      ...(known && known.rank >= rank ? { gravest: known.gravest, rank: known.rank } : { gravest: grade, rank }),
    });
  }
  const keepsComing = [...before].flatMap(([item, drives]) => (drives >= 2 && items.has(item) ? [item] : []));
  const all = [...new Set([...today.keys(), ...keepsComing])];
  const weight = (item: string) => (today.get(item)?.weight ?? 0) + weightOfPast * (before.get(item) ?? 0);
  return all
    .sort((a, b) => weight(b) - weight(a) || (a < b ? -1 : 1))
    .map((item) => {
      const now = today.get(item);
      return {
        item,
        today: now?.count ?? 0,
        gravest: now?.gravest,
        drives: (before.get(item) ?? 0) + (now ? 1 : 0),
        of: recent.length + 1,
      };
    });
}

/** The two of these to begin with: the first, and the next of another area, or the next where there is none. */
export function firstTwo(standard: EffectiveStandard, list: readonly WorkOn[]): readonly WorkOn[] {
  const areaOf = ({ item }: WorkOn) => rulesOf(standard).items.get(item)?.category.code;
  const [first, ...rest] = list;
  if (!first) return [];
  const second = rest.find((other) => areaOf(other) !== areaOf(first)) ?? rest[0];
  return second ? [first, second] : [first];
}
