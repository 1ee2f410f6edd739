import type { FactorSecret } from '@jasperwren/contract/accounts';
import { authenticator as plain } from 'otplib';
import { toString as drawCode } from 'qrcode';
import type { Anybody, InSchool } from '../call';
import { digestOfCode, newCode } from '../secrets';

/** Codes of half a minute (RFC 6238, 5.2), one before and one after included: clocks differ. */
const authenticator = plain.clone({ window: 1 });
const stepMs = 30_000;
const recoveryCodes = 10;
const recoveryLength = 12;

/** A new secret for an authenticator app, as text and as a picture. */
export async function newSecret(email: string): Promise<FactorSecret> {
  const secret = authenticator.generateSecret(20);
  const uri = authenticator.keyuri(email, 'Jasperwren', secret);
  return { secret, uri, picture: await drawCode(uri, { type: 'svg', margin: 1 }) };
}

/** In which half-minute an app showed a code; undefined where it shows none such about now. */
export function stepOf(secret: string, code: string, now: Date): number | undefined {
  const digits = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(digits)) return undefined;
  const nowMs = now.getTime();
  const delta = authenticator.clone({ epoch: nowMs }).checkDelta(digits, secret);
  return delta === null ? undefined : Math.floor(nowMs / stepMs) + delta;
}

/** Turns the factor on that was being set up. Returns recovery codes, which are known at this moment only. */
export async function turnOn(
  call: InSchool,
  accountId: string,
  secret: string,
  step: number,
): Promise<readonly string[]> {
  const {
    db,
    who: { schoolId },
  } = call;
  await turnOff(call, accountId);
  await db
    .updateTable('accounts')
    .set({ factor_secret: secret, factor_step: step })
    .where('id', '=', accountId)
    .execute();
  const codes = Array.from({ length: recoveryCodes }, () => newCode(recoveryLength));
  await db
    .insertInto('recovery_codes')
    .values(codes.map((code) => ({ code_hash: digestOfCode(code), school_id: schoolId, account_id: accountId })))
    .execute();
  return codes;
}

/** Keeps a secret until it is shown that an app has it. */
export async function keepPending({ db }: Anybody, accountId: string, secret: string): Promise<void> {
  await db.updateTable('accounts').set({ factor_pending: secret }).where('id', '=', accountId).execute();
}

export async function turnOff({ db }: Anybody, accountId: string): Promise<void> {
  await db
    .updateTable('accounts')
    .set({ factor_secret: null, factor_pending: null })
    .where('id', '=', accountId)
    .execute();
  await db.deleteFrom('recovery_codes').where('account_id', '=', accountId).execute();
}

/** Whether a code lets in: one of the app that was not taken yet, or a recovery code, which is used up. */
export async function takeCode(
  { db, now }: Anybody,
  accountId: string,
  secret: string,
  code: string,
): Promise<boolean> {
  const step = stepOf(secret, code, now);
  if (step !== undefined) {
    const { numUpdatedRows } = await db
      .updateTable('accounts')
      .set({ factor_step: step })
      .where('id', '=', accountId)
      .where('factor_step', '<', step)
      .executeTakeFirst();
    return numUpdatedRows === 1n;
  }
  const { numDeletedRows } = await db
    .deleteFrom('recovery_codes')
    .where('account_id', '=', accountId)
    .where('code_hash', '=', digestOfCode(code))
    .executeTakeFirst();
  return numDeletedRows === 1n;
}
