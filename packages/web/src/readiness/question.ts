import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import { asOf, type Question } from '@jasperwren/core/readiness/estimate';

/**
 * The question of how ready a learner is, with everything that is known of them.
 * @param assumptions the school's own, or what somebody tries instead
 */
export function questionOf(
  { evidence, school, questions }: ReadinessInput,
  standard: EffectiveStandard,
  now: Date,
  assumptions: Assumptions = school.assumptions,
): Question {
  return {
    standard,
    evidence,
    on: asOf(now),
    assumptions,
    school: {
      ...school,
      counted: new Map(school.counted),
      outright: new Map(school.outright),
      markers: new Map(school.markers),
    },
    questions,
    seed: 1,
  };
}
