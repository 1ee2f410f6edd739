import type { DateAdvice, Outlook } from '@jasperwren/core/readiness/outlook';
import type { NextStep } from '@jasperwren/core/readiness/judgement';
import { nextWords } from './readiness-items';
import { wordsOf } from './words';

export const resource = {
  tooEarly: 'Too early to say when to take the test.',
  book: 'Book a test.',
  keep: 'Keep the date.',
  keepIf: 'Keep the date if this works out first: {{next}}',
  move: 'Move the test to a later date.',
  wait: 'Do not book a test yet.',
  moveAnd: 'Move the test to a later date. {{next}}',
  waitAnd: 'Do not book a test yet. {{next}}',
  forLearnerKeep: 'We keep the date of your test.',
  forLearnerBook: 'You can book your test.',
  forLearnerKeepIf: 'We keep the date of your test if what is still to do works out first.',
  forLearnerMove: 'A later date for your test would be better.',
  forLearnerWait: 'Let us wait with booking a test.',
  lessonsAWeek_one: '{{count}} lesson a week',
  lessonsAWeek_other: '{{count}} lessons a week',
  booked: '{{lessons}}, as booked',
  lately: '{{lessons}}, as in the last four weeks',
  noLessons: 'no further lessons',
  onTestDay: 'On test day, {{date}}, with {{pace}}:',
  onDay: 'On {{date}}, with {{pace}}:',
  enoughFrom: 'With {{pace}}, enough tests would be passed from {{date}} on.',
  enoughNow: 'Enough tests would be passed today.',
  notEnough: 'With {{pace}}, not enough tests would be passed within half a year. Work on what would help most.',
} as const;

const t = wordsOf('readiness-outlook', resource);

/** What is advised about the date of the test. */
export function adviceWords(advice: DateAdvice): string {
  switch (advice.kind) {
    case 'too-early':
      return t('tooEarly');
    case 'keep-if':
      return t('keepIf', { next: nextWords(advice.next) });
    default:
      return t(advice.kind);
  }
}

/** What to do next, and what that means for the date: one line that every page says alike. */
export function nextAndDate({ next, advice }: { readonly next: NextStep; readonly advice: DateAdvice }): string {
  switch (advice.kind) {
    case 'too-early':
      return nextWords(next);
    case 'move':
      return t('moveAnd', { next: nextWords(next) });
    case 'wait':
      return t('waitAnd', { next: nextWords(next) });
    default:
      return adviceWords(advice);
  }
}

/** The same about the date for the learner; undefined where it is too early to say. */
export function dateForLearner({ kind }: DateAdvice): string | undefined {
  switch (kind) {
    case 'too-early':
      return undefined;
    case 'book':
      return t('forLearnerBook');
    case 'keep':
      return t('forLearnerKeep');
    case 'keep-if':
      return t('forLearnerKeepIf');
    case 'move':
      return t('forLearnerMove');
    case 'wait':
      return t('forLearnerWait');
  }
}

/** How often there are lessons, to half a lesson, and by what that is known. */
function paceWords({ perWeek, by }: Outlook['pace']): string {
  const count = Math.round(2 * perWeek) / 2;
  if (count === 0) return t('noLessons');
  const lessons = t('lessonsAWeek', { count });
  return by === 'booked' ? t('booked', { lessons }) : t('lately', { lessons });
}

/** Above what is expected on a day: when, and on what condition. */
export const onDayWords = ({ pace }: Outlook, date: string, isTest: boolean): string =>
  isTest ? t('onTestDay', { date, pace: paceWords(pace) }) : t('onDay', { date, pace: paceWords(pace) });

/** From when on the chance would be enough; `date` is the day as it is written, missing where it is today. */
export function enoughWords({ pace, enoughFrom }: Outlook, date: string | undefined): string {
  if (enoughFrom === undefined) return t('notEnough', { pace: paceWords(pace) });
  return date === undefined ? t('enoughNow') : t('enoughFrom', { date, pace: paceWords(pace) });
}
