import type { Drive, Mark } from '../drive/drive';
import { cellAt, type Rules } from './rules';

/** Something a log names that its standard does not have: a drive with one of these is not judged. */
export interface StrangeReference {
  readonly kind: 'item' | 'grade' | 'exercise' | 'briefing-step';
  readonly code: string;
  /** The item that cannot have this grade. */
  readonly item?: string;
  /** In milliseconds of the drive's clock. */
  readonly atMs: number;
}

/** What a mark names that the standard does not have: its item, or a grade for that item. */
export function strangeMark(items: ReadonlyMap<string, unknown>, { item, grade, atMs }: Mark): StrangeReference {
  return items.has(item) ? { kind: 'grade', code: grade, item, atMs } : { kind: 'item', code: item, atMs };
}

/**
 * What a drive names that its standard does not have: items and grades of marks, exercises, steps of the briefing,
 * items of answers and of what to work on, grades of advice. What is struck is not looked at.
 */
export function strangeReferences(
  { items, cells, grades, exercises, steps }: Rules,
  drive: Drive,
): readonly StrangeReference[] {
  const strange: StrangeReference[] = [];
  for (const mark of drive.marks)
    if (!mark.struck && !cellAt({ cells }, mark.item, mark.grade)) strange.push(strangeMark(items, mark));
  for (const { exercise, fromMs } of drive.spans)
    if (exercise !== undefined && !exercises.has(exercise))
      strange.push({ kind: 'exercise', code: exercise, atMs: fromMs });
  for (const { check, atMs } of drive.checks)
    if (!steps.has(check)) strange.push({ kind: 'briefing-step', code: check, atMs });
  for (const { item, atMs } of drive.answers) if (!items.has(item)) strange.push({ kind: 'item', code: item, atMs });
  for (const { struck, advice, atMs } of drive.marks)
    if (!struck && advice && advice.proposed !== 'none' && !grades.has(advice.proposed))
      strange.push({ kind: 'grade', code: advice.proposed, atMs });
  for (const item of drive.debriefed?.workOn ?? [])
    if (!items.has(item)) strange.push({ kind: 'item', code: item, atMs: drive.lastMs });
  return strange;
}
