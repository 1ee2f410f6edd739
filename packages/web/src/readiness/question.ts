import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Question } from '@jasperwren/core/readiness/estimate';
import { questionUnder } from '@jasperwren/core/readiness/question';
import { schoolsFrom } from '@jasperwren/core/readiness/school-figures';

/** The question of how ready a learner is, with everything that is known of them, on the moment that every page of the day has. */
export function questionOf(input: ReadinessInput, standard: EffectiveStandard): Question {
  const { school, on, results, schoolMadeAt, ...known } = input;
  return questionUnder(standard, schoolsFrom(school), { ...known, on: new Date(on) });
}
