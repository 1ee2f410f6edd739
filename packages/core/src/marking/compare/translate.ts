import type { Drive, Mark } from '../../drive/drive';
import { standingMarks } from '../../drive/drive';
import { asCounted } from '../counting';
import { gradeOfValue } from '../measured';
import { judgeDrive } from '../judge';
import { gradesOf, rulesOf, type Placed } from '../rules';
import type { Category, Grade, GradeSign, Item, EffectiveStandard } from '../standard';
import { strangeReferences } from '../strange';
import { testKindOf } from '../test-kind';
import { isNotJudged, noVerdict, type Verdict } from '../verdict';

/** How a mark reads under another standard. */
export type Translation =
  | {
      readonly mark: Mark;
      readonly item: Item;
      readonly category: Category;
      readonly grade: Grade;
      readonly how: 'itself' | 'same-severity' | 'nearest-severity' | 'measured';
      /** How many items of the other standard look at this behaviour; one of them was chosen. */
      readonly fits: number;
    }
  | {
      readonly mark: Mark;
      readonly item?: Item;
      readonly why: WhyNot;
    };

/** Why a mark has no place under a standard. */
export type WhyNot = 'unknown-item' | 'no-such-behaviour' | 'too-mild' | 'within-bands' | 'no-fault-at-home';

/** A drive judged under a standard it was not marked under. */
export interface Compared {
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
  readonly translations: readonly Translation[];
  /** Which grades were read as which, `none` where they count for nothing there. */
  readonly grades: readonly { readonly from: Grade; readonly to: Grade | 'none'; readonly marks: number }[];
  /** What no grade of this standard says as gravely; missing where it is the drive's own, gives no result, or nothing was as grave. */
  readonly unsaid?: Unsaid;
}

/** What had consequences under the drive's own standard that the other has no words for. */
export interface Unsaid {
  /** Marks of which one fails at home and that only add up here, or count for nothing. */
  readonly failing: number;
  /** How often the instructor took control. */
  readonly controls: number;
}

/** Below this share of marks with a place, a standard does not fit a drive (house default). */
const fittingShare = 0.5;

/**
 * Judges a drive under any standard. Under its own this is `judgeDrive`. Under another each mark is taken to the item
 * with the same behaviour, and to the grade of the same severity or, where the item has none such, the nearest one; two
 * marks that may be one fault seen twice stay such a pair. What has no place there is listed. There is no verdict where that is
 * more than half of the marks, where one of the two is of roads and the other of a yard, or where the standard rests on exercises
 * and none of its own was driven.
 */
export function judgeUnder(from: EffectiveStandard, to: EffectiveStandard, drive: Drive): Compared {
  const itself = from.id === to.id && from.version === to.version;
  const own = itself ? judgeDrive(from, drive) : undefined;
  const translations = standingMarks(drive).map((mark) =>
    itself ? asItself(from, mark) : convertMark(from, to, mark),
  );
  const verdict = own ?? verdictElsewhere(from, to, drive, translations);
  const unsaid = own || isNotJudged(verdict) ? undefined : unsaidOf(from, drive, translations);
  return {
    standard: own ? from : to,
    verdict,
    translations,
    grades: gradesRead(from, translations),
    ...(unsaid && { unsaid }),
  };
}

function unsaidOf(from: EffectiveStandard, drive: Drive, translations: readonly Translation[]): Unsaid | undefined {
  const { grades } = rulesOf(from);
  const failing = translations.filter((entry) => {
    if (!failsAtOnce(grades.get(entry.mark.grade)?.sign)) return false;
    return 'grade' in entry ? !failsAtOnce(entry.grade.sign) : entry.why !== 'no-fault-at-home';
  }).length;
  const controls = drive.interventions.length;
  return failing + controls > 0 ? { failing, controls } : undefined;
}

const failsAtOnce = (sign: GradeSign | undefined): boolean => sign === 'outright' || sign === 'highest';

function verdictElsewhere(
  from: EffectiveStandard,
  to: EffectiveStandard,
  drive: Drive,
  translations: readonly Translation[],
): Verdict {
  const home = strangeReferences(rulesOf(from), drive);
  if (home.length > 0) return noVerdict({ kind: 'not-judged', references: home });
  const driven = testKindOf(from);
  if (driven !== testKindOf(to)) return noVerdict({ kind: 'another-kind', driven });
  const placed = new Map(
    translations.flatMap((entry) => ('grade' in entry ? [[entry.mark.id, converted(entry)] as const] : [])),
  );
  const faults = translations.filter((entry) => 'grade' in entry || entry.why !== 'no-fault-at-home');
  // What counts for nothing there has its place as well: nothing.
  const read = faults.filter((entry) => 'grade' in entry || entry.why === 'too-mild' || entry.why === 'within-bands');
  if (!fits(to, drive, read.length, faults.length))
    return noVerdict({ kind: 'does-not-fit', placed: read.length, marks: faults.length });
  const { exercises, steps } = rulesOf(to);
  return judgeDrive(to, {
    ...drive,
    marks: [...placed.values()],
    doubles: drive.doubles.flatMap(({ first, second }) => {
      const [one, other] = [placed.get(first.id), placed.get(second.id)];
      return one && other ? [{ first: one, second: other }] : [];
    }),
    // What else names codes of its own standard has no meaning here, unless the codes are shared.
    spans: drive.spans.map(({ exercise, ...span }) =>
      exercise !== undefined && exercises.has(exercise) ? { ...span, exercise } : span,
    ),
    checks: drive.checks.filter(({ check }) => steps.has(check)),
    answers: [],
    ...(drive.debriefed && { debriefed: { ...drive.debriefed, workOn: [] } }),
  });
}

/** Whether a standard has places for enough of a drive to say anything about it. */
function fits(to: EffectiveStandard, drive: Drive, placed: number, marks: number): boolean {
  if (placed < marks * fittingShare) return false;
  const wanted = to.requirements.flatMap((one) => (one.kind === 'exercise' ? [one.exercise] : []));
  return wanted.length === 0 || drive.spans.some(({ exercise }) => exercise !== undefined && wanted.includes(exercise));
}

function converted({ mark, item, grade, how }: Extract<Translation, { readonly grade: unknown }>): Mark {
  return {
    ...mark,
    item: item.code,
    grade: grade.code,
    measured: how === 'measured' ? mark.measured : undefined,
    // What was advised named a grade of its own standard.
    advice: undefined,
  };
}

function asItself(standard: EffectiveStandard, mark: Mark): Translation {
  const { items, grades } = rulesOf(standard);
  const [found, grade] = [items.get(mark.item), grades.get(mark.grade)];
  return found && grade ? { mark, ...found, grade, how: 'itself', fits: 1 } : { mark, why: 'unknown-item' };
}

function convertMark(from: EffectiveStandard, to: EffectiveStandard, raw: Mark): Translation {
  const source = rulesOf(from);
  const mark = asCounted(from, raw);
  const at = source.items.get(raw.item)?.item;
  const behaviour = at?.behaviour;
  const sign = source.grades.get((mark ?? raw).grade)?.sign;
  if (behaviour === undefined || sign === undefined) return { mark: raw, why: 'unknown-item' };
  const candidates = rulesOf(to).byBehaviour.get(behaviour) ?? [];
  const found = itemFor(candidates, raw.exercise);
  if (!found) return { mark: raw, why: mark ? 'no-such-behaviour' : 'no-fault-at-home' };
  const { item, category } = found;
  const fits = candidates.length;
  if (raw.measured !== undefined && item.measured && item.measured.unit === at?.measured?.unit) {
    const code = gradeOfValue(item.measured, raw.measured);
    const grade = to.grades.find((candidate) => candidate.code === code);
    return grade
      ? { mark: mark ?? raw, item, category, grade, how: 'measured', fits }
      : { mark: raw, item, why: 'within-bands' };
  }
  if (!mark) return { mark: raw, item, why: 'no-fault-at-home' };
  const grade = gradeFor(gradesOf(rulesOf(to).standard, item), sign);
  if (!grade) return { mark, item, why: 'too-mild' };
  return { mark, item, category, grade, how: grade.sign === sign ? 'same-severity' : 'nearest-severity', fits };
}

/** The item of the exercise under way, else one that belongs to no exercise, else the first. */
function itemFor(candidates: readonly Placed[], exercise: string | undefined): Placed | undefined {
  return (
    candidates.find(({ item }) => exercise !== undefined && item.exercise === exercise) ??
    candidates.find(({ item }) => item.exercise === undefined) ??
    candidates[0]
  );
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

function gradesRead(from: EffectiveStandard, translations: readonly Translation[]): Compared['grades'] {
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
