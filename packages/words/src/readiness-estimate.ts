import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import type { Readiness, WhatMovesIt } from '@jasperwren/core/readiness/estimate';
import { testDayRange } from '@jasperwren/core/readiness/judgement';
import { joinWords, percent } from './lists';
import { toDoWords } from './readiness-items';
import { wordsOf } from './words';

export const resource = {
  mockTests_one: '{{count}} mock test',
  mockTests_other: '{{count}} mock tests',
  drivingTests_one: '{{count}} driving test',
  drivingTests_other: '{{count}} driving tests',
  learners_one: '{{count}} learner',
  learners_other: '{{count}} learners',
  nothing: 'No mock tests yet: this is the figure for learners in general.',
  about: 'Would pass about {{n}} of 20 tests. Based on {{tests}}.',
  aboutRange: 'Would pass about {{n}} of 20 tests (range {{low}} to {{high}}). Based on {{tests}}.',
  general: '{{minor}} minor and {{failing}} failing faults per test',
  fromSchool:
    'Learners in general start at {{general}}, from {{tests}} with {{learners}} of your school. With few learners the defaults weigh more.',
  fromDefaults:
    'Learners in general start at {{general}}, a Jasperwren default. Your school’s own figures replace it as your learners drive.',
  learner:
    'This learner: {{minor}} minor and {{failing}} failing faults expected in a test on new roads, marked by an average marker. Their mock tests weigh as much as {{exposure}} tests driven today. A mock test counts half after {{days}} days.',
  level:
    'All areas together say how good the learner is. Each area’s share says what to work on. Failing faults follow the level, with a part of their own.',
  fall: 'In 4 weeks of lessons faults fall by about {{fall}}, for most learners {{low}} to {{high}}. Familiar roads bring {{known}} of the faults of new roads. One learner’s days differ by about {{form}}.',
  prompt: 'A prompt without a fault counts {{weight}} of the fault it prevented.',
  moves:
    'From the school’s figures alone: {{alone}} of 20 tests. After one more mock test without a fault: {{clean}}. After one with a failing fault: {{failing}}.',
  simulated:
    '{{tests, number}} tests were simulated and judged by the limits of the standard. For 9 of 10 learners like this one the chance lies within the range.',
  tooEarly: '{{name}}, we have not driven enough full mock tests to say. That is not a bad sign.',
  forLearner: '{{name}}, if you took the test on 20 days like today, you would pass about {{n}} of them.',
  helpsMost: 'What would help most: {{area}}.',
  helpsMostTwo: 'What would help most: {{area}}, then {{second}}.',
  toDo: 'Still to do: {{items}}',
  allDone: 'You have shown everything on the readiness list.',
  noPromise: 'This is an estimate from a few mock tests, not a promise. We decide together.',
} as const;

const t = wordsOf('readiness-estimate', resource);

const twentieths = (chance: number): number => Math.round(20 * chance);

/** The estimate in a sentence, with its interval and the tests behind it. */
export function chanceSentence({ chance, drives, sheets }: Readiness): string {
  const tests = joinWords([
    ...(drives > 0 ? [t('mockTests', { count: drives })] : []),
    ...(sheets > 0 ? [t('drivingTests', { count: sheets })] : []),
  ]);
  if (tests === '') return t('nothing');
  const n = twentieths(chance.mean);
  const [low, high] = testDayRange(chance);
  return low === high ? t('about', { n, tests }) : t('aboutRange', { n, low, high, tests });
}

/** How the figure came about, step by step, for the instructor. */
export function howItCame(
  { chance, exposure, school, expected }: Readiness,
  a: Assumptions,
  moves?: WhatMovesIt,
): readonly string[] {
  const general = t('general', { minor: a.counted.toFixed(1), failing: a.outright.toFixed(2) });
  return [
    school.drives > 0
      ? t('fromSchool', {
          general,
          tests: t('mockTests', { count: school.drives }),
          learners: t('learners', { count: school.learners }),
        })
      : t('fromDefaults', { general }),
    t('learner', {
      minor: expected.counted.toFixed(1),
      failing: expected.outright.toFixed(2),
      exposure: exposure.toFixed(1),
      days: a.halfLifeDays,
    }),
    t('level'),
    t('fall', {
      fall: percent(a.fall),
      low: percent(a.fall - a.fallSpread),
      high: percent(a.fall + a.fallSpread),
      known: percent(a.knownRoads),
      form: percent(a.form),
    }),
    t('prompt', { weight: percent(a.promptWeight) }),
    ...(moves
      ? [
          t('moves', {
            alone: twentieths(moves.schoolAlone),
            clean: twentieths(moves.afterClean),
            failing: twentieths(moves.afterFailing),
          }),
        ]
      : []),
    t('simulated', { tests: chance.tests }),
  ];
}

/** The same for a learner: without statistics. */
export function forTheLearner({ chance, changes, checks, judgement }: Readiness, name: string): readonly string[] {
  const [first, second] = changes.filter(({ chance: changed }) => changed > chance.mean + 0.01);
  const open = checks.filter(({ ok }) => !ok).map(toDoWords);
  const area = first?.name.toLowerCase() ?? '';
  return [
    judgement.word === 'cannot-say' ? t('tooEarly', { name }) : t('forLearner', { name, n: twentieths(chance.mean) }),
    ...(first
      ? [second ? t('helpsMostTwo', { area, second: second.name.toLowerCase() }) : t('helpsMost', { area })]
      : []),
    open.length > 0 ? t('toDo', { items: open.join(' ') }) : t('allDone'),
    t('noPromise'),
  ];
}
