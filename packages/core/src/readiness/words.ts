import { percent } from '../marking/wording';
import type { Assumptions } from './assumptions';
import { testDays } from './judgement';
import type { Readiness } from './estimate';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** The estimate in a sentence, with its interval and the drives behind it. */
export function chanceSentence({ chance, drives, sheets }: Readiness): string {
  const behind = [
    drives > 0 && count(drives, 'drive', 'drives'),
    sheets > 0 && count(sheets, 'real test', 'real tests'),
  ].filter(Boolean);
  const whole = Math.round(20 * chance.mean);
  return behind.length === 0
    ? 'Nothing has been driven yet: this is what is believed of a learner in general.'
    : `About ${whole} of 20 test days would be passes, between ${testDays(chance).replace(' to ', ' and ')}. Behind it stand ${behind.join(' and ')}.`;
}

/** How the figure came about, step by step, for the instructor. */
export function howItCame({ chance, exposure, priorDrives }: Readiness, a: Assumptions): readonly string[] {
  return [
    `Each drive counts half after ${a.halfLifeDays} days, and less the better its roads were known: together they weigh as much as ${exposure.toFixed(1)} tests driven today.`,
    priorDrives > 0
      ? `What is known of learners in general comes from ${priorDrives} drives of your school and is worth ${count(a.priorTests, 'test', 'tests')}.`
      : `What is known of learners in general is a stated default, ${a.priorCounted} faults that add up and ${a.priorOutright} that fail at once a test, worth ${count(a.priorTests, 'test', 'tests')}.`,
    `A prompt without a mark counts ${percent(a.promptWeight)} of the fault it prevented.`,
    `${chance.tests.toLocaleString('en-GB')} tests were drawn and judged by the limits of the standard; nine of ten learners like this one lie within the interval.`,
    `How fast faults fall is not known: between not at all and ${percent(a.improvement)} in four weeks, each as likely.`,
  ];
}

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
