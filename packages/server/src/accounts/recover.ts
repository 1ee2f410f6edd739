import type { PasswordLink } from '@jasperwren/contract/accounts';
import { addDeed } from '../audit/store';
import type { Anybody } from '../call';
import { noteWithdrawal } from '../withdrawals/note';
import { makePasswordLink } from './password-links';
import { turnOff } from './second-factor';
import { endSignIns, findByEmail } from './store';

/**
 * Makes an account a lead that can choose a new password, whatever became of it: for who has the machine, where a
 * school has locked itself out.
 * @throws Error where there is no such account
 */
export async function recoverAccount(call: Anybody, email: string): Promise<PasswordLink> {
  const { db, now } = call;
  const account = await findByEmail(call, email);
  if (!account) throw new Error(`There is no account with the address "${email}".`);
  const { id, school_id: schoolId } = account;
  await db.updateTable('accounts').set({ role: 'lead', disabled_at: null }).where('id', '=', id).execute();
  const own = { ...call, who: { schoolId } };
  await turnOff(call, id);
  await endSignIns(own, id);
  await noteWithdrawal(own, 'account-back', id);
  await addDeed(db, { schoolId, at: now, action: 'recoverAccount', subject: id });
  return makePasswordLink(own, id);
}
