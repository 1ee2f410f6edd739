import type { CheckCode, ReadinessItem } from './checklist';
import type { Chance } from './simulate';

export const judgements = ['book', 'nearly', 'not-yet', 'cannot-say'] as const;
export type JudgementWord = (typeof judgements)[number];

/** From these chances on (house defaults): a test costs more than a lesson. */
export const bookFrom = 0.75;
export const nearlyFrom = 0.55;

/** Why a judgement is as it is. */
export type JudgementReason =
  /** Too little was driven to say anything. */
  | { readonly kind: 'too-little' }
  /** The interval of the chance, 0 to 1, and whether it is enough to book. */
  | { readonly kind: 'estimate'; readonly from: number; readonly to: number; readonly enough: boolean }
  | { readonly kind: 'all-shown' }
  /** An item of the checklist that is missing, told as something to do or as how it stands. */
  | { readonly kind: 'to-do' | 'stands'; readonly item: ReadinessItem };

/** The next thing to do. */
export type NextStep =
  | { readonly kind: 'book' }
  | { readonly kind: 'most-frequent' }
  | { readonly kind: 'to-do'; readonly item: ReadinessItem };

export interface Judgement {
  readonly word: JudgementWord;
  /** Every reason, the weightiest first. */
  readonly reasons: readonly JudgementReason[];
  readonly next: NextStep;
}

/** The judgement from the estimate and the checklist. It is advice to a professional, never a guarantee. */
export function judgeReadiness(
  { mean, from, to }: Pick<Chance, 'mean' | 'from' | 'to'>,
  checks: readonly ReadinessItem[],
): Judgement {
  const failed = checks.filter(({ ok }) => !ok);
  const is = (code: CheckCode) => failed.some((check) => check.code === code);
  const toDo = failed.map((item) => ({ kind: 'to-do', item }) as const);
  if (is('evidence')) return { word: 'cannot-say', reasons: [{ kind: 'too-little' }, ...toDo], next: toDo[0]! };
  const estimate = { kind: 'estimate', from, to, enough: mean >= bookFrom } as const;
  if (failed.length === 0 && estimate.enough)
    return { word: 'book', reasons: [estimate, { kind: 'all-shown' }], next: { kind: 'book' } };
  return {
    word: mean < nearlyFrom || is('last-two') ? 'not-yet' : 'nearly',
    reasons: [estimate, ...failed.map((item) => ({ kind: 'stands', item }) as const)],
    next: toDo[0] ?? { kind: 'most-frequent' },
  };
}

/** The interval of a chance as whole test days of 20. */
export function testDayRange({ from, to }: Pick<Chance, 'from' | 'to'>): readonly [number, number] {
  return [Math.round(20 * from), Math.round(20 * to)];
}
