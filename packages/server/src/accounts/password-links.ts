import type { PasswordLink, PasswordLinkView } from '@jasperwren/contract/accounts';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { digestOfSecret, newToken } from '../secrets';

/** Long enough to reach a mailbox and be opened after a weekend (house default). */
const lifeMs = 72 * 60 * 60 * 1000;

/** Makes a link by which the owner of an account chooses a password, once; earlier links to it do not work any more. */
export async function makePasswordLink(db: Db, schoolId: string, accountId: string): Promise<PasswordLink> {
  await dropPasswordLinks(db, accountId);
  const token = newToken();
  const expiresAt = new Date(Date.now() + lifeMs).toISOString();
  await db
    .insertInto('password_links')
    .values({ token_hash: digestOfSecret(token), school_id: schoolId, account_id: accountId, expires_at: expiresAt })
    .execute();
  return { path: `/password/${token}`, expiresAt };
}

export async function dropPasswordLinks(db: Db, accountId: string): Promise<void> {
  await db.deleteFrom('password_links').where('account_id', '=', accountId).execute();
}

/**
 * Whose password a link is for.
 * @throws 404 where the link is unknown, was used, or has run out
 */
export async function ownerOfLink(
  db: Db,
  token: string,
): Promise<PasswordLinkView & { readonly id: string; readonly schoolId: string }> {
  const row = await db
    .selectFrom('password_links')
    .innerJoin('accounts', 'accounts.id', 'password_links.account_id')
    .innerJoin('schools', 'schools.id', 'password_links.school_id')
    .select(['accounts.id', 'accounts.name', 'accounts.email', 'schools.name as school', 'schools.id as schoolId'])
    .where('token_hash', '=', digestOfSecret(token))
    .where('expires_at', '>', new Date().toISOString())
    .where('accounts.disabled_at', 'is', null)
    .executeTakeFirst();
  if (!row)
    throw createError(404, 'This link was used or has run out. Ask the lead of your school for a new one.', {
      code: 'no-link',
    });
  return row;
}
