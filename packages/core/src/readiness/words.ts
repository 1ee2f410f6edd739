import { percent } from '../marking/wording';
import type { Assumptions } from './assumptions';
import { testDayRange } from './judgement';
import type { Readiness, WhatMovesIt } from './estimate';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** The estimate in a sentence, with its interval and the drives behind it. */
export function chanceSentence({ chance, drives, sheets }: Readiness): string {
  const behind = [
    drives > 0 && count(drives, 'drive', 'drives'),
    sheets > 0 && count(sheets, 'real test', 'real tests'),
  ].filter(Boolean);
  const whole = Math.round(20 * chance.mean);
  const [low, high] = testDayRange(chance);
  const between = low === high ? '' : `, between ${low} and ${high}`;
  return behind.length === 0
    ? 'Nothing has been driven yet: this is what is believed of a learner in general.'
    : `About ${whole} of 20 test days would be passes${between}. Behind it stand ${behind.join(' and ')}.`;
}

/** How the figure came about, step by step, for the instructor. */
export function howItCame(
  { chance, exposure, school, expected }: Readiness,
  a: Assumptions,
  moves?: WhatMovesIt,
): readonly string[] {
  const general = `${a.counted.toFixed(1)} minor and ${a.outright.toFixed(2)} failing faults a test`;
  return [
    school.drives > 0
      ? `Learners in general: ${general} as they begin, from ${count(school.drives, 'mock test', 'mock tests')} with ${count(school.learners, 'learner', 'learners')} of your school. With few learners the stated defaults weigh more.`
      : `Learners in general: ${general} as they begin, a stated default. Your school’s own figures come in as its learners drive.`,
    `This learner: ${expected.counted.toFixed(1)} minor and ${expected.outright.toFixed(2)} failing faults expected on a test, on new roads, marked by an average marker. Their mock tests weigh as much as ${exposure.toFixed(1)} tests driven today; each counts half after ${a.halfLifeDays} days.`,
    `All areas together say how good the learner is; each area’s share says what to work on. Failing faults follow that level, with a part of their own.`,
    `In four weeks of lessons faults fall by about ${percent(a.fall)}, for most learners between ${percent(a.fall - a.fallSpread)} and ${percent(a.fall + a.fallSpread)}. Known roads bring ${percent(a.knownRoads)} of the faults of new ones. One learner’s days differ by about ${percent(a.form)}.`,
    `A prompt without a fault counts ${percent(a.promptWeight)} of the fault it prevented.`,
    ...(moves
      ? [
          `Knowing the school alone: ${twentieths(moves.schoolAlone)} of 20 tests. After one more mock test without a fault: ${twentieths(moves.afterClean)}; after one with a failing fault: ${twentieths(moves.afterFailing)}.`,
        ]
      : []),
    `${chance.tests.toLocaleString('en-GB')} tests were drawn and judged by the limits of the standard; for nine of ten learners like this one the chance lies within the range.`,
  ];
}

const twentieths = (chance: number): number => Math.round(20 * chance);

/** The same for a learner: without statistics. */
export function forTheLearner({ chance, changes, checks, judgement }: Readiness, name: string): readonly string[] {
  const whole = Math.round(20 * chance.mean);
  const [first, second] = changes.filter(({ chance: changed }) => changed > chance.mean + 0.01);
  const open = checks.filter(({ ok }) => !ok).map(({ missing }) => missing);
  return [
    judgement.word === 'cannot-say'
      ? `${name}, we have not driven enough under test conditions to say. That is no bad sign.`
      : `${name}, if you took the test on twenty days like today, about ${whole} of them would end with a pass.`,
    ...(first
      ? [`What would help most: ${first.name.toLowerCase()}${second ? `, then ${second.name.toLowerCase()}` : ''}.`]
      : []),
    ...(open.length > 0 ? [`Still to show: ${open.join(' ')}`] : ['You have shown everything we look for.']),
    'This is an estimate from a few drives, not a promise. We decide together.',
  ];
}
