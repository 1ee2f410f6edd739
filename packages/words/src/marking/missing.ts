import { wholeMinutes } from '@jasperwren/core/drive/clock';
import type { EndingCause } from '@jasperwren/core/drive/event';
import type { StrangeReference } from '@jasperwren/core/marking/strange';
import type { Missing, Stop } from '@jasperwren/core/marking/verdict';
import { joinWords } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  notEnded: 'the mock test has not ended',
  stoppedEarly: 'stopped early',
  notMovedOff: 'the car did not move off',
  notJudged: 'not judged: {{why}}',
  doesNotFit: 'not judged: this standard does not fit this test ({{placed}} of {{faults}} faults exist in it)',
  'another-road': 'not judged: this was a test on roads, and this standard is for a test in a yard',
  'another-yard': 'not judged: this was a test in a yard, and this standard is for a test on roads',
  noExercise: 'not judged: this standard does not fit this test (none of its exercises was driven)',
  pins_one: '{{count}} pin to name',
  pins_other: '{{count}} pins to name',
  duplicates_one: '{{count}} possible duplicate to sort out',
  duplicates_other: '{{count}} possible duplicates to sort out',
  minutes: '{{have}} of {{need}} minutes driven',
  guidedMinutes: '{{have}} of {{need}} minutes driven with directions',
  independentMinutes: '{{have}} of {{need}} minutes of independent driving',
  noSuccess: 'no successful attempt at {{exercise}}',
  notDriven: '{{exercise}} not driven',
  exercisesNotDriven: '{{n}} exercises not driven ({{exercises}})',
  noItem: 'this standard has no fault type “{{code}}”',
  noGrade: 'this standard has no grade “{{code}}”',
  noGradeFor: 'this standard has no grade “{{code}}” for “{{item}}”',
  noExerciseCalled: 'this standard has no exercise “{{code}}”',
  noStep: 'this standard has no briefing step “{{code}}”',
  more: '{{n}} more',
  checkNotPassed: '{{check}} not passed',
  learner: 'the learner wanted to stop',
  safety: 'stopped for safety',
  car: 'problem with the car',
  conditions: 'weather or road',
} as const;

const t = wordsOf('missing', resource);

/** What a result still needs, each as a phrase; exercises that were not driven share one. */
export function missingWords(missing: readonly Missing[]): readonly string[] {
  const notDriven = (one: Missing) => one.kind === 'exercise' && !one.attempted;
  const exercises = missing.flatMap((one) =>
    one.kind === 'exercise' && notDriven(one) ? [one.name.toLowerCase()] : [],
  );
  if (exercises.length < 2) return missing.map(describeMissing);
  const others = missing.filter((one) => !notDriven(one)).map(describeMissing);
  return [...others, t('exercisesNotDriven', { n: exercises.length, exercises: exercises.join(', ') })];
}

/** What a result still needs, as a phrase. */
export function describeMissing(missing: Missing): string {
  switch (missing.kind) {
    case 'not-ended':
      return t('notEnded');
    case 'abandoned':
      return t('stoppedEarly');
    case 'not-moved-off':
      return t('notMovedOff');
    case 'not-judged':
      return t('notJudged', { why: joinWords(strangeWords(missing.references)) });
    case 'does-not-fit':
      return missing.placed < missing.marks
        ? t('doesNotFit', { placed: missing.placed, faults: missing.marks })
        : t('noExercise');
    case 'another-kind':
      return t(`another-${missing.driven}`);
    case 'unsettled-pins':
      return t('pins', { count: missing.count });
    case 'unsettled-doubles':
      return t('duplicates', { count: missing.count });
    case 'driving-time':
      return t('minutes', { have: wholeMinutes(missing.haveMs), need: missing.needMin });
    case 'exercise': {
      const exercise = missing.name.toLowerCase();
      return missing.attempted ? t('noSuccess', { exercise }) : t('notDriven', { exercise });
    }
    case 'section-time': {
      const amounts = { have: wholeMinutes(missing.haveMs), need: missing.needMin };
      return missing.section === 'independent' ? t('independentMinutes', amounts) : t('guidedMinutes', amounts);
    }
  }
}

/** So many are named; the others are counted. */
const mostNamed = 3;

/** What a log names and its standard does not have, each once. */
function strangeWords(references: readonly StrangeReference[]): readonly string[] {
  const all = [...new Set(references.map(strangeWord))];
  const named = all.slice(0, mostNamed);
  return all.length > mostNamed ? [...named, t('more', { n: all.length - mostNamed })] : named;
}

function strangeWord({ kind, code, item }: StrangeReference): string {
  switch (kind) {
    case 'item':
      return t('noItem', { code });
    case 'grade':
      return item === undefined ? t('noGrade', { code }) : t('noGradeFor', { code, item });
    case 'exercise':
      return t('noExerciseCalled', { code });
    case 'briefing-step':
      return t('noStep', { code });
  }
}

/** Why a mock test ended for good, as a phrase. */
export function describeStop(stop: Stop): string {
  return stop.kind === 'check' ? t('checkNotPassed', { check: stop.name.toLowerCase() }) : causeWords(stop.cause);
}

const causeWords = (cause: EndingCause): string => t(cause);
