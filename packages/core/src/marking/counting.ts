import { standingMarks, type Drive, type Mark } from '../drive/drive';
import type { Standard } from './standard';

/**
 * The marks that count, in order of their moments: those not struck, and of two that may be one fault seen twice
 * only the graver until somebody has settled it.
 */
export function countingMarks(standard: Standard, drive: Drive): readonly Mark[] {
  const standing = standingMarks(drive);
  if (drive.doubles.length === 0) return standing;
  const rank = ({ grade }: Mark) => standard.grades.findIndex(({ code }) => code === grade);
  const spare = new Set(drive.doubles.map(({ first, second }) => (rank(second) > rank(first) ? first.id : second.id)));
  return standing.filter((mark) => !spare.has(mark.id));
}
