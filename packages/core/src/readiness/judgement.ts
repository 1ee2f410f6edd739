import type { CheckCode, ReadinessItem } from './checklist';
import type { Chance } from './simulate';

export const judgements = ['book', 'nearly', 'not-yet', 'cannot-say'] as const;
export type JudgementWord = (typeof judgements)[number];

export const judgementNames: Readonly<Record<JudgementWord, string>> = {
  book: 'Book',
  nearly: 'Nearly',
  'not-yet': 'Not yet',
  'cannot-say': 'Cannot say yet',
};

/** From these chances on (house defaults): a test costs more than a lesson. */
export const bookFrom = 0.75;
export const nearlyFrom = 0.55;

export interface Judgement {
  readonly word: JudgementWord;
  /** Every reason, the weightiest first. */
  readonly reasons: readonly string[];
  /** The next thing to do. */
  readonly next: string;
}

/** The judgement from the estimate and the checklist. It is advice to a professional, never a guarantee. */
export function judgeReadiness(
  chance: Pick<Chance, 'mean' | 'from' | 'to'>,
  checks: readonly ReadinessItem[],
): Judgement {
  const failed = checks.filter(({ ok }) => !ok);
  const is = (code: CheckCode) => failed.some((check) => check.code === code);
  const missing = failed.map((check) => check.missing);
  if (is('evidence'))
    return {
      word: 'cannot-say',
      reasons: ['Too little was driven under test conditions to say anything.', ...missing],
      next: missing[0]!,
    };
  const estimate = `${testDays(chance)} test days of 20 would be passes.`;
  if (failed.length === 0 && chance.mean >= bookFrom)
    return {
      word: 'book',
      reasons: [estimate, 'Everything on the checklist is there.'],
      next: 'Book the test, or keep it.',
    };
  const word: JudgementWord = chance.mean < nearlyFrom || is('last-two') ? 'not-yet' : 'nearly';
  const why = [
    ...(chance.mean < bookFrom
      ? [`${estimate} To book it should be ${Math.round(20 * bookFrom)} or more.`]
      : [estimate]),
    ...failed.map((check) => check.stands),
  ];
  return { word, reasons: why, next: missing[0] ?? 'Bring the fault that comes most often down.' };
}

/** The interval of a chance as whole test days of 20. */
export function testDayRange({ from, to }: Pick<Chance, 'from' | 'to'>): readonly [number, number] {
  return [Math.round(20 * from), Math.round(20 * to)];
}

/** The interval as whole test days of twenty, such as "13 to 18": no finer than it deserves. */
export function testDays(chance: Pick<Chance, 'from' | 'to'>): string {
  const [low, high] = testDayRange(chance);
  return low === high ? String(low) : `${low} to ${high}`;
}
