import type { SheetView } from '@jasperwren/contract/sheets';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { evidenceOfSheet } from '@jasperwren/core/readiness/evidence';
import type { InSchool } from '../call';
import type { DriveDigest } from '../drives/digest';
import { boundStandard } from '../standards/store';

/** What the ended drives of one learner say, oldest first. */
export async function evidenceOfLearner(call: InSchool, learnerId: string): Promise<readonly Evidence[]> {
  const rows = await drivesOf(call).where('learner_id', '=', learnerId).execute();
  return rows.flatMap(toEvidence);
}

/** What the ended drives of every learner of a school say, by learner, oldest first. */
export async function evidenceOfSchool(call: InSchool): Promise<ReadonlyMap<string, readonly Evidence[]>> {
  const byLearner = new Map<string, Evidence[]>();
  for (const row of await drivesOf(call).execute()) {
    const others = byLearner.get(row.learner_id);
    if (others) others.push(...toEvidence(row));
    else byLearner.set(row.learner_id, toEvidence(row));
  }
  return byLearner;
}

/** What sheets of real tests say, in their order. */
export const evidenceOfSheets = (call: InSchool, sheets: readonly SheetView[]): Promise<readonly Evidence[]> =>
  Promise.all(
    sheets.map(async ({ standard, entries, date }) =>
      evidenceOfSheet(await boundStandard(call, standard.id, standard.version), entries, date),
    ),
  );

function drivesOf({ db, who: { schoolId } }: InSchool) {
  return db
    .selectFrom('drives')
    .select(['learner_id', 'account_id', 'started_at', 'digest'])
    .where('school_id', '=', schoolId)
    .orderBy('started_at');
}

type Row = Awaited<ReturnType<ReturnType<typeof drivesOf>['executeTakeFirstOrThrow']>>;

function toEvidence({ digest, started_at, account_id }: Row): Evidence[] {
  const { phase, evidence } = JSON.parse(digest) as DriveDigest;
  return phase === 'ended' && evidence ? [{ ...evidence, at: started_at, marker: account_id }] : [];
}
