import { keyPoint, type SafetyQuestion } from '../question';

/** A question about a rule of the road, with one answer that must be heard. */
export const rule = (
  id: string,
  topic: string,
  ask: string,
  answer: string,
  ...says: readonly string[]
): SafetyQuestion => ({
  id: `rules.${id}`,
  version: 1,
  kind: 'rules',
  topic,
  ask,
  points: [keyPoint('!answer', answer, ...says)],
});
