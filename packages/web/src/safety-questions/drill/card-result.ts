import type { DrillCard } from '@jasperwren/core/safety-questions/drill';
import { ratingOf, type Rating } from '@jasperwren/core/safety-questions/memory';

/** What a card came to. */
export interface CardResult {
  readonly rating: Rating;
  readonly missed: readonly string[];
}

/** A result by key points: what was heard decides. */
export function byPoints({ question }: DrillCard, heard: readonly string[]): CardResult {
  return {
    rating: ratingOf(question, heard),
    missed: question.points.map(({ code }) => code).filter((code) => !heard.includes(code)),
  };
}
