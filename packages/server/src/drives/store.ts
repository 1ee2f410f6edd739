import type { DriveNews, DriveSummary, DriveView } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { getLearner } from '../learners/store';
import { getStandard } from '../standards/store';
import type { DriveDigest } from './digest';

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
    ...clockOf(row),
  };
}

/**
 * What a device may not know yet of a drive: everything, once the server has another number of events.
 * @param known how many events of the server the device has
 * @throws 404 where the school has no such drive
 */
export async function newsOf(db: Db, schoolId: string, driveId: string, known: number): Promise<DriveNews | undefined> {
  const { events, clockMs } = await getDrive(db, schoolId, driveId);
  return events.length === known ? undefined : { events, ...(clockMs !== undefined && { clockMs }) };
}

/** The drive's clock, running on since a device last said it. */
function clockOf(row: DriveRow): Pick<DriveView, 'clockMs'> {
  const { phase } = JSON.parse(row.digest) as DriveDigest;
  if (row.clock_ms === null || row.clock_at === null || phase === 'ended' || phase === 'briefing') return {};
  return { clockMs: row.clock_ms + Math.max(0, Date.now() - Date.parse(row.clock_at)) };
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

/** The log of a drive, in no order. */
export async function eventsOf(db: Db, schoolId: string, driveId: string): Promise<readonly DriveEvent[]> {
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
      'drives.account_id',
      'drives.standard_id',
      'drives.standard_version',
      'drives.started_at',
      'drives.digest',
      'drives.clock_ms',
      'drives.clock_at',
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
