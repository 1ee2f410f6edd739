import type { CheckCode, ReadinessItem } from './checklist';
import type { CourseStanding } from './course';
import type { Chance } from './simulate';

export const judgements = ['book', 'nearly', 'not-yet', 'cannot-say'] as const;
export type JudgementWord = (typeof judgements)[number];

/** From so many passes of twenty tests on (house defaults): a test costs more than a lesson. */
export const bookFrom = 15;
export const nearlyFrom = 11;
/** A date that stands is kept from so many on: to move a test costs as well (house default). */
export const keepFrom = 14;

/** A chance as whole tests of twenty: what is said and what is decided are one number. */
export const testsOf20 = (chance: number): number => Math.round(20 * chance);

/** Whether a chance of a pass is enough to book a test, 0 to 1. */
export const isEnough = (chance: number): boolean => testsOf20(chance) >= bookFrom;

/** Why a judgement is as it is. */
export type JudgementReason =
  /** Too little was driven to say anything. */
  | { readonly kind: 'too-little' }
  /** The chance and its interval, 0 to 1, and whether it is enough to book. */
  | {
      readonly kind: 'estimate';
      readonly mean: number;
      readonly from: number;
      readonly to: number;
      readonly enough: boolean;
    }
  | { readonly kind: 'all-shown' }
  /** How likely all exercises of the course are passed, 0 to 1, and the one with the least chance. */
  | ({ readonly kind: 'course'; readonly enough: boolean } & CourseStanding)
  /** An item of the checklist that is missing, told as something to do or as how it stands. */
  | { readonly kind: 'to-do' | 'stands'; readonly item: ReadinessItem };

/** The next thing to do. */
export type NextStep =
  | { readonly kind: 'book' }
  | { readonly kind: 'most-frequent' }
  | { readonly kind: 'practise-exercise'; readonly exercise: string }
  | { readonly kind: 'to-do'; readonly item: ReadinessItem };

export interface Judgement {
  readonly word: JudgementWord;
  /** Every reason, the one that decides first. */
  readonly reasons: readonly JudgementReason[];
  readonly next: NextStep;
}

/**
 * The judgement from the estimate and the checklist; on a course also from how its exercises come out, since a clock or an
 * attempt fails one without a mark. It is advice to a professional, never a guarantee.
 */
export function judgeReadiness(
  { mean, from, to }: Pick<Chance, 'mean' | 'from' | 'to'>,
  checks: readonly ReadinessItem[],
  course?: CourseStanding,
): Judgement {
  const failed = checks.filter(({ ok }) => !ok);
  const is = (code: CheckCode) => failed.some((check) => check.code === code);
  const toDo = failed.map((item) => ({ kind: 'to-do', item }) as const);
  if (is('evidence')) return { word: 'cannot-say', reasons: [{ kind: 'too-little' }, ...toDo], next: toDo[0]! };
  const least = Math.min(mean, course?.chance ?? 1);
  const estimate = { kind: 'estimate', mean, from, to, enough: isEnough(mean) } as const;
  const exercises = course ? [{ kind: 'course', enough: isEnough(course.chance), ...course } as const] : [];
  if (failed.length === 0 && isEnough(least))
    return { word: 'book', reasons: [estimate, ...exercises, { kind: 'all-shown' }], next: { kind: 'book' } };
  const stands = failed.map((item) => ({ kind: 'stands', item }) as const);
  // Where the chance alone would say more, what keeps it back comes first.
  const practise = course && course.chance < mean && !isEnough(course.chance);
  const decides: readonly JudgementReason[] = is('last-two')
    ? stands.filter(({ item }) => item.code === 'last-two')
    : practise
      ? exercises
      : isEnough(mean)
        ? stands
        : [];
  const others = [estimate, ...exercises, ...stands].filter((reason) => !decides.includes(reason));
  return {
    word: testsOf20(least) < nearlyFrom || is('last-two') ? 'not-yet' : 'nearly',
    reasons: [...decides, ...others],
    next: toDo[0] ?? (practise ? { kind: 'practise-exercise', exercise: course.weakest } : { kind: 'most-frequent' }),
  };
}

/** The interval of a chance as whole test days of 20. */
export function testDayRange({ from, to }: Pick<Chance, 'from' | 'to'>): readonly [number, number] {
  return [testsOf20(from), testsOf20(to)];
}
