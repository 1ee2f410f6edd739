import type { LearnerView } from '@jasperwren/contract/learners';
import { testMoment } from '@jasperwren/core/safety-questions/aim';
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { chanceOnTest } from '@jasperwren/core/safety-questions/chance';
import { memoryOf } from '@jasperwren/core/safety-questions/memory';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { asOf } from '@jasperwren/core/readiness/estimate';
import { checksOf, reviewsOf } from '../safety-questions/store';
import type { InSchool } from '../call';

/** The chance that a learner's safety questions are right on the day of the test, or today; undefined where none are asked. */
export async function chanceOfQuestions(
  call: InSchool,
  { id, testDate }: LearnerView,
  standard: EffectiveStandard,
): Promise<number | undefined> {
  const { now } = call;
  const [{ questions }, reviews] = await Promise.all([checksOf(call), reviewsOf(call, id)]);
  const test = testDate === undefined ? undefined : testMoment(testDate);
  return chanceOnTest(standard, bankOf(questions), memoryOf(reviews), test && test > now ? test : asOf(now));
}
