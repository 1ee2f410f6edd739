import type { EffectiveStandard } from '../marking/standard';
import { testKindOf } from '../marking/test-kind';
import { assumptionsFor, type SchoolByKind } from './assumptions';
import type { Question } from './estimate';
import type { StandardSight } from './shown';

/** What is known of a learner and of what they drove. */
export interface Known extends Pick<Question, 'evidence' | 'on' | 'lessons' | 'testDate' | 'centre' | 'questions'> {
  readonly sights: readonly StandardSight[];
}

/**
 * The question of how ready a learner is for a test of a standard, by the figures of their school in tests of its kind: what
 * every page, list and command asks.
 */
export function questionUnder(standard: EffectiveStandard, schools: SchoolByKind, known: Known): Question {
  const school = schools[testKindOf(standard)];
  return {
    ...known,
    standard,
    school,
    assumptions: assumptionsFor(school, standard.id),
    sights: new Map(known.sights.map((sight) => [sight.id, sight])),
    seed: 1,
  };
}
