import { t } from '@jasperwren/words/refusals';
import type { DriveNews, DriveSummary, DriveView } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { InSchool } from '../call';
import { missing } from '../refusal';
import { getLearner } from '../learners/store';
import { boundStandard } from '../standards/store';
import type { DriveDigest } from './digest';

/**
 * A drive with its log and the version of the standard it is judged by.
 * @throws missing where the school has none such
 */
export async function getDrive(call: InSchool, driveId: string): Promise<DriveView> {
  const row = await selectDrives(call).where('drives.id', '=', driveId).executeTakeFirst();
  if (!row) throw missing(t('mockTestNotFound'), { code: 'no-drive' });
  return {
    summary: toSummary(row),
    standard: await boundStandard(call, row.standard_id, row.standard_version),
    events: await eventsOf(call, driveId),
    ...clockOf(row, call.now),
  };
}

/**
 * What a device may not know yet of a drive: everything, once the server has another number of events.
 * @param known how many events of the server the device has
 * @throws missing where the school has no such drive
 */
export async function newsOf(call: InSchool, driveId: string, known: number): Promise<DriveNews | undefined> {
  const { events, clockMs } = await getDrive(call, driveId);
  return events.length === known ? undefined : { events, ...(clockMs !== undefined && { clockMs }) };
}

/** The drive's clock, running on since a device last said it. */
function clockOf(row: DriveRow, now: Date): Pick<DriveView, 'clockMs'> {
  const { phase } = JSON.parse(row.digest) as DriveDigest;
  if (row.clock_ms === null || row.clock_at === null || phase === 'ended' || phase === 'briefing') return {};
  return { clockMs: row.clock_ms + Math.max(0, now.getTime() - Date.parse(row.clock_at)) };
}

/** The drives of a learner, oldest first. */
export async function drivesOfLearner(call: InSchool, learnerId: string): Promise<readonly DriveSummary[]> {
  await getLearner(call, learnerId);
  const rows = await selectDrives(call).where('learner_id', '=', learnerId).orderBy('started_at').execute();
  return rows.map(toSummary);
}

/** The latest drives of a school, newest first. */
export async function latestDrives(call: InSchool, most: number): Promise<readonly DriveSummary[]> {
  const rows = await selectDrives(call).orderBy('started_at', 'desc').limit(most).execute();
  return rows.map(toSummary);
}

/** The log of a drive, in no order. */
export async function eventsOf({ db, who: { schoolId } }: InSchool, driveId: string): Promise<readonly DriveEvent[]> {
  const rows = await db
    .selectFrom('events')
    .select('body')
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .execute();
  return rows.map((row) => JSON.parse(row.body) as DriveEvent);
}

function selectDrives({ db, who: { schoolId } }: InSchool) {
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
