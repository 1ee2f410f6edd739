import type { Db } from '../db/database';
import type { Keeper } from '../db/keeper';
import { queueJob } from '../jobs/queue';
import type { JobWork } from '../jobs/runner';
import type { Workers } from '../jobs/threads';
import { readingVersion, traceJob } from './store';
import type { WorkedOut } from './work-out';

/**
 * Lays the trace of a drive on roads in a thread and keeps what comes of it. What arrives meanwhile has it done again.
 * @param changed is told of a school whose traces came on
 */
export function tracesWork({ db, write }: Keeper, workers: Workers, changed: (schoolId: string) => void): JobWork {
  return async ({ schoolId, subject: driveId = '' }, { signal }) => {
    const found = await workers.run({ kind: 'work-out-trace', schoolId, driveId }, signal);
    if (!found) return;
    await write((trx) => keepTrace(trx, schoolId, driveId, found));
    changed(schoolId);
    // How well the learner knew the roads is told to the estimates.
    const owner = await db
      .selectFrom('traces')
      .select('learner_id')
      .where('school_id', '=', schoolId)
      .where('drive_id', '=', driveId)
      .executeTakeFirst();
    if (owner)
      await write((trx) => queueJob(trx, { schoolId, kind: 'estimates', subject: owner.learner_id }, new Date()));
  };
}

/** Writes what was worked out in place of what was there before; nothing where the trace was deleted meanwhile. */
async function keepTrace(db: Db, schoolId: string, driveId: string, found: WorkedOut): Promise<void> {
  const { state, roadsId, kept, driven: metres, delays, places, passes, marks } = found;
  const { numUpdatedRows } = await db
    .updateTable('traces')
    .set({
      state,
      roads_id: roadsId ?? null,
      reading: kept ? Buffer.from(kept) : null,
      reading_version: readingVersion,
      driven: metres ?? null,
      delays: delays ?? null,
    })
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .executeTakeFirst();
  if (numUpdatedRows === 0n) return;
  const own = { school_id: schoolId, drive_id: driveId };
  for (const table of ['passes', 'marks_on_road'] as const)
    await db.deleteFrom(table).where('school_id', '=', schoolId).where('drive_id', '=', driveId).execute();
  for (const { id, sort, turn, from, onto, lat, lon } of places)
    await db
      .insertInto('places')
      .values({
        school_id: schoolId,
        id,
        sort,
        turn: turn ?? null,
        from_road: from ?? null,
        onto_road: onto ?? null,
        lat,
        lon,
      })
      .onConflict((one) => one.columns(['school_id', 'id']).doNothing())
      .execute();
  const drive = await db
    .selectFrom('drives')
    .select(['learner_id', 'account_id', 'started_at'])
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .executeTakeFirstOrThrow();
  const passed = new Set(passes.map(([place]) => place));
  const counted = marks.filter(({ place, severity }) => severity !== null && place !== null && passed.has(place));
  const driven = {
    learner_id: drive.learner_id,
    account_id: drive.account_id,
    at: drive.started_at,
    drive_passes: passes.reduce((sum, [, count]) => sum + count, 0),
    drive_faults: counted.length,
  };
  for (const [place_id, count] of passes) {
    const faults = counted.filter(({ place }) => place === place_id).length;
    await db
      .insertInto('passes')
      .values({ ...own, ...driven, place_id, passes: count, faults })
      .execute();
  }
  for (const { markId, atMs, place, ...mark } of marks)
    await db
      .insertInto('marks_on_road')
      .values({ ...own, mark_id: markId, at_ms: atMs, place_id: place, ...mark })
      .execute();
}

/** Has traces worked out again that an older release worked out. */
export async function queueOldReadings(db: Db): Promise<void> {
  const rows = await db
    .selectFrom('traces')
    .select(['school_id', 'drive_id'])
    .where('reading_version', '!=', readingVersion)
    .execute();
  for (const { school_id, drive_id } of rows) await queueJob(db, traceJob(school_id, drive_id), new Date());
}

/** Has traces worked out for which there were no roads. */
export async function queueWithoutRoads(db: Db, schoolId: string): Promise<void> {
  const rows = await db
    .selectFrom('traces')
    .select('drive_id')
    .where('school_id', '=', schoolId)
    .where('state', '=', 'no-roads')
    .execute();
  for (const { drive_id } of rows) await queueJob(db, traceJob(schoolId, drive_id), new Date());
}

/** Has the trace of a drive worked out again whose log has changed, where it has one. */
export async function queueOfDrive(db: Db, schoolId: string, driveId: string): Promise<void> {
  const row = await db
    .selectFrom('traces')
    .select('drive_id')
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .executeTakeFirst();
  if (row) await queueJob(db, traceJob(schoolId, driveId), new Date());
}
