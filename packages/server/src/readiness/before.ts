import type { SheetView } from '@jasperwren/contract/sheets';
import { estimateBefore } from '@jasperwren/core/readiness/estimate';
import type { Db } from '../db/database';
import { evidenceOfSchool, type SchoolDrive } from '../drives/store';
import { getLearner } from '../learners/store';
import { newestStandards } from '../standards/store';
import { fitGently } from './figures';

/** The chance of a pass as it stood on the eve of a real test; undefined where nothing had been driven by then. */
export async function readinessBefore(
  db: Db,
  schoolId: string,
  learnerId: string,
  date: string,
): Promise<SheetView['before']> {
  const [learner, standards, drives] = await Promise.all([
    getLearner(db, schoolId, learnerId),
    newestStandards(db, schoolId),
    evidenceOfSchool(db, schoolId),
  ]);
  const standard = standards.find(({ id }) => id === learner.standardId);
  const known = (of: readonly SchoolDrive[]) => of.map(({ evidence }) => evidence).filter(({ at }) => at < date);
  const before = known(drives.get(learnerId) ?? []);
  if (!standard || before.length === 0) return undefined;
  const school = await fitGently([...drives.values()].map(known));
  return estimateBefore(standard, before, date, school);
}
