import type { SheetView } from '@jasperwren/contract/sheets';
import { unknownSchools } from '@jasperwren/core/readiness/assumptions';
import { estimateBefore } from '@jasperwren/core/readiness/estimate';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { fitSchool } from '@jasperwren/core/readiness/fit';
import { questionUnder } from '@jasperwren/core/readiness/question';
import { testKindOf } from '@jasperwren/core/marking/test-kind';
import type { InSchool } from '../call';
import { getLearner } from '../learners/store';
import { newestStandards } from '../standards/store';
import { evidenceOfSchool } from './evidence';
import { knownOf, lessonsBy, sightsFor } from './known';

export interface BeforeTask {
  readonly schoolId: string;
  readonly learnerId: string;
  /** `YYYY-MM-DD`. */
  readonly date: string;
}

/** The chance of a pass as it stood on the eve of a real test; undefined where nothing had been driven by then. */
export async function chanceBefore(call: InSchool, { learnerId, date }: BeforeTask): Promise<SheetView['before']> {
  const [learner, standards, drives, lessons] = await Promise.all([
    getLearner(call, learnerId),
    newestStandards(call),
    evidenceOfSchool(call),
    lessonsBy(call),
  ]);
  const standard = standards.find(({ id }) => id === learner.standardId);
  const known = (of: readonly Evidence[]) => of.filter(({ at }) => at < date);
  const evidence = known(drives.get(learnerId) ?? []);
  if (!standard || evidence.length === 0) return undefined;
  const learners = [...drives].map(([id, of]) => ({ evidence: known(of), lessons: lessons.get(id) ?? [] }));
  const test = testKindOf(standard);
  const schools = { ...unknownSchools, [test]: fitSchool(learners, test) };
  const asked = { ...(await knownOf(call, learner)), evidence, sights: sightsFor(evidence, standards) };
  return estimateBefore(questionUnder(standard, schools, { ...asked, on: call.now }), date);
}
