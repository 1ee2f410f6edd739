import type { Standard } from './standard';
import { attemptsYard } from './templates/attempts-yard';
import { graded } from './templates/graded';
import { minorMajor } from './templates/minor-major';
import { pointsOff } from './templates/points-off';
import { reversingArea } from './templates/reversing-area';
import { sequenceChecklist } from './templates/sequence-checklist';
import { strikes } from './templates/strikes';
import { tally } from './templates/tally';
import { timedYard } from './templates/timed-yard';

/** The standards the product ships, each a file of data. Made from their folder by `npm run templates`, which keeps the order they stand in. */
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
