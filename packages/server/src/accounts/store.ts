import { t } from '@jasperwren/words/refusals';
import type { AccountView, Invitation } from '@jasperwren/contract/accounts';
import { v7 as newId } from 'uuid';
import type { Anybody, InSchool } from '../call';
import { conflict, missing } from '../refusal';
import { addTemplates } from '../standards/store';

const viewColumns = ['id', 'name', 'email', 'role'] as const;

/** Makes a school with its first account, a lead, and the shipped standards. Returns the school's id. */
export async function createSchool(
  { db, now }: Anybody,
  name: string,
  lead: Omit<Invitation, 'role'> & { readonly passwordHash: string },
): Promise<string> {
  return db.transaction().execute(async (trx) => {
    const id = newId();
    await trx.insertInto('schools').values({ id, name, created_at: now.toISOString() }).execute();
    const own = { db: trx, who: { schoolId: id }, now };
    await addTemplates(own);
    const account = await addAccount(own, { name: lead.name, email: lead.email, role: 'lead' });
    await trx.updateTable('accounts').set({ password_hash: lead.passwordHash }).where('id', '=', account.id).execute();
    return id;
  });
}

/**
 * Adds an account to a school; it has no password yet, and nobody can sign in with it.
 * @throws conflict where the e-mail address is taken, by whatever school
 */
export async function addAccount({ db, who: { schoolId }, now }: InSchool, input: Invitation): Promise<AccountView> {
  const email = input.email.toLowerCase();
  const taken = await db.selectFrom('accounts').select('id').where('email', '=', email).executeTakeFirst();
  if (taken) {
    throw conflict(t('emailTaken'), {
      code: 'email-taken',
    });
  }
  const account = { id: newId(), name: input.name, email, role: input.role };
  await db
    .insertInto('accounts')
    .values({ ...account, school_id: schoolId, password_hash: '', created_at: now.toISOString() })
    .execute();
  return account;
}

/** The accounts of a school that can be worked with, by name. */
export function listAccounts({ db, who: { schoolId } }: InSchool): Promise<AccountView[]> {
  return db
    .selectFrom('accounts')
    .select(viewColumns)
    .where('school_id', '=', schoolId)
    .where('disabled_at', 'is', null)
    .orderBy('name')
    .execute();
}

/** Everybody who may have marked a drive of a school, also those who have left. */
export function everybody({ db, who: { schoolId } }: InSchool): Promise<Pick<AccountView, 'id' | 'name'>[]> {
  return db.selectFrom('accounts').select(['id', 'name']).where('school_id', '=', schoolId).orderBy('name').execute();
}

/** The account with an address, of whatever school, also one that was disabled. */
export function findByEmail({ db }: Anybody, email: string) {
  return db.selectFrom('accounts').selectAll().where('email', '=', email.toLowerCase()).executeTakeFirst();
}

/** An account of a school with the school's name. */
export function findAccount({ db, who: { schoolId } }: InSchool, id: string) {
  return db
    .selectFrom('accounts')
    .innerJoin('schools', 'schools.id', 'accounts.school_id')
    .select([
      'accounts.id',
      'accounts.name',
      'accounts.email',
      'accounts.role',
      'accounts.password_hash as passwordHash',
      'accounts.disabled_at as disabledAt',
      'accounts.factor_secret as factorSecret',
      'accounts.factor_pending as factorPending',
      'schools.id as schoolId',
      'schools.name as schoolName',
      'schools.require_factor as requireFactor',
    ])
    .where('accounts.school_id', '=', schoolId)
    .where('accounts.id', '=', id)
    .executeTakeFirst();
}

/**
 * As `findAccount`.
 * @throws missing where the school has none such
 */
export async function getAccount(call: InSchool, id: string) {
  const account = await findAccount(call, id);
  if (!account) throw missing(t('accountNotFound'), { code: 'no-account' });
  return account;
}

/** Gives an account a password, and ends every sign-in of it but one. */
export async function setPassword(call: InSchool, id: string, password_hash: string, keepSignIn = ''): Promise<void> {
  const {
    db,
    who: { schoolId },
  } = call;
  await db
    .updateTable('accounts')
    .set({ password_hash })
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .execute();
  await endSignIns(call, id, keepSignIn);
}

/** Ends every sign-in of an account but one. */
export async function endSignIns({ db, who: { schoolId } }: InSchool, accountId: string, keep = ''): Promise<void> {
  await db
    .deleteFrom('sessions')
    .where('school_id', '=', schoolId)
    .where('account_id', '=', accountId)
    .where('id', '!=', keep)
    .execute();
}
