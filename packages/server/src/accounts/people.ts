import type { AccountEdit, AccountView, HandedOver, PersonView } from '@jasperwren/contract/accounts';
import { overlaps } from '@jasperwren/core/readiness/booking';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { dropPasswordLinks } from './password-links';
import { endSignIns, getAccount } from './store';

/** Everybody with an account of the school, also who has left, with what hangs on them. */
export async function peopleOf(db: Db, schoolId: string, today: string): Promise<readonly PersonView[]> {
  const count = (rows: readonly { id: string | null; n: number }[], id: string) =>
    Number(rows.find((row) => row.id === id)?.n ?? 0);
  const [accounts, seen, learners, lessons] = await Promise.all([
    db.selectFrom('accounts').selectAll().where('school_id', '=', schoolId).orderBy('name').execute(),
    db
      .selectFrom('sessions')
      .select((eb) => ['account_id as id', eb.fn.max('seen_ms').as('ms')])
      .where('school_id', '=', schoolId)
      .groupBy('account_id')
      .execute(),
    db
      .selectFrom('learners')
      .select((eb) => ['instructor_id as id', eb.fn.countAll<number>().as('n')])
      .where('school_id', '=', schoolId)
      .where('archived_at', 'is', null)
      .groupBy('instructor_id')
      .execute(),
    db
      .selectFrom('lessons')
      .select((eb) => ['account_id as id', eb.fn.countAll<number>().as('n')])
      .where('school_id', '=', schoolId)
      .where('cancelled', '=', 0)
      .where('start', '>=', today)
      .groupBy('account_id')
      .execute(),
  ]);
  return accounts.map(({ id, name, email, role, disabled_at, password_hash, factor_secret }) => {
    const seenMs = seen.find((row) => row.id === id)?.ms;
    return {
      id,
      name,
      email,
      role,
      ...(disabled_at !== null && { disabledAt: disabled_at }),
      joined: password_hash !== '',
      secondFactor: factor_secret !== null,
      ...(seenMs !== undefined && { seenAt: new Date(seenMs).toISOString() }),
      learners: count(learners, id),
      lessons: count(lessons, id),
    };
  });
}

/**
 * Changes the name or the role of an account.
 * @throws 404 where the school has none such; 409 where nobody would be its lead any more
 */
export async function editAccount(db: Db, schoolId: string, id: string, input: AccountEdit): Promise<AccountView> {
  const { email } = await getAccount(db, schoolId, id);
  if (input.role !== 'lead') await refuseLastLead(db, schoolId, id);
  const { name, role } = input;
  await db.updateTable('accounts').set({ name, role }).where('school_id', '=', schoolId).where('id', '=', id).execute();
  return { id, email, name, role };
}

/**
 * Lets somebody in no more, or again. What they did stays, under their name.
 * @throws 404 where the school has none such; 409 where nobody would be its lead any more
 */
export async function setDisabled(db: Db, schoolId: string, id: string, disabled: boolean): Promise<void> {
  await getAccount(db, schoolId, id);
  if (disabled) {
    await refuseLastLead(db, schoolId, id);
    await endSignIns(db, schoolId, id);
    await dropPasswordLinks(db, id);
  }
  await db
    .updateTable('accounts')
    .set({ disabled_at: disabled ? new Date().toISOString() : null })
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .execute();
}

/** @throws 409 where no other account that can sign in is a lead */
async function refuseLastLead(db: Db, schoolId: string, id: string): Promise<void> {
  const other = await db
    .selectFrom('accounts')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('role', '=', 'lead')
    .where('disabled_at', 'is', null)
    .where('password_hash', '!=', '')
    .where('id', '!=', id)
    .executeTakeFirst();
  if (!other)
    throw createError(409, 'The school would have no lead any more. Make somebody else a lead first.', {
      code: 'last-lead',
    });
}

/**
 * Gives the learners of an account and its lessons to come to another.
 * @throws 404 where the school lacks one of them; 409 where it is one and the same, the other has left, or has lessons
 *   at the same time, with who has the hour
 */
export async function handOver(
  db: Db,
  schoolId: string,
  fromId: string,
  toId: string,
  today: string,
): Promise<HandedOver> {
  await getAccount(db, schoolId, fromId);
  const to = await getAccount(db, schoolId, toId);
  if (fromId === toId || to.disabledAt !== null)
    throw createError(409, 'Choose somebody else of the school, who has not left.', { code: 'not-them' });
  const lessons = db
    .selectFrom('lessons')
    .innerJoin('learners', 'learners.id', 'lessons.learner_id')
    .select(['lessons.id', 'lessons.start', 'lessons.minutes', 'lessons.sequence', 'lessons.learner_id', 'name'])
    .where('lessons.school_id', '=', schoolId)
    .where('cancelled', '=', 0)
    .where('start', '>=', today);
  const coming = await lessons.where('account_id', '=', fromId).orderBy('start').execute();
  const theirs = await lessons.where('account_id', '=', toId).execute();
  const twice = coming.flatMap((lesson) => {
    const other = theirs.find((one) => overlaps(one, lesson));
    return other
      ? [`${to.name} has ${other.name} at ${other.start.replace('T', ' ')}, and ${lesson.name} would be added.`]
      : [];
  });
  if (twice.length > 0)
    throw createError(409, `${twice.join(' ')} Nothing was handed over; move these lessons first.`, {
      code: 'double-booked',
      problems: twice.map((message) => ({ field: 'toAccountId', message })),
    });
  const updated_at = new Date().toISOString();
  for (const { id, sequence } of coming)
    await db
      .updateTable('lessons')
      .set({ account_id: toId, sequence: sequence + 1, updated_at })
      .where('school_id', '=', schoolId)
      .where('id', '=', id)
      .execute();
  for (const learnerId of new Set(coming.map(({ learner_id }) => learner_id)))
    await db
      .updateTable('learners')
      .set((eb) => ({ plan_version: eb('plan_version', '+', 1) }))
      .where('id', '=', learnerId)
      .execute();
  const moved = await db
    .updateTable('learners')
    .set((eb) => ({ instructor_id: toId, version: eb('version', '+', 1), updated_at }))
    .where('school_id', '=', schoolId)
    .where('instructor_id', '=', fromId)
    .executeTakeFirst();
  return { learners: Number(moved.numUpdatedRows), lessons: coming.length };
}
