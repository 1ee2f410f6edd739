import { t } from '@jasperwren/words/refusals';
import type { PasswordLink, PasswordLinkView } from '@jasperwren/contract/accounts';
import { linkTo } from '@jasperwren/contract/link-pages';
import type { Anybody, InSchool } from '../call';
import { missing } from '../refusal';
import { digestOfSecret, newToken } from '../secrets';

/** Long enough to reach a mailbox and be opened after a weekend (house default). */
const lifeMs = 72 * 60 * 60 * 1000;

/** Makes a link by which the owner of an account chooses a password, once; earlier links to it do not work any more. */
export async function makePasswordLink(call: InSchool, accountId: string): Promise<PasswordLink> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  await dropPasswordLinks(call, accountId);
  const token = newToken();
  const expiresAt = new Date(now.getTime() + lifeMs).toISOString();
  await db
    .insertInto('password_links')
    .values({ token_hash: digestOfSecret(token), school_id: schoolId, account_id: accountId, expires_at: expiresAt })
    .execute();
  return { path: linkTo('password', token), expiresAt };
}

export async function dropPasswordLinks({ db }: Anybody, accountId: string): Promise<void> {
  await db.deleteFrom('password_links').where('account_id', '=', accountId).execute();
}

/**
 * Whose password a link is for.
 * @throws missing where the link is unknown, was used, or has run out
 */
export async function ownerOfLink(
  { db, now }: Anybody,
  token: string,
): Promise<PasswordLinkView & { readonly id: string; readonly schoolId: string }> {
  const row = await db
    .selectFrom('password_links')
    .innerJoin('accounts', 'accounts.id', 'password_links.account_id')
    .innerJoin('schools', 'schools.id', 'password_links.school_id')
    .select(['accounts.id', 'accounts.name', 'accounts.email', 'schools.name as school', 'schools.id as schoolId'])
    .where('token_hash', '=', digestOfSecret(token))
    .where('expires_at', '>', now.toISOString())
    .where('accounts.disabled_at', 'is', null)
    .executeTakeFirst();
  if (!row)
    throw missing(t('passwordLinkUsed'), {
      code: 'no-link',
    });
  return row;
}
