import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { assumptionsFor, type Assumptions } from '@jasperwren/core/readiness/assumptions';
import type { Question } from '@jasperwren/core/readiness/estimate';
import { schoolFrom, type KindFigures } from '@jasperwren/core/readiness/school-figures';
import { testKindOf } from '@jasperwren/core/marking/test-kind';

/** What is assumed of the learners of a school under a standard. */
export const usualAssumptions = ({ school }: ReadinessInput, standard: EffectiveStandard): Assumptions =>
  assumptionsFor(schoolFrom(figuresFor(school, standard)), standard.id);

const figuresFor = (school: ReadinessInput['school'], standard: EffectiveStandard): KindFigures =>
  school[testKindOf(standard)];

/**
 * The question of how ready a learner is, with everything that is known of them, on the moment that every page of the day has.
 * @param assumptions the school's own, or what somebody tries instead
 */
export function questionOf(
  input: ReadinessInput,
  standard: EffectiveStandard,
  assumptions: Assumptions = usualAssumptions(input, standard),
): Question {
  const { evidence, school, questions, on, lessons, testDate, centre, sights } = input;
  return {
    standard,
    evidence,
    on: new Date(on),
    assumptions,
    school: schoolFrom(figuresFor(school, standard)),
    questions,
    lessons,
    ...(testDate !== undefined && { testDate }),
    ...(centre !== undefined && { centre }),
    sights: new Map(sights.map((sight) => [sight.id, sight])),
    seed: 1,
  };
}
