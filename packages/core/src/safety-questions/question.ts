import type { EffectiveStandard } from '../marking/standard';
import type { ControlCode } from './vehicle';

/** `tell` at rest, `show` on the move; the others belong to an oral part. */
export const questionKinds = ['tell', 'show', 'bonnet', 'hand-signal', 'rules'] as const;
export type QuestionKind = (typeof questionKinds)[number];

/** Something an answer should hold. */
export interface KeyPoint {
  readonly code: string;
  /** In words; `{control:headlights}` stands for where and how that control works in the learner's car. */
  readonly text: string;
  /** Without it the answer is wrong. */
  readonly critical: boolean;
  /** Ways of saying it, in the notation of `heardIn`. */
  readonly says: readonly string[];
}

/** A question about the car or the road, answered on key points and not on wording. */
export interface SafetyQuestion {
  readonly id: string;
  readonly version: number;
  readonly kind: QuestionKind;
  readonly topic: string;
  readonly ask: string;
  readonly points: readonly KeyPoint[];
  /** The controls it is about, which differ from car to car. */
  readonly controls?: readonly ControlCode[];
  /** The answer is a row of steps: their codes in order. */
  readonly steps?: readonly string[];
  readonly sign?: string;
  readonly handSignal?: string;
}

/** Short for a key point; one with `!` before its code is critical. */
export function keyPoint(code: string, text: string, ...says: readonly string[]): KeyPoint {
  return { code: code.replace('!', ''), text, critical: code.startsWith('!'), says };
}

const behaviourOf: Readonly<Record<QuestionKind, string>> = {
  tell: 'checks.tell',
  show: 'checks.show',
  bonnet: 'checks.bonnet',
  'hand-signal': 'checks.hand-signals',
  rules: 'checks.rules',
};

/** The kinds of question a standard asks, by what its items are about. */
export function kindsOf(standard: EffectiveStandard): readonly QuestionKind[] {
  const behaviours = new Set(standard.categories.flatMap(({ items }) => items.map(({ behaviour }) => behaviour)));
  return questionKinds.filter((kind) => behaviours.has(behaviourOf[kind]));
}

/** The kinds of question that belong to an item of a standard; technical checks are explained like tell questions. */
export function kindsOfItem(standard: EffectiveStandard, itemCode: string): readonly QuestionKind[] {
  const item = standard.categories.flatMap(({ items }) => items).find(({ code }) => code === itemCode);
  if (item?.behaviour === 'checks.outside') return ['tell'];
  return questionKinds.filter((kind) => behaviourOf[kind] === item?.behaviour);
}

/** The names of the standards that ask questions of this kind. */
export function standardsAsking(kind: QuestionKind, standards: readonly EffectiveStandard[]): readonly string[] {
  return standards.filter((standard) => kindsOf(standard).includes(kind)).map(({ name }) => name);
}

/** What can be wrong with a question that somebody wrote. */
export type QuestionProblem =
  'no-topic' | 'no-question' | 'no-points' | 'point-without-words' | 'nothing-required' | 'code-twice' | 'strange-step';

/** What is wrong with a question that somebody wrote; empty where nothing is. */
export function problemsOf({ ask, topic, points, steps }: SafetyQuestion): readonly QuestionProblem[] {
  const codes = points.map(({ code }) => code);
  const problems: readonly (readonly [QuestionProblem, boolean])[] = [
    ['no-topic', topic.trim() === ''],
    ['no-question', ask.trim() === ''],
    ['no-points', points.length === 0],
    ['point-without-words', points.some(({ text }) => text.trim() === '')],
    // Without one, nothing makes an answer wrong.
    ['nothing-required', points.length > 0 && !points.some(({ critical }) => critical)],
    ['code-twice', new Set(codes).size < codes.length],
    ['strange-step', steps?.some((code) => !codes.includes(code)) ?? false],
  ];
  return problems.flatMap(([problem, is]) => (is ? [problem] : []));
}
