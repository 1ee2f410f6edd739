import type { AccountInput, AccountView } from '@jasperwren/contract/accounts';
import createError from 'http-errors';
import { v7 as newId } from 'uuid';
import type { Db } from '../db/database';
import type { Who } from '../http/context';
import { addTemplates } from '../standards/store';
import { hashPassword, verifyPassword } from './password';

const viewColumns = ['id', 'name', 'email', 'role'] as const;

/** Makes a school with its first account, a lead, and the shipped standards. Returns the school's id. */
export async function createSchool(db: Db, name: string, lead: Omit<AccountInput, 'role'>): Promise<string> {
  const id = newId();
  await db.insertInto('schools').values({ id, name, created_at: new Date().toISOString() }).execute();
  await addTemplates(db, id);
  await addAccount(db, id, { ...lead, role: 'lead' });
  return id;
}

/**
 * Adds an account to a school.
 * @throws 409 where the e-mail address is taken, by whatever school
 */
export async function addAccount(db: Db, schoolId: string, input: AccountInput): Promise<AccountView> {
  const email = input.email.toLowerCase();
  const taken = await db.selectFrom('accounts').select('id').where('email', '=', email).executeTakeFirst();
  if (taken) {
    throw createError(409, 'This e-mail address has an account already. Nothing was saved; use another address.', {
      code: 'email-taken',
    });
  }
  const account = { id: newId(), name: input.name, email, role: input.role };
  await db
    .insertInto('accounts')
    .values({
      ...account,
      school_id: schoolId,
      password_hash: await hashPassword(input.password),
      created_at: new Date().toISOString(),
      free_hours: null,
    })
    .execute();
  return account;
}

export function listAccounts(db: Db, schoolId: string): Promise<AccountView[]> {
  return db.selectFrom('accounts').select(viewColumns).where('school_id', '=', schoolId).orderBy('name').execute();
}

/** The account with this address and password, together with its school; undefined where either is wrong. */
export async function findByCredentials(db: Db, email: string, password: string) {
  const row = await db.selectFrom('accounts').selectAll().where('email', '=', email.toLowerCase()).executeTakeFirst();
  const right = await verifyPassword(password, row?.password_hash);
  return right && row ? { id: row.id, schoolId: row.school_id } : undefined;
}

/** An account of a school with the school's name. */
export function findAccount(db: Db, schoolId: string, id: string) {
  return db
    .selectFrom('accounts')
    .innerJoin('schools', 'schools.id', 'accounts.school_id')
    .select([
      'accounts.id',
      'accounts.name',
      'accounts.email',
      'accounts.role',
      'schools.id as schoolId',
      'schools.name as schoolName',
    ])
    .where('accounts.school_id', '=', schoolId)
    .where('accounts.id', '=', id)
    .executeTakeFirst();
}

/**
 * Gives an account a new password and ends its other sessions.
 * @throws 422 where the present password is wrong
 */
export async function changePassword(
  db: Db,
  schoolId: string,
  id: string,
  current: string,
  next: string,
  keepSession: string,
): Promise<void> {
  const row = await db
    .selectFrom('accounts')
    .select('password_hash')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirstOrThrow();
  if (!(await verifyPassword(current, row.password_hash))) {
    throw createError(422, 'The present password is not right. It was not changed.', {
      code: 'invalid',
      problems: [{ field: 'current', message: 'This is not your present password.' }],
    });
  }
  const password_hash = await hashPassword(next);
  await db.transaction().execute(async (trx) => {
    await trx
      .updateTable('accounts')
      .set({ password_hash })
      .where('school_id', '=', schoolId)
      .where('id', '=', id)
      .execute();
    await trx
      .deleteFrom('sessions')
      .where('school_id', '=', schoolId)
      .where('account_id', '=', id)
      .where('id', '!=', keepSession)
      .execute();
  });
}

/** Whether an account is a lead of its school. */
export async function isLead(db: Db, schoolId: string, accountId: string): Promise<boolean> {
  return (await findAccount(db, schoolId, accountId))?.role === 'lead';
}

/**
 * Says no to everybody but the lead of the school.
 * @throws 403
 */
export async function assertLead(db: Db, { schoolId, accountId }: Who): Promise<void> {
  if (!(await isLead(db, schoolId, accountId)))
    throw createError(403, 'Only the lead of the school can do this.', { code: 'not-allowed' });
}
