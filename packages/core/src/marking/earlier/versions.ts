import type { Standard } from '../standard';
import { beforeContent } from './content';
import { inEarlierNames, inUnsaidNames } from './names';
import { templates } from '../templates';

/** What says how a course is driven and what sensors tell: a version earlier, standards had none of it. */
const ofCourses = new Set([
  'course',
  'sensors',
  'manoeuvre',
  'side',
  'script',
  'startsAt',
  'endsWhen',
  'looks',
  'next',
]);

const withoutCourse = (standard: Standard): Standard => {
  const plain = JSON.parse(JSON.stringify(standard), (key, value: unknown) =>
    ofCourses.has(key) ? undefined : value,
  ) as Standard;
  return { ...plain, version: standard.version - 1 };
};

const saidOtherwise = templates.map(inUnsaidNames);

/** The templates that shipped before courses and today's names came; a later one never was without them. */
const first: readonly Standard[] = saidOtherwise
  .map(beforeContent)
  .filter(({ id }) =>
    [
      'tally',
      'graded',
      'minor-major',
      'points-off',
      'strikes',
      'timed-yard',
      'attempts-yard',
      'reversing-area',
      'sequence-checklist',
    ].includes(id),
  );

const beforeCourses = first.filter(({ course }) => course).map(withoutCourse);
const beforeNames = [...first.filter(({ course }) => !course), ...beforeCourses].map(inEarlierNames);

/** In version 2 a fourth movement failed the exercise at once, and no attempt could fail by itself. */
const withoutFailedAttempts = (standard: Standard): Standard => ({
  ...standard,
  version: 2,
  limits: standard.limits
    .filter(({ measure }) => measure.kind !== 'failed-attempts')
    .map((limit) => (limit.effect.kind === 'fail-attempt' ? { ...limit, effect: { kind: 'fail-exercise' } } : limit)),
});

/** Versions that shipped before: a drive is judged for ever by the version it was marked under. */
const earlierVersions: readonly Standard[] = [
  ...[...saidOtherwise, ...first].filter((standard) => !templates.includes(standard)),
  ...beforeCourses,
  ...beforeNames,
  ...beforeNames.filter(({ id }) => id === 'attempts-yard').map(withoutFailedAttempts),
];

/** A version of a shipped standard, today's or an earlier one, that a drive may name; undefined where none ships. */
export function shippedVersion(id: string, version: number): Standard | undefined {
  return [...templates, ...earlierVersions].find((standard) => standard.id === id && standard.version === version);
}
