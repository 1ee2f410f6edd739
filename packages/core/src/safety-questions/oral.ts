import type { QuestionRule, EffectiveStandard } from '../marking/standard';
import { recallAt, type Memory } from './memory';
import { kindsOfItem, type SafetyQuestion, type KeyPoint } from './question';
import { randomFrom } from './random';

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

/** The questions of a bank that belong to a rule of the standard. */
export function questionsFor(
  bank: readonly SafetyQuestion[],
  standard: EffectiveStandard,
  { item }: QuestionRule,
): readonly SafetyQuestion[] {
  const kinds = kindsOfItem(standard, item);
  return bank.filter(({ kind }) => kinds.includes(kind));
}

/** What a question weighs in a draw besides how likely it is forgotten, and one that was never answered (house defaults). */
const evenSure = 0.15;
const unseen = 0.6;

/**
 * The questions of a rule in the order in which they are asked on a drive: drawn, the ones that a learner may have
 * forgotten sooner (Efraimidis and Spirakis, 2006: weighted sampling without replacement), and those that were asked last
 * time after all the others.
 * @param memory what the learner remembers, by question
 * @param justAsked questions of the last time, by their ids
 * @param seed any whole number; the same gives the same order
 */
export function inAskingOrder(
  candidates: readonly SafetyQuestion[],
  memory: ReadonlyMap<string, Memory>,
  justAsked: readonly string[],
  on: Date,
  seed: number,
): readonly SafetyQuestion[] {
  const random = randomFrom(seed);
  const drawn = candidates
    .map((question) => {
      const known = memory.get(question.id);
      const weight = evenSure + (known ? 1 - recallAt(known, on) : unseen);
      return { question, key: random() ** (1 / weight) };
    })
    .sort((a, b) => b.key - a.key)
    .map(({ question }) => question);
  const again = ({ id }: SafetyQuestion) => justAsked.includes(id);
  return [...drawn.filter((one) => !again(one)), ...drawn.filter(again)];
}
