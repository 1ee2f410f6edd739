import type { LearnerEdit, LearnerInput, LearnerView } from '@jasperwren/contract/learners';
import createError from 'http-errors';
import type { Updateable } from 'kysely';
import { v7 as newId } from 'uuid';
import type { Db } from '../db/database';
import type { Tables } from '../db/schema';
import type { DriveDigest } from '../drives/digest';
import type { Who } from '../http/call';
import { refuseStale } from '../http/stale';
import { assertStandard } from '../standards/store';

/** The learners of a school by name, or those it has archived. */
export async function listLearners(db: Db, schoolId: string, archived: boolean): Promise<readonly LearnerView[]> {
  const rows = await selectLearners(db, schoolId)
    .where('learners.archived_at', archived ? 'is not' : 'is', null)
    .orderBy('learners.name')
    .execute();
  return rows.map(toView);
}

/**
 * One learner of a school.
 * @throws 404 where the school has none such, also when another has
 */
export async function getLearner(db: Db, schoolId: string, id: string): Promise<LearnerView> {
  const row = await selectLearners(db, schoolId).where('learners.id', '=', id).executeTakeFirst();
  if (!row) throw createError(404, 'Your school has no such learner.', { code: 'no-learner' });
  return toView(row);
}

export async function addLearner(db: Db, { schoolId, accountId }: Who, input: LearnerInput): Promise<LearnerView> {
  await assertStandard(db, schoolId, input.standardId);
  await assertInstructor(db, schoolId, input.instructorId);
  const id = newId();
  const now = new Date().toISOString();
  await db
    .insertInto('learners')
    .values({
      id,
      school_id: schoolId,
      ...toRow(input),
      instructor_id: input.instructorId ?? accountId,
      vehicle_id: null,
      archived_at: null,
      created_at: now,
      updated_at: now,
    })
    .execute();
  return getLearner(db, schoolId, id);
}

/**
 * Changes a learner.
 * @throws 409 where somebody else has changed them since; 422 where the school lacks the standard or the instructor
 */
export async function editLearner(db: Db, { schoolId }: Who, id: string, input: LearnerEdit): Promise<LearnerView> {
  const now = await getLearner(db, schoolId, id);
  refuseStale(input.version, now.version, 'this learner', now);
  await assertStandard(db, schoolId, input.standardId);
  await assertInstructor(db, schoolId, input.instructorId);
  return update(db, schoolId, id, {
    ...toRow(input),
    ...(input.instructorId !== undefined && { instructor_id: input.instructorId }),
  });
}

/** Takes a learner off the list, or puts them back. Drives and history stay; sign-ins and invitations end. */
export async function setArchived(db: Db, schoolId: string, id: string, archived: boolean): Promise<LearnerView> {
  if (archived) await endAccess(db, schoolId, id);
  return update(db, schoolId, id, { archived_at: archived ? new Date().toISOString() : null });
}

/** Says which car a learner drives. */
export function setVehicle(db: Db, schoolId: string, id: string, vehicleId: string | undefined): Promise<LearnerView> {
  return update(db, schoolId, id, { vehicle_id: vehicleId ?? null });
}

/** @throws 422 where the school has no such account, or it was disabled */
async function assertInstructor(db: Db, schoolId: string, id: string | undefined): Promise<void> {
  if (id === undefined) return;
  const row = await db
    .selectFrom('accounts')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .where('disabled_at', 'is', null)
    .executeTakeFirst();
  if (row) return;
  const problems = [{ field: 'instructorId', message: 'Your school has no such instructor.' }];
  throw createError(422, 'Your school has no such instructor. Nothing was saved.', { code: 'invalid', problems });
}

/** Ends every sign-in of a learner and every code that is still open. */
export async function endAccess(db: Db, schoolId: string, learnerId: string): Promise<void> {
  for (const table of ['sessions', 'access_codes'] as const)
    await db.deleteFrom(table).where('school_id', '=', schoolId).where('learner_id', '=', learnerId).execute();
}

async function update(
  db: Db,
  schoolId: string,
  id: string,
  changes: Updateable<Tables['learners']>,
): Promise<LearnerView> {
  await db
    .updateTable('learners')
    .set((eb) => ({ ...changes, version: eb('version', '+', 1), updated_at: new Date().toISOString() }))
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .execute();
  return getLearner(db, schoolId, id);
}

/** Learners with the number of their drives and the latest one. */
function selectLearners(db: Db, schoolId: string) {
  return db
    .with('driven', (cte) =>
      cte
        .selectFrom('drives')
        // With max(), SQLite takes the other columns from the row that holds the maximum.
        .select((eb) => [
          'learner_id',
          'id as last_id',
          'digest',
          eb.fn.max('started_at').as('last_at'),
          eb.fn.countAll<number>().as('drives'),
        ])
        .where('school_id', '=', schoolId)
        .groupBy('learner_id'),
    )
    .selectFrom('learners')
    .leftJoin('driven', 'driven.learner_id', 'learners.id')
    .leftJoin('accounts', 'accounts.id', 'learners.instructor_id')
    .selectAll('learners')
    .select(['driven.drives', 'driven.last_id', 'driven.last_at', 'driven.digest', 'accounts.name as instructor_name'])
    .where('learners.school_id', '=', schoolId);
}

function toRow(input: LearnerInput) {
  return {
    name: input.name,
    email: input.email ?? null,
    phone: input.phone ?? null,
    transmission: input.transmission,
    standard_id: input.standardId,
    test_date: input.testDate ?? null,
    test_centre: input.testCentre ?? null,
    notes: input.notes ?? null,
  };
}

type LearnerRow = Awaited<ReturnType<ReturnType<typeof selectLearners>['executeTakeFirstOrThrow']>>;

function toView(row: LearnerRow): LearnerView {
  return {
    id: row.id,
    name: row.name,
    ...(row.email && { email: row.email }),
    ...(row.phone && { phone: row.phone }),
    transmission: row.transmission,
    standardId: row.standard_id,
    ...(row.test_date && { testDate: row.test_date }),
    ...(row.test_centre && { testCentre: row.test_centre }),
    ...(row.notes && { notes: row.notes }),
    ...(row.vehicle_id && { vehicleId: row.vehicle_id }),
    ...(row.archived_at && { archivedAt: row.archived_at }),
    ...(row.instructor_id && { instructorId: row.instructor_id }),
    ...(row.instructor_name && { instructorName: row.instructor_name }),
    version: row.version,
    drives: row.drives ?? 0,
    ...lastDriveOf(row),
  };
}

function lastDriveOf({ last_id: id, last_at: startedAt, digest }: LearnerRow): Pick<LearnerView, 'lastDrive'> {
  if (!id || !startedAt || !digest) return {};
  const { outcome } = JSON.parse(digest) as DriveDigest;
  return { lastDrive: { id, startedAt, outcome } };
}
