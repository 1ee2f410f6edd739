import type { SafetyQuestion } from '../question';
import { oralQuestions } from './oral';
import { givingWayRules } from './giving-way';
import { onTheMoveRules } from './on-the-move';
import { signQuestions } from './sign-questions';
import { showQuestions } from './show';
import { tellQuestions } from './tell';

/** Every question the product ships with. */
export const shippedQuestions: readonly SafetyQuestion[] = [
  ...tellQuestions,
  ...showQuestions,
  ...oralQuestions,
  ...givingWayRules,
  ...onTheMoveRules,
  ...signQuestions,
];

/** A school's question: its own, a shipped one edited, or a shipped one taken out of use. */
export interface OwnQuestion {
  readonly question: SafetyQuestion;
  readonly retired: boolean;
}

/** The questions a school uses: the shipped ones, those it edited in their place, and its own after them. */
export function bankOf(own: readonly OwnQuestion[]): readonly SafetyQuestion[] {
  const byId = new Map(own.map((one) => [one.question.id, one]));
  const shipped = shippedQuestions.flatMap((question) => {
    const changed = byId.get(question.id);
    byId.delete(question.id);
    return changed ? (changed.retired ? [] : [changed.question]) : [question];
  });
  return [...shipped, ...[...byId.values()].flatMap(({ question, retired }) => (retired ? [] : [question]))];
}
