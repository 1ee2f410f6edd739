import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { withOptions } from '@jasperwren/core/marking/options';
import type { Standard } from '@jasperwren/core/marking/standard';
import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import { asOf, type Question } from '@jasperwren/core/readiness/estimate';

/**
 * The question of how ready a learner is, with everything that is known of them.
 * @param assumptions the school's own, or what somebody tries instead
 */
export function questionOf(
  { evidence, school, questions }: ReadinessInput,
  standard: Standard,
  now: Date,
  assumptions: Assumptions = school.assumptions,
): Question {
  return {
    standard: withOptions(standard),
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
