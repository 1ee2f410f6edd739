import type { SheetView } from '@jasperwren/contract/sheets';
import { estimateBefore } from '@jasperwren/core/readiness/estimate';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import type { InSchool } from '../call';
import { getLearner } from '../learners/store';
import { newestStandards } from '../standards/store';
import { evidenceOfSchool } from './evidence';
import { fitSchool } from './figures';

export interface BeforeTask {
  readonly schoolId: string;
  readonly learnerId: string;
  /** `YYYY-MM-DD`. */
  readonly date: string;
}

/** The chance of a pass as it stood on the eve of a real test; undefined where nothing had been driven by then. */
export async function chanceBefore(call: InSchool, { learnerId, date }: BeforeTask): Promise<SheetView['before']> {
  const [learner, standards, drives] = await Promise.all([
    getLearner(call, learnerId),
    newestStandards(call),
    evidenceOfSchool(call),
  ]);
  const standard = standards.find(({ id }) => id === learner.standardId);
  const known = (of: readonly Evidence[]) => of.filter(({ at }) => at < date);
  const before = known(drives.get(learnerId) ?? []);
  if (!standard || before.length === 0) return undefined;
  return estimateBefore(standard, before, date, fitSchool([...drives.values()].map(known)));
}
