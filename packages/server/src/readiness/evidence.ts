import type { SheetView } from '@jasperwren/contract/sheets';
import { groupBy } from '@jasperwren/core/marking/grouping';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { evidenceOfSheet } from '@jasperwren/core/readiness/evidence';
import type { InSchool } from '../call';
import type { DriveDigest } from '../drives/digest';
import { sheetsOfSchool } from '../sheets/store';
import { knownShares } from '../traces/familiarity';
import { boundStandard } from '../standards/store';

/** What the ended drives of one learner say, oldest first. */
export async function evidenceOfLearner(call: InSchool, learnerId: string): Promise<readonly Evidence[]> {
  const rows = await drivesOf(call).where('learner_id', '=', learnerId).execute();
  const known = await knownShares(call, learnerId);
  return rows.flatMap((row) => toEvidence(row, known));
}

/** What the ended drives and the driving tests of every learner of a school say, by learner, drives first, oldest first. */
export async function evidenceOfSchool(call: InSchool): Promise<ReadonlyMap<string, readonly Evidence[]>> {
  const byLearner = new Map<string, Evidence[]>();
  const known = await knownShares(call);
  for (const row of await drivesOf(call).execute()) {
    const others = byLearner.get(row.learner_id);
    if (others) others.push(...toEvidence(row, known));
    else byLearner.set(row.learner_id, toEvidence(row, known));
  }
  for (const [learnerId, sheets] of groupBy(await sheetsOfSchool(call), (one) => one.learnerId)) {
    const told = await evidenceOfSheets(call, sheets);
    byLearner.set(learnerId, [...(byLearner.get(learnerId) ?? []), ...told]);
  }
  return byLearner;
}

/**
 * What sheets of real tests say, in their order. Of one without counts, or whose counts come to another result than was said,
 * the faults are not known: it says nothing.
 */
export const evidenceOfSheets = (call: InSchool, sheets: readonly SheetView[]): Promise<readonly Evidence[]> =>
  Promise.all(
    sheets
      .filter(({ entries, agrees }) => entries.length > 0 && agrees)
      .map(async ({ standard, entries, date, centre }) =>
        evidenceOfSheet(await boundStandard(call, standard.id, standard.version), entries, date, centre),
      ),
  );

function drivesOf({ db, who: { schoolId } }: InSchool) {
  return db
    .selectFrom('drives')
    .select(['id', 'learner_id', 'account_id', 'started_at', 'digest'])
    .where('school_id', '=', schoolId)
    .orderBy('started_at');
}

type Row = Awaited<ReturnType<ReturnType<typeof drivesOf>['executeTakeFirstOrThrow']>>;

function toEvidence({ id, digest, started_at, account_id }: Row, known: ReadonlyMap<string, number>): Evidence[] {
  const { phase, evidence } = JSON.parse(digest) as DriveDigest;
  const knownShare = known.get(id);
  return phase === 'ended' && evidence
    ? [{ ...evidence, at: started_at, marker: account_id, ...(knownShare !== undefined && { knownShare }) }]
    : [];
}
