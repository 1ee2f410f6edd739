import { itemsOfExercise } from './likely';
import { rulesOf } from './rules';
import type { EffectiveStandard } from './standard';

/** Where an exercise on the road is over once something is marked there: areas of the catalogue that lie along the way. */
const alongTheWay = new Set(['junctions', 'roundabouts', 'fast-roads', 'signs', 'meeting', 'crossings', 'speed']);

/**
 * Whether a fault tells that an exercise on the road is over, though nobody said so: it lies in an area along the way and
 * is none that the exercise can bring. On a course exercises end by themselves, and never so.
 */
export function leavesExercise(standard: EffectiveStandard, exercise: string, item: string): boolean {
  if (standard.course || itemsOfExercise(standard, exercise).includes(item)) return false;
  const behaviour = rulesOf(standard).items.get(item)?.item.behaviour ?? '';
  return alongTheWay.has(behaviour.split('.')[0]!);
}
