import type { Standard } from '../standard';
import { attemptsYard } from './attempts-yard';

/** In version 2 a fourth movement failed the exercise at once, and no attempt could fail by itself. */
const attemptsYard2: Standard = {
  ...attemptsYard,
  version: 2,
  limits: attemptsYard.limits
    .filter(({ measure }) => measure.kind !== 'failed-attempts')
    .map((limit) => (limit.effect.kind === 'fail-attempt' ? { ...limit, effect: { kind: 'fail-exercise' } } : limit)),
};

/** Versions that shipped before: a drive is judged for ever by the version it was marked under. */
export const earlierVersions: readonly Standard[] = [attemptsYard2];
