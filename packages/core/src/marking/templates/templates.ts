import type { Standard } from '../standard';
import { attemptsYard } from './attempts-yard';
import { graded } from './graded';
import { minorMajor } from './minor-major';
import { pointsOff } from './points-off';
import { reversingArea } from './reversing-area';
import { sequenceChecklist } from './sequence-checklist';
import { strikes } from './strikes';
import { tally } from './tally';
import { timedYard } from './timed-yard';

/** The standards the product ships, each a file of data. */
export const templates: readonly Standard[] = [
  tally,
  graded,
  minorMajor,
  pointsOff,
  strikes,
  timedYard,
  attemptsYard,
  reversingArea,
  sequenceChecklist,
];

/** The shipped standard with this id, or undefined. */
export function findTemplate(id: string): Standard | undefined {
  return templates.find((standard) => standard.id === id);
}
