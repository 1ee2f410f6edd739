import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import type { Readiness, WhatMovesIt } from '@jasperwren/core/readiness/estimate';
import {
  isEnough,
  nearlyFrom,
  testDayRange,
  testsOf20,
  type JudgementReason,
} from '@jasperwren/core/readiness/judgement';
import { joinWords, percent } from './lists';
import { judgementWord, reasonWords, testDays, toDoWords } from './readiness-items';
import { dateForLearner } from './readiness-outlook';
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
  allTheSame: '{{sentence}} {{word}} all the same: {{reason}}',
  wouldPass: 'Would pass {{days}} of 20 tests.',
  wouldPassBut: 'Would pass {{days}} of 20 tests, but: {{reason}}',
  onRoads: '{{tests}} on roads',
  inTheYard: '{{tests}} in the yard',
  underThis: '{{tests}}, {{own}} of them under this standard',
  fromSchool:
    'Learners in general start at {{general}}, from {{tests}} with {{learners}} of your school. With few learners the defaults weigh more.',
  fromDefaults:
    'Learners in general start at {{general}}, a Jasperwren default. Your school’s own figures replace it as your learners drive.',
  learner:
    'This learner: {{minor}} minor and {{failing}} failing faults expected in a test on new roads, marked by an average marker. Their mock tests weigh as much as {{exposure}} tests driven today. A mock test counts half after {{days}} days.',
  level:
    'All areas together say how good the learner is. Each area’s share says what to work on. Failing faults follow the level, with a part of their own.',
  fall: 'The first lesson takes about {{lesson}} of the faults, each later one a little less; learners differ in that. A mock test counts as a lesson. Familiar roads bring {{known}} of the faults of new roads. One learner’s days differ by about {{form}}.',
  prompt: 'A prompt without a fault counts {{weight}} of the fault it prevented.',
  moves:
    'From the school’s figures alone: {{alone}} of 20 tests. After one more mock test without a fault: {{clean}}. After one with a failing fault: {{failing}}.',
  exact:
    'Worked out exactly from the limits of the standard. For 9 of 10 learners like this one the chance lies within the range.',
  fewer:
    'The last {{n}} mock tests had clearly fewer faults than the ones before. The figure follows them, and the range is wider.',
  more: 'The last {{n}} mock tests had clearly more faults than the ones before. The figure follows them, and the range is wider.',
  others_one: '{{count}} drive of another kind of test says nothing of this one and is left out.',
  others_other: '{{count}} drives of another kind of test say nothing of this one and are left out.',
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

/** The estimate in a sentence, with its interval and the tests behind it. */
export function chanceSentence(readiness: Readiness): string {
  const { chance, drives, sheets, judgement } = readiness;
  const tests = joinWords([
    ...(drives > 0 ? [t('mockTests', { count: drives })] : []),
    ...(sheets > 0 ? [t('drivingTests', { count: sheets })] : []),
  ]);
  if (tests === '') return t('nothing');
  const n = testsOf20(chance.mean);
  const [low, high] = testDayRange(chance);
  const sentence = low === high ? t('about', { n, tests }) : t('aboutRange', { n, low, high, tests });
  const [reason] = judgement.reasons;
  return reason && isKeptBack(judgement.word, chance.mean, reason)
    ? t('allTheSame', { sentence, word: judgementWord(judgement.word), reason: reasonWords(reason) })
    : sentence;
}

/** Whether something keeps the word below what the chance alone would say: then it is said in the same breath. */
function isKeptBack(word: Readiness['judgement']['word'], mean: number, reason: JudgementReason): boolean {
  if (reason.kind === 'estimate') return false;
  if (word === 'nearly') return isEnough(mean);
  return word === 'not-yet' && testsOf20(mean) >= nearlyFrom;
}

/** The chance in a line, with what keeps the learner back although it is high. */
export function chanceLine(row: {
  readonly word: Readiness['judgement']['word'];
  readonly mean: number;
  readonly from: number;
  readonly to: number;
  readonly reason?: JudgementReason;
}): string {
  const days = testDays(row);
  return row.reason && isKeptBack(row.word, row.mean, row.reason)
    ? t('wouldPassBut', { days, reason: reasonWords(row.reason) })
    : t('wouldPass', { days });
}

/** How the figure came about, step by step, for the instructor. */
export function howItCame(
  { chance, exposure, school, expected, test, others, change }: Readiness,
  a: Assumptions,
  moves?: WhatMovesIt,
): readonly string[] {
  const general = t('general', { minor: a.counted.toFixed(1), failing: a.outright.toFixed(2) });
  return [
    school.drives > 0
      ? t('fromSchool', {
          general,
          tests: drivesOfSchool(school, test),
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
      lesson: percent(a.fallLesson),
      known: percent(a.knownRoads),
      form: percent(a.form),
    }),
    t('prompt', { weight: percent(a.promptWeight) }),
    ...(moves
      ? [
          t('moves', {
            alone: testsOf20(moves.schoolAlone),
            clean: testsOf20(moves.afterClean),
            failing: testsOf20(moves.afterFailing),
          }),
        ]
      : []),
    ...(change ? [t(change.to, { n: change.drives })] : []),
    ...(others > 0 ? [t('others', { count: others })] : []),
    chance.tests > 0 ? t('simulated', { tests: chance.tests }) : t('exact'),
  ];
}

/** How many drives of what kind stand behind the figures of a school. */
function drivesOfSchool({ drives, underThis }: Readiness['school'], test: Readiness['test']): string {
  const tests = t('mockTests', { count: drives });
  const there = test === 'road' ? t('onRoads', { tests }) : t('inTheYard', { tests });
  return underThis < drives ? t('underThis', { tests: there, own: underThis }) : there;
}

/** The same for a learner: without statistics. */
export function forTheLearner(
  { chance, changes, checks, judgement, outlook }: Readiness,
  name: string,
): readonly string[] {
  const [first, second] = changes.filter(({ chance: changed }) => changed > chance.mean + 0.01);
  const open = checks.filter(({ ok }) => !ok).map(toDoWords);
  const area = first?.name.toLowerCase() ?? '';
  return [
    judgement.word === 'cannot-say' ? t('tooEarly', { name }) : t('forLearner', { name, n: testsOf20(chance.mean) }),
    ...(first
      ? [second ? t('helpsMostTwo', { area, second: second.name.toLowerCase() }) : t('helpsMost', { area })]
      : []),
    open.length > 0 ? t('toDo', { items: open.join(' ') }) : t('allDone'),
    ...[dateForLearner(outlook.advice) ?? []].flat(),
    t('noPromise'),
  ];
}
