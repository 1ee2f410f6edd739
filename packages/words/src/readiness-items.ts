import { wanted, type ReadinessItem } from '@jasperwren/core/readiness/checklist';
import {
  bookFrom,
  testDayRange,
  testsOf20,
  type JudgementReason,
  type JudgementWord,
  type NextStep,
} from '@jasperwren/core/readiness/judgement';
import type { Chance } from '@jasperwren/core/readiness/simulate';
import { capital, joinWords, percent } from './lists';
import { wordsOf } from './words';

export const resource = {
  estimatedAt: 'Estimated {{day}} at {{time}}',
  book: 'Ready',
  nearly: 'Nearly ready',
  'not-yet': 'Not ready yet',
  'cannot-say': 'Too early to say',
  tests_one: '{{count}} full mock test',
  tests_other: '{{count}} full mock tests',
  evidence: '{{tests}}, {{minutes}} minutes, in {{weeks}} weeks.',
  driveMore_one: 'Drive {{count}} more full mock test.',
  driveMore_other: 'Drive {{count}} more full mock tests.',
  driveMoreMinutes_one: 'Drive {{count}} more full mock test ({{minutes}} more minutes in all).',
  driveMoreMinutes_other: 'Drive {{count}} more full mock tests ({{minutes}} more minutes in all).',
  minutesMore: 'Drive {{n}} more minutes in full mock tests.',
  bothClean: 'No {{grades}} in the last {{n}} mock tests, and you never took control.',
  failing: '{{grades}} in {{n}} of the last {{of}} mock tests',
  controls: 'you took control in {{n}} of the last {{of}}',
  few: '{{n}} of {{of}} mock tests so far',
  inARow: 'Drive {{n}} mock tests in a row with {{conditions}}.',
  another_one: 'Drive {{count}} more mock test with {{conditions}}.',
  another_other: 'Drive {{count}} more mock tests with {{conditions}}.',
  noFailing: 'no {{grades}}',
  noControl: 'without you taking control',
  failingFault: 'failing fault',
  or: '{{grades}} or {{last}}',
  newRoads_one: '{{count}} mock test on new roads.',
  newRoads_other: '{{count}} mock tests on new roads.',
  noNewRoads: 'No mock test on new roads.',
  driveNewRoads: 'Drive a mock test on new roads.',
  independent: 'Longest independent driving in one test: {{best}} minutes.',
  driveIndependent: 'Drive {{n}} minutes independently in one test.',
  exercises: '{{done}} of {{all}} exercises driven without a fault.',
  driveExercises: 'Drive these without a fault: {{exercises}}.',
  questions: 'Average score in the safety questions on test day: {{percent}}.',
  practise: 'Practise the due safety questions. Aim: {{percent}} by test day.',
  noPrompts: 'No prompts needed.',
  prompts_one: '{{count}} prompt in {{minutes}} minutes.',
  prompts_other: '{{count}} prompts in {{minutes}} minutes.',
  fewerPrompts: 'Prompt less than once in {{minutes}} minutes.',
  tooLittle: 'Too little driven under test conditions to say.',
  enough: 'Would pass {{days}} of 20 tests.',
  notEnough: 'Would pass about {{n}} of 20 tests ({{days}}). To book: {{needed}} or more.',
  allShown: 'Everything on the readiness list is done.',
  courseEnough: 'Would pass all exercises of the course in about {{n}} of 20 tests, by how they came out so far.',
  courseNotEnough:
    'Would pass all exercises of the course in about {{n}} of 20 tests. The least sure: {{exercise}}, {{chance}} of 20. To book: {{needed}} or more.',
  practiseExercise: 'Practise the exercise that comes out worst: {{exercise}}.',
  bookNow: 'Book the test or keep the date.',
  mostFrequent: 'Work on the most frequent fault.',
  range: '{{low}} to {{high}}',
} as const;

const t = wordsOf('readiness-items', resource);

/** When an estimate was made; `day` and `time` as they are written. */
export const estimatedAt = (day: string, time: string): string => t('estimatedAt', { day, time });

/** The judgement in a word or two. */
export const judgementWord = (word: JudgementWord): string => t(word);

/** How one item of the readiness list stands, in a sentence. */
export function standingWords(item: ReadinessItem): string {
  switch (item.code) {
    case 'evidence':
      return t('evidence', {
        tests: t('tests', { count: item.tests }),
        minutes: item.minutes,
        weeks: wanted.weeks,
      });
    case 'last-two':
      return lastTwoWords(item);
    case 'unfamiliar':
      return item.tests > 0 ? t('newRoads', { count: item.tests }) : t('noNewRoads');
    case 'independent':
      return t('independent', { best: item.bestMin });
    case 'exercises':
      return t('exercises', { done: item.all - item.open.length, all: item.all });
    case 'questions':
      return t('questions', { percent: percent(item.chance) });
    case 'prompts':
      return item.prompts === 0 ? t('noPrompts') : t('prompts', { count: item.prompts, minutes: item.minutes });
  }
}

/** What is still to be done for an item, as an order. */
export function toDoWords(item: ReadinessItem): string {
  switch (item.code) {
    case 'evidence': {
      const tests = Math.max(0, wanted.drives - item.tests);
      const minutes = Math.max(0, item.wantedMinutes - item.minutes);
      if (tests === 0) return t('minutesMore', { n: minutes });
      return minutes > 0 ? t('driveMoreMinutes', { count: tests, minutes }) : t('driveMore', { count: tests });
    }
    case 'last-two': {
      const conditions = joinWords([t('noFailing', { grades: either(item.grades) }), t('noControl')]);
      const short = wanted.lastWithout - item.drives;
      return item.failing + item.controls > 0 || short === 0
        ? t('inARow', { n: wanted.lastWithout, conditions })
        : t('another', { count: short, conditions });
    }
    case 'unfamiliar':
      return t('driveNewRoads');
    case 'independent':
      return t('driveIndependent', { n: item.enoughMin });
    case 'exercises':
      return t('driveExercises', { exercises: joinWords(item.open).toLowerCase() });
    case 'questions':
      return t('practise', { percent: percent(wanted.questions) });
    case 'prompts':
      return t('fewerPrompts', { minutes: wanted.minutesPerPrompt });
  }
}

function lastTwoWords(item: Extract<ReadinessItem, { readonly code: 'last-two' }>): string {
  const { drives: of, failing, controls } = item;
  const grades = either(item.grades);
  const found = [
    ...(failing > 0 ? [t('failing', { grades, n: failing, of })] : []),
    ...(controls > 0 ? [t('controls', { n: controls, of })] : []),
    ...(of < wanted.lastWithout ? [t('few', { n: of, of: wanted.lastWithout })] : []),
  ];
  return found.length === 0 ? t('bothClean', { grades, n: wanted.lastWithout }) : `${capital(joinWords(found))}.`;
}

/** The standard's names of faults one of which fails: "serious fault or dangerous fault". */
function either(grades: readonly string[]): string {
  const last = grades.at(-1) ?? t('failingFault');
  return grades.length < 2 ? last : t('or', { grades: grades.slice(0, -1).join(', '), last });
}

/** One reason of a judgement, in a sentence. */
export function reasonWords(reason: JudgementReason): string {
  switch (reason.kind) {
    case 'too-little':
      return t('tooLittle');
    case 'estimate':
      return reason.enough
        ? t('enough', { days: testDays(reason) })
        : t('notEnough', { n: testsOf20(reason.mean), days: testDays(reason), needed: bookFrom });
    case 'all-shown':
      return t('allShown');
    case 'course': {
      const n = testsOf20(reason.chance);
      if (reason.enough) return t('courseEnough', { n });
      const chance = testsOf20(reason.weakestChance);
      return t('courseNotEnough', { n, exercise: reason.weakest, chance, needed: bookFrom });
    }
    case 'to-do':
      return toDoWords(reason.item);
    case 'stands':
      return standingWords(reason.item);
  }
}

/** The next thing to do, as an order. */
export function nextWords(next: NextStep): string {
  switch (next.kind) {
    case 'book':
      return t('bookNow');
    case 'most-frequent':
      return t('mostFrequent');
    case 'practise-exercise':
      return t('practiseExercise', { exercise: next.exercise });
    case 'to-do':
      return toDoWords(next.item);
  }
}

/** The interval of a chance as whole tests of twenty, such as "13 to 18": no finer than it deserves. */
export function testDays(chance: Pick<Chance, 'from' | 'to'>): string {
  const [low, high] = testDayRange(chance);
  return low === high ? String(low) : t('range', { low, high });
}
