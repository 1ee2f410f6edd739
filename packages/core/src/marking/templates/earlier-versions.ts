import type { Standard } from '../standard';
import { inEarlierNames } from './earlier-names';
import { templates } from './templates';

const beforeNames = templates.map(inEarlierNames);

/** In version 2 a fourth movement failed the exercise at once, and no attempt could fail by itself. */
const withoutFailedAttempts = (standard: Standard): Standard => ({
  ...standard,
  version: 2,
  limits: standard.limits
    .filter(({ measure }) => measure.kind !== 'failed-attempts')
    .map((limit) => (limit.effect.kind === 'fail-attempt' ? { ...limit, effect: { kind: 'fail-exercise' } } : limit)),
});

/** Versions that shipped before: a drive is judged for ever by the version it was marked under. */
export const earlierVersions: readonly Standard[] = [
  ...beforeNames,
  ...beforeNames.filter(({ id }) => id === 'attempts-yard').map(withoutFailedAttempts),
];

/** A version of a shipped standard, today's or an earlier one, that a drive may name; undefined where none ships. */
export function shippedVersion(id: string, version: number): Standard | undefined {
  return [...templates, ...earlierVersions].find((standard) => standard.id === id && standard.version === version);
}
