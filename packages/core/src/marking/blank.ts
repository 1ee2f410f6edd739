import { setBySchool } from './provenance';
import type { Standard } from './standard';

/**
 * A standard to begin from nothing: two grades, a limit for each, no areas yet. What it lacks is told by the lint; no
 * number of it is more than a place to begin.
 */
export function blankStandard(id: string, name: string): Standard {
  return {
    id,
    version: 1,
    name,
    summary: name,
    trafficSide: 'right',
    units: 'metric',
    length: { totalMin: setBySchool(40) },
    grades: [
      {
        code: 'minor',
        name: 'minor fault',
        plural: 'minor faults',
        short: 'minor',
        sign: 'counted',
        meaning: 'Not good enough, and no danger to anyone.',
      },
      {
        code: 'failing',
        name: 'failing fault',
        plural: 'failing faults',
        short: 'failing',
        sign: 'outright',
        meaning: 'Dangerous, or one of the faults that the standard names.',
      },
    ],
    categories: [],
    limits: [
      {
        code: 'minor-faults',
        name: 'Minor faults',
        scope: { kind: 'test' },
        measure: { kind: 'count', grades: ['minor'] },
        allowed: setBySchool(15),
        effect: { kind: 'fail-test' },
      },
      {
        code: 'failing-faults',
        name: 'Failing faults',
        scope: { kind: 'test' },
        measure: { kind: 'count', grades: ['failing'] },
        allowed: setBySchool(0),
        effect: { kind: 'fail-test' },
      },
    ],
    caps: [],
    requirements: [],
    exercises: [],
    questions: [],
    options: [],
  };
}
