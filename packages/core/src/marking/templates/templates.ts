import type { Standard } from '../standard';
import { attemptsYard } from './attempts-yard';
import { earlierVersions } from './earlier-versions';
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

/** A version of a shipped standard, today's or an earlier one, that a drive may name; undefined where none ships. */
export function shippedVersion(id: string, version: number): Standard | undefined {
  return [...templates, ...earlierVersions].find((standard) => standard.id === id && standard.version === version);
}

/** The shipped standard with this id, or undefined. */
export function findTemplate(id: string): Standard | undefined {
  return templates.find((standard) => standard.id === id);
}
