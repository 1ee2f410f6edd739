import { standingMarks, type Drive, type Mark } from '../drive/drive';
import { gradeOfValue } from './measured';
import { rulesOf } from './rules';
import type { EffectiveStandard } from './standard';

/** A measured value and a grade given by hand that contradict each other. */
export interface MeasuredConflict {
  /** The mark with the grade given by hand. */
  readonly mark: Mark;
  /** Code of the grade that the value brings; missing where it brings none. */
  readonly byValue?: string | undefined;
  /** Which of the two the standard lets count. */
  readonly counts: 'value' | 'grade';
}

/** Marks whose value and grade contradict each other, in order of their moments; struck ones are passed over. */
export function measuredConflicts(standard: EffectiveStandard, drive: Drive): readonly MeasuredConflict[] {
  return standingMarks(drive).flatMap((mark) => conflictOf(standard, mark) ?? []);
}

function conflictOf(standard: EffectiveStandard, mark: Mark): MeasuredConflict | undefined {
  if (mark.measured === undefined) return undefined;
  const measured = rulesOf(standard).items.get(mark.item)?.item.measured;
  if (!measured) return undefined;
  const byValue = gradeOfValue(measured, mark.measured);
  return byValue === mark.grade ? undefined : { mark, byValue, counts: measured.counts ?? 'value' };
}

/**
 * The mark with the grade that counts, which is the measured value's where the two contradict each other and the
 * standard does not say otherwise; undefined where the value is within what the standard allows.
 */
export function asCounted(standard: EffectiveStandard, mark: Mark): Mark | undefined {
  const conflict = conflictOf(standard, mark);
  if (!conflict || conflict.counts === 'grade') return mark;
  return conflict.byValue === undefined ? undefined : { ...mark, grade: conflict.byValue };
}

/**
 * The marks that count, in order of their moments and with the grades that count: those not struck, and of two that
 * may be one fault seen twice only the graver until somebody has settled it.
 */
export function countingMarks(standard: EffectiveStandard, drive: Drive): readonly Mark[] {
  const plain = standingMarks(drive);
  const standing = plain.some(({ measured }) => measured !== undefined)
    ? plain.flatMap((mark) => asCounted(standard, mark) ?? [])
    : plain;
  if (drive.doubles.length === 0) return standing;
  const ranks = new Map(standard.grades.map(({ code }, i) => [code, i]));
  const byId = new Map(standing.map((mark) => [mark.id, mark]));
  const rank = ({ id }: Mark) => ranks.get(byId.get(id)?.grade ?? '') ?? -1;
  const spare = new Set(drive.doubles.map(({ first, second }) => (rank(second) > rank(first) ? first.id : second.id)));
  return standing.filter((mark) => !spare.has(mark.id));
}
