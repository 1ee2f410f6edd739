import type { ErasedIds, ErasureReceipt } from '@jasperwren/contract/school';
import { sql } from 'kysely';
import { v7 as newId } from 'uuid';
import type { InSchool } from '../call';
import { getLearner } from '../learners/store';
import { refuseOtherName } from '../school/store';
import { noteWithdrawal } from '../withdrawals/note';
import { isAbout, learnerTables } from './rows';

/**
 * Takes a learner out of everything: their rows, logs, links and codes. In the trail of audit they are a number from
 * now on. What stays is a receipt without a name, by which devices forget them too.
 * @param typed their name once more, so that nobody is erased by a slip
 * @throws 404 where the school has no such learner; 422 where the name is another
 */
export async function eraseLearner(call: InSchool, learnerId: string, typed: string): Promise<ErasureReceipt> {
  refuseOtherName(typed, (await getLearner(call, learnerId)).name);
  await noteWithdrawal(call, 'learner', learnerId);
  return takeOut(call, learnerId);
}

/** Erases a learner who has come back with a restore. Returns whether they had. */
export async function takeOutLearner(call: InSchool, learnerId: string): Promise<boolean> {
  const {
    db,
    who: { schoolId },
  } = call;
  const there = await db
    .selectFrom('learners')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('id', '=', learnerId)
    .executeTakeFirst();
  if (there) await takeOut(call, learnerId);
  return there !== undefined;
}

async function takeOut({ db, who: { schoolId }, now }: InSchool, learnerId: string): Promise<ErasureReceipt> {
  const drives = await db
    .selectFrom('drives')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('learner_id', '=', learnerId)
    .execute();
  const driveIds = JSON.stringify(drives.map(({ id }) => id));
  const receipt = { id: newId(), at: now.toISOString() };
  const erased: Record<string, number> = {};
  const subjects = sql`select value from json_each(${driveIds})`;
  const { numAffectedRows: lines } = await sql`update audit
    set learner_id = case when learner_id = ${learnerId} then ${`erased-${receipt.id}`} else learner_id end, subject = null
    where school_id = ${schoolId} and (learner_id = ${learnerId} or subject = ${learnerId} or subject in (${subjects}))`.execute(
    db,
  );
  for (const [table, owner] of learnerTables) {
    const { numAffectedRows } = await sql`delete from ${sql.table(table)}
      where ${isAbout(owner, schoolId, learnerId)}`.execute(db);
    erased[table] = Number(numAffectedRows ?? 0);
  }
  // What was fitted with their drives among others is fitted again.
  await db.deleteFrom('school_figures').where('school_id', '=', schoolId).execute();
  await db
    .insertInto('erasures')
    .values({
      ...receipt,
      school_id: schoolId,
      learner_id: learnerId,
      drive_ids: driveIds,
      counts: JSON.stringify(erased),
    })
    .execute();
  return { ...receipt, erased: { ...erased, audit: Number(lines ?? 0) } };
}

/** What devices are to forget: ids that stand for nobody any more. */
export async function erasedIds({ db, who: { schoolId } }: InSchool): Promise<ErasedIds> {
  const rows = await db
    .selectFrom('erasures')
    .select(['learner_id', 'drive_ids'])
    .where('school_id', '=', schoolId)
    .execute();
  return {
    learners: rows.map(({ learner_id }) => learner_id),
    drives: rows.flatMap(({ drive_ids }) => JSON.parse(drive_ids) as string[]),
  };
}
