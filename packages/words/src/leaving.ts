import type { LeavingStep } from '@jasperwren/core/marking/exercise';
import { wordsOf } from './words';

export const resource = {
  'parking-brake': 'Parking brake on',
  gear: 'Neutral or park',
  engine: 'Engine off',
  belt: 'Belt off',
  door: 'Door open',
} as const;

const t = wordsOf('leaving', resource);

/** A step of leaving the car: "Parking brake on". */
export const leavingWords = (step: LeavingStep): string => t(step);
