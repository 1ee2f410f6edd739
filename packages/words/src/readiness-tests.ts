import { testsWanted, type TestsHere } from '@jasperwren/core/readiness/calibration';
import { testsOf20 } from '@jasperwren/core/readiness/judgement';
import { percent } from './lists';
import { wordsOf } from './words';

export const resource = {
  atCentre_one:
    'Learners of yours who had about {{expected}} of 20 passed {{passed}} of {{count}} driving test at {{name}}.',
  atCentre_other:
    'Learners of yours who had about {{expected}} of 20 passed {{passed}} of {{count}} driving tests at {{name}}.',
  byMarker_one:
    'After mock tests with {{name}}, learners who had about {{expected}} of 20 passed {{passed}} of {{count}} driving test.',
  byMarker_other:
    'After mock tests with {{name}}, learners who had about {{expected}} of 20 passed {{passed}} of {{count}} driving tests.',
  range: 'Pass rate likely between {{from}} and {{to}}.',
  more: 'Driving tests bring {{percent}} of the faults that the mock tests lead to expect (range {{from}} to {{to}}). Estimates take that in.',
  none: 'No test results with their faults yet: estimates take nothing in.',
  tooFew: 'Fewer than {{wanted}} tests: chance alone explains much.',
  tooHopeful: 'Mock tests and driving tests part: the mock tests were easier.',
  tooGloomy: 'Mock tests and driving tests part: the mock tests were harder.',
} as const;

const t = wordsOf('readiness-tests', resource);

/** So many standard errors to either side hold nine of ten. */
const ninety = 1.645;

/** How the driving tests of a group went, in sentences. */
export function testsHereWords(group: TestsHere, here: 'centre' | 'marker') {
  const { name, tests: count, passed, expected, from, to, factor, parts } = group;
  const values = { name, count, passed, expected: testsOf20(expected) };
  const few = count < testsWanted ? t('tooFew', { wanted: testsWanted }) : undefined;
  const parting = expected > to ? t('tooHopeful') : t('tooGloomy');
  return {
    passed: here === 'centre' ? t('atCentre', values) : t('byMarker', values),
    range: t('range', { from: percent(from), to: percent(to) }),
    factor: factor
      ? t('more', {
          percent: percent(factor.factor),
          from: percent(factor.factor * Math.exp(-ninety * factor.error)),
          to: percent(factor.factor * Math.exp(ninety * factor.error)),
        })
      : t('none'),
    warning: parts ? parting : few,
  };
}
