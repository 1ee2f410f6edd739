import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { withOptions } from '@jasperwren/core/marking/options';
import type { Standard } from '@jasperwren/core/marking/standard';
import { defaultAssumptions, type Assumptions } from '@jasperwren/core/readiness/assumptions';
import { asOf, type Question } from '@jasperwren/core/readiness/estimate';

/** The question of how ready a learner is, with everything that is known of them. */
export function questionOf(input: ReadinessInput, standard: Standard, now: Date, assumptions: Assumptions): Question {
  // The school's own rates stand in for the stated default only while nobody says otherwise.
  const ownRates =
    input.prior.drives > 0 &&
    assumptions.priorCounted === defaultAssumptions.priorCounted &&
    assumptions.priorOutright === defaultAssumptions.priorOutright;
  return {
    standard: withOptions(standard),
    evidence: input.evidence,
    on: asOf(now),
    assumptions,
    ...(ownRates && {
      prior: {
        counted: new Map(input.prior.counted),
        outright: new Map(input.prior.outright),
        drives: input.prior.drives,
      },
    }),
    questions: input.questions,
    seed: 1,
  };
}
