import { t } from '@jasperwren/words/refusals';
import type { MeView, MyDebrief } from '@jasperwren/contract/me';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { itemName } from '@jasperwren/words/marking/names';
import type { Call, InSchool, LearnerWho } from '../call';
import { missing } from '../refusal';
import type { DriveDigest } from '../drives/digest';
import { drivesOfLearner, getDrive } from '../drives/store';
import { checksOf } from '../safety-questions/store';
import { getLearner } from '../learners/store';
import type { SharedDrive } from '../shares/store';
import { newestStandards } from '../standards/store';

/** What a learner sees of themselves. */
export async function me(call: Call<LearnerWho>, csrfToken: string): Promise<MeView> {
  const {
    db,
    who: { schoolId, learnerId },
  } = call;
  const learner = await getLearner(call, learnerId);
  const [checks, standards, school, workOn] = await Promise.all([
    checksOf(call),
    newestStandards(call),
    db.selectFrom('schools').select('name').where('id', '=', schoolId).executeTakeFirstOrThrow(),
    agreedWork(call),
  ]);
  return {
    questions: checks.questions.map(({ question, retired }) => ({ question, retired })),
    vehicles: checks.vehicles,
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
async function agreedWork(call: Call<LearnerWho>): Promise<readonly string[]> {
  const {
    who: { learnerId },
  } = call;
  const drives = await drivesOfLearner(call, learnerId);
  const last = drives.findLast(({ debriefed }) => debriefed);
  if (!last) return [];
  const { standard, events } = await getDrive(call, last.id);
  return foldDrive(events).debriefed?.workOn.map((item) => itemName(standard, item)) ?? [];
}

/** The debriefs shared with a learner that can still be read, the newest first. */
export async function myDebriefs(call: Call<LearnerWho>): Promise<readonly MyDebrief[]> {
  const {
    who: { learnerId },
  } = call;
  const rows = await openShares(call, learnerId)
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
 * @throws missing where none such was shared with this learner, also where it was with another
 */
export async function mySharedDrive(call: Call<LearnerWho>, id: string): Promise<SharedDrive> {
  const {
    who: { learnerId, schoolId },
  } = call;
  const row = await openShares(call, learnerId)
    .select(['shares.drive_id', 'shares.expires_at'])
    .where('shares.id', '=', id)
    .executeTakeFirst();
  if (!row) throw missing(t('noSuchDebrief'), { code: 'no-share' });
  return { schoolId, driveId: row.drive_id, expiresAt: row.expires_at };
}

function openShares({ db, who: { schoolId }, now }: InSchool, learnerId: string) {
  return db
    .selectFrom('shares')
    .innerJoin('drives', (join) =>
      join.onRef('drives.id', '=', 'shares.drive_id').onRef('drives.school_id', '=', 'shares.school_id'),
    )
    .where('shares.school_id', '=', schoolId)
    .where('drives.learner_id', '=', learnerId)
    .where('shares.revoked_at', 'is', null)
    .where('shares.expires_at', '>', now.toISOString());
}
