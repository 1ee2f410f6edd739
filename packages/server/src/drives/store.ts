import type { DriveNews, DriveSummary, DriveView, EventBatch, EventReceipt } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { eventText, sameOnce } from '@jasperwren/core/drive/same-once';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { getLearner } from '../learners/store';
import { getStandard } from '../standards/store';
import { digestOf, digestVersion, type DriveDigest } from './digest';

/**
 * Takes events of one drive: each id once, all of them or none. When this returns, they are on disk.
 * A drive begins with the batch that holds its start.
 * @throws 409 where the drive is unknown and its start not among the events, or where an event is known by its id and
 *   says something else; 404 where the school does not have the learner or the standard
 */
export async function appendEvents(
  db: Db,
  who: { schoolId: string; accountId: string },
  driveId: string,
  { events, clockMs }: Pick<EventBatch, 'events' | 'clockMs'>,
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
          digest_version: 0,
        })
        .execute();
    }
    const before = await eventsOf(trx, schoolId, driveId);
    refuseConflicts(before, events);
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
    const digest = digestOf(standard, [...before, ...events]);
    await trx
      .updateTable('drives')
      .set({
        digest: JSON.stringify(digest),
        digest_version: digestVersion,
        ...(clockMs !== undefined && { clock_ms: clockMs, clock_at: received_at }),
      })
      .where('school_id', '=', schoolId)
      .where('id', '=', driveId)
      .execute();
    return { accepted: events.map((event) => event.id) };
  });
}

/** @throws 409 where two events share an id and differ, with the id and where each of them is */
function refuseConflicts(before: readonly DriveEvent[], events: readonly DriveEvent[]): void {
  const known = sameOnce(before);
  const here = new Map<string, number>();
  events.forEach((event, i) => {
    const earlier = here.get(event.id);
    const other = earlier === undefined ? known.get(event.id) : events[earlier];
    here.set(event.id, earlier ?? i);
    if (!other || eventText(other) === eventText(event)) return;
    const place = earlier === undefined ? 'the drive already has' : `event ${earlier} of the batch has`;
    throw createError(
      409,
      `Event ${i} of the batch has the id that ${place}, and says something else. Nothing was taken.`,
      {
        code: 'event-conflict',
        problems: [{ field: `events.${i}.id`, message: `The id "${event.id}" stands for another event.` }],
      },
    );
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

/** What every ended drive of a school says, by learner. */
export async function evidenceOfSchool(db: Db, schoolId: string): Promise<ReadonlyMap<string, readonly SchoolDrive[]>> {
  const byLearner = new Map<string, SchoolDrive[]>();
  for (const row of await selectDrives(db, schoolId).orderBy('started_at').execute()) {
    const { phase, evidence } = JSON.parse(row.digest) as DriveDigest;
    if (phase !== 'ended' || !evidence) continue;
    const drive = {
      evidence: { ...evidence, at: row.started_at, marker: row.account_id },
      instructorName: row.instructor_name,
    };
    const others = byLearner.get(row.learner_id);
    if (others) others.push(drive);
    else byLearner.set(row.learner_id, [drive]);
  }
  return byLearner;
}

/** A drive as far as readiness is concerned. */
export interface SchoolDrive {
  readonly evidence: Evidence;
  readonly instructorName: string;
}

/** The latest drives of a school, newest first. */
export async function latestDrives(db: Db, schoolId: string, most: number): Promise<readonly DriveSummary[]> {
  const rows = await selectDrives(db, schoolId).orderBy('started_at', 'desc').limit(most).execute();
  return rows.map(toSummary);
}

/** Works out again what follows from the log of drives that an older release kept. */
export async function refreshDigests(db: Db): Promise<void> {
  const old = await db
    .selectFrom('drives')
    .select(['school_id', 'id', 'standard_id', 'standard_version'])
    .where('digest_version', '!=', digestVersion)
    .execute();
  for (const { school_id, id, standard_id, standard_version } of old) {
    const standard = await getStandard(db, school_id, standard_id, standard_version);
    const digest = JSON.stringify(digestOf(standard, await eventsOf(db, school_id, id)));
    await db
      .updateTable('drives')
      .set({ digest, digest_version: digestVersion })
      .where('school_id', '=', school_id)
      .where('id', '=', id)
      .execute();
  }
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
