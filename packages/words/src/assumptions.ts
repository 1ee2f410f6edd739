import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import { wordsOf } from './words';

export const resource = {
  counted: 'Minor faults of the average learner: {{figure}} per test',
  outright: 'Failing faults of the average learner: {{figure}} per test',
  levelSpread: 'Learners differ by {{figure}} (log scale)',
  power: 'Failing faults follow the level with the power {{figure}}',
  ownShape: 'Learners of one level are alike in failing faults by {{figure}} (shape)',
  fallLesson: 'Share of the faults that goes with the first lesson: {{figure}}',
  fallsFor: 'Lessons help less and less: by e after {{figure}} lessons',
  fallWeek: 'Share of the faults that goes in a week without a lesson: {{figure}}',
  fallSpread: 'Learners differ in that by {{figure}}',
  practised: 'An area’s share falls with each lesson on it by {{figure}}',
  form: 'One learner’s days differ by {{figure}}',
  knownRoads: 'Familiar roads bring {{figure}} of the faults of new roads',
  halfLifeDays: 'A mock test counts half after {{figure}} days',
  promptWeight: 'A prompt counts {{figure}} of the fault it prevented',
  shareWeight: 'Weight of where faults usually fall: {{figure}} faults',
} as const;

const t = wordsOf('assumptions', resource);

/** An assumption of the estimate with its value, in a line. */
export const assumptionWords = (name: keyof Assumptions, figure: string): string => t(name, { figure });
