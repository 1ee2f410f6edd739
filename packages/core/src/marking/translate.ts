import type { Drive, Mark } from '../drive/drive';
import { standingMarks } from '../drive/drive';
import { gradeOfValue } from './measured';
import { judgeDrive } from './judge';
import { gradesOf, rulesOf, type Placed } from './rules';
import type { Category, Grade, GradeSign, Item, Standard } from './standard';
import type { Verdict } from './verdict';

/** How a mark reads under another standard. */
export type Translation =
  | {
      readonly mark: Mark;
      readonly item: Item;
      readonly category: Category;
      readonly grade: Grade;
      readonly how: 'same-severity' | 'nearest-severity' | 'measured';
    }
  | {
      readonly mark: Mark;
      readonly item?: Item;
      readonly why: 'unknown-item' | 'no-such-behaviour' | 'too-mild' | 'within-bands';
    };

/** A drive judged under a standard it was not marked under. */
export interface Compared {
  readonly standard: Standard;
  readonly verdict: Verdict;
  readonly translations: readonly Translation[];
  /** Which grades were read as which, `none` where they count for nothing there. */
  readonly grades: readonly { readonly from: Grade; readonly to: Grade | 'none'; readonly marks: number }[];
}

/**
 * Judges a drive under another standard: each mark is taken to the item with the same behaviour, and to the grade
 * of the same severity or, where the item has none such, the nearest one. What has no place there is listed.
 */
export function judgeUnder(from: Standard, to: Standard, drive: Drive): Compared {
  const translations = standingMarks(drive).map((mark) => translate(from, to, mark));
  const marks = translations.flatMap((entry) =>
    'grade' in entry ? [{ ...entry.mark, item: entry.item.code, grade: entry.grade.code }] : [],
  );
  return {
    standard: to,
    verdict: judgeDrive(to, { ...drive, marks }),
    translations,
    grades: gradesRead(from, translations),
  };
}

function translate(from: Standard, to: Standard, mark: Mark): Translation {
  const source = rulesOf(from);
  const behaviour = source.items.get(mark.item)?.item.behaviour;
  const sign = source.grades.get(mark.grade)?.sign;
  if (behaviour === undefined || sign === undefined) return { mark, why: 'unknown-item' };
  const found = itemFor(to, behaviour, mark.exercise);
  if (!found) return { mark, why: 'no-such-behaviour' };
  const { item, category } = found;
  const measuredBefore = source.items.get(mark.item)?.item.measured;
  if (mark.measured !== undefined && item.measured && item.measured.unit === measuredBefore?.unit) {
    const code = gradeOfValue(item.measured, mark.measured);
    const grade = to.grades.find((candidate) => candidate.code === code);
    return grade ? { mark, item, category, grade, how: 'measured' } : { mark, item, why: 'within-bands' };
  }
  const grade = gradeFor(gradesOf(to, item), sign);
  if (!grade) return { mark, item, why: 'too-mild' };
  return { mark, item, category, grade, how: grade.sign === sign ? 'same-severity' : 'nearest-severity' };
}

function itemFor(to: Standard, behaviour: string, exercise: string | undefined): Placed | undefined {
  const candidates = rulesOf(to).byBehaviour.get(behaviour);
  return candidates?.find(({ item }) => exercise !== undefined && item.exercise === exercise) ?? candidates?.[0];
}

const severity: readonly GradeSign[] = ['noted', 'counted', 'outright', 'highest'];

/**
 * The grade for a severity: the same one; else the gravest milder one that counts, else the mildest graver one,
 * else whatever there is. A noted mark is nothing where nothing is noted.
 */
export function gradeFor(grades: readonly Grade[], sign: GradeSign): Grade | undefined {
  const rank = (grade: Grade) => severity.indexOf(grade.sign);
  const wanted = severity.indexOf(sign);
  const same = grades.find((grade) => grade.sign === sign);
  if (same) return same;
  if (sign === 'noted') return undefined;
  const sorted = [...grades].sort((a, b) => rank(a) - rank(b));
  return (
    sorted.findLast((grade) => rank(grade) < wanted && rank(grade) > 0) ??
    sorted.find((grade) => rank(grade) > wanted) ??
    sorted.at(-1)
  );
}

function gradesRead(from: Standard, translations: readonly Translation[]): Compared['grades'] {
  const read = new Map<string, { from: Grade; to: Grade | 'none'; marks: number }>();
  const grades = rulesOf(from).grades;
  for (const entry of translations) {
    const grade = grades.get(entry.mark.grade);
    if (!grade || (!('grade' in entry) && entry.why !== 'too-mild')) continue;
    const to = 'grade' in entry ? entry.grade : 'none';
    const key = `${grade.code} ${to === 'none' ? '' : to.code}`;
    const known = read.get(key);
    read.set(key, { from: grade, to, marks: (known?.marks ?? 0) + 1 });
  }
  return [...read.values()];
}

/** Why a mark has no place under a standard, as the tail of a sentence. */
export function whyNot(standard: Standard, why: Extract<Translation, { readonly why: unknown }>['why']): string {
  switch (why) {
    case 'unknown-item':
      return 'its own standard does not list it';
    case 'no-such-behaviour':
      return `${standard.name} does not look at this`;
    case 'too-mild':
      return `${standard.name} has no grade as mild as this`;
    case 'within-bands':
      return `what was measured is within what ${standard.name} allows`;
  }
}
