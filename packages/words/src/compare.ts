import type { Unsaid } from '@jasperwren/core/marking/compare/translate';
import { wordsOf } from './words';

export const resource = {
  nearestGradeHere: 'nearest grade here',
  gradedByTheMeasurement: 'graded by the measurement',
  noFaultsRecorded: 'No faults recorded.',
  oneOfFitsFaultTypesIt: '(one of {{fits}} fault types it fits)',
  'unknown-item': 'Does not exist here: its own standard does not list it.',
  'no-such-behaviour': 'Does not exist here: {{standard}} does not look at this.',
  'too-mild': 'Does not exist here: {{standard}} has no grade as mild as this.',
  'within-bands': 'Does not exist here: {{standard}} allows what was measured.',
  'no-fault-at-home': 'Does not exist here: its own standard allows what was measured.',
  standardVVersion: '{{standard}} v{{version}}',
  failedOnCrossingWords: 'Failed on: {{crossingWords}}',
  alsoMissingMissing: 'Also missing: {{missing}}.',
  unsaidFaults_one: '{{count}} fault that alone fails the test under its own standard does not fail it here.',
  unsaidFaults_other: '{{count}} faults of which each fails the test under its own standard do not fail it here.',
  unsaidControls_one: 'You took control once: this standard does not ask about that.',
  unsaidControls_other: 'You took control {{count}} times: this standard does not ask about that.',
  faults_one: '{{count}} fault',
  faults_other: '{{count}} faults',
  doNotCountHere: 'do not count here',
  readAsTo: 'read as “{{to}}”',
  countedOfFromPart: '{{counted}} of “{{from}}” {{part}}.',
  withoutOfCountFaultsDoNot: '{{without}} of {{count}} faults do not exist here.',
  theMockTestAndTheStandards: 'the mock test and the standards',
  compareStandards: 'Compare standards',
  markedUnderOwnVVersion: ', marked under {{own}} v{{version}}',
  faultsAreMatchedByWhatWas:
    'Faults are matched by what was observed, grades by how serious they are. Choose up to nine standards. Faults that do not exist in one are listed.',
  noOtherStandardToCompareWith: 'No other standard to compare with.',
  compareWith: 'Compare with',
  eachFaultInTheOtherStandard: 'Each fault under each standard',
  time: 'Time',
  sameResult: 'The same result under each: {{outcome}}.',
  resultsDiffer: 'The results differ: {{parts}}.',
  outcomeUnder: '{{outcome}} under {{standards}}',
  underEveryStandard: 'Under every standard',
  countOfCount2FaultsJudged: '{{count}} of {{count2}} faults judged',
} as const;

export const t = wordsOf('compare', resource);

/** What the result under another standard leaves out that was grave under the drive's own: it is said before the result. */
export const unsaidWords = ({ failing, controls }: Unsaid): readonly string[] => [
  ...(failing > 0 ? [t('unsaidFaults', { count: failing })] : []),
  ...(controls > 0 ? [t('unsaidControls', { count: controls })] : []),
];
