import { t } from '@jasperwren/words/refusals';
import type { AccountEdit, AccountView, HandedOver, PersonView } from '@jasperwren/contract/accounts';
import { overlaps } from '@jasperwren/core/readiness/booking';
import type { InSchool } from '../call';
import { hourOf } from '../lessons/double-booking';
import { conflict } from '../refusal';
import { noteWithdrawal } from '../withdrawals/note';
import { dropPasswordLinks } from './password-links';
import { endSignIns, getAccount } from './store';

/** Everybody with an account of the school, also who has left, with what hangs on them. */
export async function peopleOf({ db, who: { schoolId } }: InSchool, today: string): Promise<readonly PersonView[]> {
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
 * @throws missing where the school has none such; conflict where nobody would be its lead any more
 */
export async function editAccount(call: InSchool, id: string, input: AccountEdit): Promise<AccountView> {
  const {
    db,
    who: { schoolId },
  } = call;
  const { email } = await getAccount(call, id);
  if (input.role !== 'lead') await refuseLastLead(call, id);
  const { name, role } = input;
  await db.updateTable('accounts').set({ name, role }).where('school_id', '=', schoolId).where('id', '=', id).execute();
  return { id, email, name, role };
}

/**
 * Lets somebody in no more, or again. What they did stays, under their name.
 * @throws missing where the school has none such; conflict where nobody would be its lead any more
 */
export async function setDisabled(call: InSchool, id: string, disabled: boolean): Promise<void> {
  await getAccount(call, id);
  if (disabled) await refuseLastLead(call, id);
  await setDisabledAt(call, id, disabled ? call.now.toISOString() : null);
  await noteWithdrawal(call, disabled ? 'account' : 'account-back', id);
}

/** Lets an account sign in no more, or again. Returns whether that changed anything. */
export async function setDisabledAt(call: InSchool, id: string, at: string | null): Promise<boolean> {
  if (at !== null) {
    await endSignIns(call, id);
    await dropPasswordLinks(call, id);
  }
  const { numUpdatedRows } = await call.db
    .updateTable('accounts')
    .set({ disabled_at: at })
    .where('school_id', '=', call.who.schoolId)
    .where('id', '=', id)
    .where('disabled_at', at === null ? 'is not' : 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** @throws conflict where no other account that can sign in is a lead */
async function refuseLastLead({ db, who: { schoolId } }: InSchool, id: string): Promise<void> {
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
    throw conflict(t('noLeadLeft'), {
      code: 'last-lead',
    });
}

/**
 * Gives the learners of an account and its lessons to come to another.
 * @throws missing where the school lacks one of them; conflict where it is one and the same, the other has left, or has lessons
 *   at the same time, with who has the hour
 */
export async function handOver(call: InSchool, fromId: string, toId: string, today: string): Promise<HandedOver> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  await getAccount(call, fromId);
  const to = await getAccount(call, toId);
  if (fromId === toId || to.disabledAt !== null) throw conflict(t('chooseAnotherInstructor'), { code: 'not-them' });
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
      ? [
          t('lessonsCollide', {
            instructor: to.name,
            learner: other.name,
            other: lesson.name,
            ...hourOf(other),
          }),
        ]
      : [];
  });
  if (twice.length > 0)
    throw conflict(t('nothingHandedOver', { collisions: twice.join(' ') }), {
      code: 'double-booked',
      problems: twice.map((message) => ({ field: 'toAccountId', message })),
    });
  const updated_at = now.toISOString();
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
