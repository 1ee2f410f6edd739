import type { QuestionRule, EffectiveStandard } from '../marking/standard';
import { kindsOfItem, type SafetyQuestion, type KeyPoint } from './question';
import { pick } from './random';

/** One try at a question, as the instructor heard it. */
export interface OralTry {
  /** Codes of the key points that were said or shown. */
  readonly heard: readonly string[];
  /** A hint was given: the try counts as wrong, whatever was said after it. */
  readonly hint: boolean;
}

export interface OralResult {
  /** `again` where it was wrong and the standard allows another try. */
  readonly outcome: 'right' | 'wrong' | 'again';
  /** What the last try left out. */
  readonly missed: readonly KeyPoint[];
  /** Why it is not right: a hint was given. */
  readonly hint: boolean;
  /** How many required points the last try left out. */
  readonly lacking: number;
}

/** Whether a try holds every critical point, without a hint. */
export function isRight({ points }: SafetyQuestion, { heard, hint }: OralTry): boolean {
  return !hint && points.every(({ code, critical }) => !critical || heard.includes(code));
}

/**
 * What the tries at a question come to.
 * @param tries in order, one or more
 * @param allowed how many tries the standard gives, 1 or more
 */
export function judgeOral(question: SafetyQuestion, tries: readonly OralTry[], allowed: number): OralResult {
  const last = tries.at(-1) ?? { heard: [], hint: false };
  const missed = question.points.filter(({ code }) => !last.heard.includes(code));
  const told = { missed, hint: last.hint, lacking: missed.filter(({ critical }) => critical).length };
  if (tries.some((one) => isRight(question, one))) return { outcome: 'right', ...told };
  return { outcome: tries.length < allowed ? 'again' : 'wrong', ...told };
}

/**
 * Draws a question as the standard does, not one that was just asked where there is another.
 * @param random gives numbers from 0 up to 1
 * @returns undefined where the bank has none of this kind
 */
export function drawQuestion(
  bank: readonly SafetyQuestion[],
  standard: EffectiveStandard,
  rule: QuestionRule,
  justAsked: readonly string[],
  random: () => number,
): SafetyQuestion | undefined {
  const kinds = kindsOfItem(standard, rule.item);
  const all = bank.filter(({ kind }) => kinds.includes(kind));
  const fresh = all.filter(({ id }) => !justAsked.includes(id));
  const from = fresh.length > 0 ? fresh : all;
  return from.length > 0 ? pick(random, from) : undefined;
}
