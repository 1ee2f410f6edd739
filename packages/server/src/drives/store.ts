import type { DriveSummary, DriveView, EventReceipt } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { getLearner } from '../learners/store';
import { getStandard } from '../standards/store';
import { digestOf, type DriveDigest } from './digest';

/**
 * Takes events of one drive: each id once, all of them or none. When this returns, they are on disk.
 * A drive begins with the batch that holds its start.
 * @throws 409 where the drive is unknown and its start not among the events; 404 where the school does not have
 *   the learner or the standard
 */
export async function appendEvents(
  db: Db,
  who: { schoolId: string; accountId: string },
  driveId: string,
  events: readonly DriveEvent[],
): Promise<EventReceipt> {
  const { schoolId, accountId } = who;
  return db.transaction().execute(async (trx) => {
    const known = await trx
      .selectFrom('drives')
      .select(['standard_id', 'standard_version'])
      .where('school_id', '=', schoolId)
      .where('id', '=', driveId)
      .executeTakeFirst();
    const started = events.find((event) => event.type === 'started');
    const ref = known ? { id: known.standard_id, version: known.standard_version } : started?.standard;
    if (!ref) {
      throw createError(409, 'The start of this drive has not arrived yet. Nothing was taken; send the start first.', {
        code: 'no-start',
      });
    }
    const standard = await getStandard(trx, schoolId, ref.id, ref.version);
    if (!known && started) {
      await getLearner(trx, schoolId, started.learnerId);
      await trx
        .insertInto('drives')
        .values({
          school_id: schoolId,
          id: driveId,
          learner_id: started.learnerId,
          account_id: accountId,
          standard_id: ref.id,
          standard_version: ref.version,
          started_at: new Date(started.wall).toISOString(),
          digest: '{}',
        })
        .execute();
    }
    const received_at = new Date().toISOString();
    await trx
      .insertInto('events')
      .values(
        events.map((event) => ({
          school_id: schoolId,
          drive_id: driveId,
          id: event.id,
          account_id: accountId,
          body: JSON.stringify(event),
          received_at,
        })),
      )
      .onConflict((conflict) => conflict.columns(['school_id', 'drive_id', 'id']).doNothing())
      .execute();
    const digest = digestOf(standard, await eventsOf(trx, schoolId, driveId));
    await trx
      .updateTable('drives')
      .set({ digest: JSON.stringify(digest) })
      .where('school_id', '=', schoolId)
      .where('id', '=', driveId)
      .execute();
    return { accepted: events.map((event) => event.id) };
  });
}

/**
 * A drive with its log and the version of the standard it is judged by.
 * @throws 404 where the school has none such
 */
export async function getDrive(db: Db, schoolId: string, driveId: string): Promise<DriveView> {
  const row = await selectDrives(db, schoolId).where('drives.id', '=', driveId).executeTakeFirst();
  if (!row) throw createError(404, 'Your school has no such drive.', { code: 'no-drive' });
  return {
    summary: toSummary(row),
    standard: await getStandard(db, schoolId, row.standard_id, row.standard_version),
    events: await eventsOf(db, schoolId, driveId),
  };
}

/** The drives of a learner, oldest first. */
export async function drivesOfLearner(db: Db, schoolId: string, learnerId: string): Promise<readonly DriveSummary[]> {
  await getLearner(db, schoolId, learnerId);
  const rows = await selectDrives(db, schoolId).where('learner_id', '=', learnerId).orderBy('started_at').execute();
  return rows.map(toSummary);
}

/** The latest drives of a school, newest first. */
export async function latestDrives(db: Db, schoolId: string, most: number): Promise<readonly DriveSummary[]> {
  const rows = await selectDrives(db, schoolId).orderBy('started_at', 'desc').limit(most).execute();
  return rows.map(toSummary);
}

async function eventsOf(db: Db, schoolId: string, driveId: string): Promise<readonly DriveEvent[]> {
  const rows = await db
    .selectFrom('events')
    .select('body')
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .execute();
  return rows.map((row) => JSON.parse(row.body) as DriveEvent);
}

function selectDrives(db: Db, schoolId: string) {
  return db
    .selectFrom('drives')
    .innerJoin('learners', 'learners.id', 'drives.learner_id')
    .innerJoin('accounts', 'accounts.id', 'drives.account_id')
    .select([
      'drives.id',
      'drives.learner_id',
      'drives.standard_id',
      'drives.standard_version',
      'drives.started_at',
      'drives.digest',
      'learners.name as learner_name',
      'accounts.name as instructor_name',
    ])
    .where('drives.school_id', '=', schoolId);
}

type DriveRow = Awaited<ReturnType<ReturnType<typeof selectDrives>['executeTakeFirstOrThrow']>>;

function toSummary(row: DriveRow): DriveSummary {
  return {
    id: row.id,
    learnerId: row.learner_id,
    learnerName: row.learner_name,
    instructorName: row.instructor_name,
    startedAt: row.started_at,
    ...(JSON.parse(row.digest) as DriveDigest),
  };
}
