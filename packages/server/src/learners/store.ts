import { t } from '@jasperwren/words/refusals';
import type { LearnerEdit, LearnerInput, LearnerView } from '@jasperwren/contract/learners';
import type { Updateable } from 'kysely';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { invalid, missing } from '../refusal';
import type { Tables } from '../db/schema';
import type { DriveDigest } from '../drives/digest';
import { refuseStale } from '../stale';
import { assertStandard } from '../standards/store';

/** The learners of a school by name, or those it has archived. */
export async function listLearners(call: InSchool, archived: boolean): Promise<readonly LearnerView[]> {
  const rows = await selectLearners(call)
    .where('learners.archived_at', archived ? 'is not' : 'is', null)
    .orderBy('learners.name')
    .execute();
  return rows.map(toView);
}

/**
 * One learner of a school.
 * @throws missing where the school has none such, also when another has
 */
export async function getLearner(call: InSchool, id: string): Promise<LearnerView> {
  const row = await selectLearners(call).where('learners.id', '=', id).executeTakeFirst();
  if (!row) throw missing(t('learnerNotFound'), { code: 'no-learner' });
  return toView(row);
}

export async function addLearner(call: Call, input: LearnerInput): Promise<LearnerView> {
  const {
    db,
    who: { schoolId, accountId },
    now: at,
  } = call;
  await assertStandard(call, input.standardId);
  await assertInstructor(call, input.instructorId);
  const id = newId();
  const now = at.toISOString();
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
  return getLearner(call, id);
}

/**
 * Changes a learner.
 * @throws conflict where somebody else has changed them since; invalid where the school lacks the standard or the instructor
 */
export async function editLearner(call: Call, id: string, input: LearnerEdit): Promise<LearnerView> {
  const now = await getLearner(call, id);
  refuseStale(input.version, now.version, t('learnerChanged'), now);
  await assertStandard(call, input.standardId);
  await assertInstructor(call, input.instructorId);
  return update(call, id, {
    ...toRow(input),
    ...(input.instructorId !== undefined && { instructor_id: input.instructorId }),
  });
}

/** Takes a learner off the list, or puts them back. Drives and history stay; sign-ins and invitations end. */
export async function setArchived(call: InSchool, id: string, archived: boolean): Promise<LearnerView> {
  const { now } = call;
  if (archived) await endAccess(call, id);
  return update(call, id, { archived_at: archived ? now.toISOString() : null });
}

/** Says which car a learner drives. */
export function setVehicle(call: InSchool, id: string, vehicleId: string | undefined): Promise<LearnerView> {
  return update(call, id, { vehicle_id: vehicleId ?? null });
}

/** @throws invalid where the school has no such account, or it was disabled */
async function assertInstructor({ db, who: { schoolId } }: InSchool, id: string | undefined): Promise<void> {
  if (id === undefined) return;
  const row = await db
    .selectFrom('accounts')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .where('disabled_at', 'is', null)
    .executeTakeFirst();
  if (row) return;
  const problems = [{ field: 'instructorId', message: t('instructorNotFound') }];
  throw invalid(t('instructorNotFoundNothingSaved'), { problems });
}

/** Ends every sign-in of a learner and every code that is still open. */
export async function endAccess({ db, who: { schoolId } }: InSchool, learnerId: string): Promise<void> {
  for (const table of ['sessions', 'access_codes'] as const)
    await db.deleteFrom(table).where('school_id', '=', schoolId).where('learner_id', '=', learnerId).execute();
}

async function update(call: InSchool, id: string, changes: Updateable<Tables['learners']>): Promise<LearnerView> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  await db
    .updateTable('learners')
    .set((eb) => ({ ...changes, version: eb('version', '+', 1), updated_at: now.toISOString() }))
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .execute();
  return getLearner(call, id);
}

/** Learners with the number of their drives and the latest one: each looked up by index, nothing of the others is read. */
function selectLearners({ db, who: { schoolId } }: InSchool) {
  return db
    .selectFrom('learners')
    .leftJoin('drives as last', (join) =>
      join
        .on('last.school_id', '=', schoolId)
        .on('last.id', '=', (eb) =>
          eb
            .selectFrom('drives as own')
            .select('own.id')
            .where('own.school_id', '=', schoolId)
            .whereRef('own.learner_id', '=', 'learners.id')
            .orderBy('own.started_at', 'desc')
            .limit(1),
        ),
    )
    .leftJoin('accounts', 'accounts.id', 'learners.instructor_id')
    .selectAll('learners')
    .select((eb) => [
      eb
        .selectFrom('drives as each')
        .select((each) => each.fn.countAll<number>().as('n'))
        .where('each.school_id', '=', schoolId)
        .whereRef('each.learner_id', '=', 'learners.id')
        .as('drives'),
      'last.id as last_id',
      'last.started_at as last_at',
      'last.digest',
      'accounts.name as instructor_name',
    ])
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
