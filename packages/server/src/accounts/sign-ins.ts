import { t as account } from '@jasperwren/words/account';
import { t } from '@jasperwren/words/refusals';
import type { SignInView } from '@jasperwren/contract/accounts';
import { parse } from 'bowser';
import type { Call } from '../call';
import { missing } from '../refusal';

/** Enough of a digest to tell one sign-in of an account from another. */
const shortId = 16;

/** Where an account is signed in, the latest use first. */
export async function signInsOf(
  { db, who: { schoolId, accountId }, now }: Call,
  ownId: string,
): Promise<readonly SignInView[]> {
  const rows = await db
    .selectFrom('sessions')
    .select(['id', 'device', 'address', 'created_ms', 'seen_ms'])
    .where('school_id', '=', schoolId)
    .where('account_id', '=', accountId)
    .where('expires_ms', '>', now.getTime())
    .orderBy('seen_ms', 'desc')
    .execute();
  return rows.map(({ id, device, address, created_ms, seen_ms }) => ({
    id: id.slice(0, shortId),
    device: deviceWords(device),
    address,
    createdAt: new Date(created_ms).toISOString(),
    seenAt: new Date(seen_ms).toISOString(),
    current: id === ownId,
  }));
}

/**
 * Ends one sign-in of one's own account.
 * @throws missing where there is none such
 */
export async function endOtherSignIn({ db, who: { schoolId, accountId } }: Call, id: string): Promise<void> {
  const rows = await db
    .selectFrom('sessions')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('account_id', '=', accountId)
    .execute();
  const row = rows.find((one) => one.id.slice(0, shortId) === id);
  if (!row) throw missing(t('signInEnded'), { code: 'no-sign-in' });
  await db.deleteFrom('sessions').where('id', '=', row.id).execute();
}

/** Such as "Firefox on Linux". */
function deviceWords(userAgent: string): string {
  if (!userAgent) return account('unknownDevice');
  const { browser, os } = parse(userAgent);
  // A program that is no browser may have no name.
  const program = browser.name || account('anotherProgram');
  return os.name ? account('programOnSystem', { program, system: os.name }) : program;
}
