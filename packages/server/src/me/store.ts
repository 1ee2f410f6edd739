import type { MeView, MyDebrief } from '@jasperwren/contract/checks';
import type { SharedDebrief } from '@jasperwren/contract/shares';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { itemName } from '@jasperwren/core/marking/wording';
import createError from 'http-errors';
import type { Db } from '../db/database';
import type { DriveDigest } from '../drives/digest';
import { drivesOfLearner, getDrive } from '../drives/store';
import { checksOf } from '../checks/store';
import type { LearnerWho } from '../http/call';
import { getLearner } from '../learners/store';
import { sharedDebrief } from '../shares/store';
import { newestStandards } from '../standards/store';

/** What a learner sees of themselves. */
export async function me(db: Db, { schoolId, learnerId }: LearnerWho, csrfToken: string): Promise<MeView> {
  const learner = await getLearner(db, schoolId, learnerId);
  const [checks, standards, school, workOn] = await Promise.all([
    checksOf(db, schoolId),
    newestStandards(db, schoolId),
    db.selectFrom('schools').select('name').where('id', '=', schoolId).executeTakeFirstOrThrow(),
    agreedWork(db, { schoolId, learnerId }),
  ]);
  return {
    ...checks,
    learnerId,
    firstName: learner.name.split(/\s+/)[0] ?? '',
    school: school.name,
    ...(learner.testDate && { testDate: learner.testDate }),
    standard: standards.find(({ id }) => id === learner.standardId)!,
    ...(learner.vehicleId && { vehicleId: learner.vehicleId }),
    workOn,
    csrfToken,
  };
}

/** What was agreed at the last debrief, in words. */
async function agreedWork(db: Db, { schoolId, learnerId }: LearnerWho): Promise<readonly string[]> {
  const drives = await drivesOfLearner(db, schoolId, learnerId);
  const last = drives.findLast(({ debriefed }) => debriefed);
  if (!last) return [];
  const { standard, events } = await getDrive(db, schoolId, last.id);
  return foldDrive(events).debriefed?.workOn.map((item) => itemName(standard, item)) ?? [];
}

/** The debriefs shared with a learner that can still be read, the newest first. */
export async function myDebriefs(db: Db, { schoolId, learnerId }: LearnerWho): Promise<readonly MyDebrief[]> {
  const rows = await openShares(db, schoolId, learnerId)
    .select(['shares.id', 'shares.expires_at', 'drives.started_at', 'drives.digest'])
    .orderBy('drives.started_at', 'desc')
    .execute();
  return rows.map(({ id, expires_at, started_at, digest }) => ({
    id,
    startedAt: started_at,
    expiresAt: expires_at,
    outcome: (JSON.parse(digest) as DriveDigest).outcome,
  }));
}

/**
 * One of them, whole.
 * @throws 404 where none such was shared with this learner, also where it was with another
 */
export async function myDebrief(db: Db, { schoolId, learnerId }: LearnerWho, id: string): Promise<SharedDebrief> {
  const row = await openShares(db, schoolId, learnerId)
    .select(['shares.drive_id', 'shares.expires_at'])
    .where('shares.id', '=', id)
    .executeTakeFirst();
  if (!row) throw createError(404, 'No such debrief is shared with you, or not any more.', { code: 'no-share' });
  return sharedDebrief(db, schoolId, row.drive_id, row.expires_at);
}

function openShares(db: Db, schoolId: string, learnerId: string) {
  return db
    .selectFrom('shares')
    .innerJoin('drives', (join) =>
      join.onRef('drives.id', '=', 'shares.drive_id').onRef('drives.school_id', '=', 'shares.school_id'),
    )
    .where('shares.school_id', '=', schoolId)
    .where('drives.learner_id', '=', learnerId)
    .where('shares.revoked_at', 'is', null)
    .where('shares.expires_at', '>', new Date().toISOString());
}
