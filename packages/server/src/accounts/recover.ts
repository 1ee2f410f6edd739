import type { PasswordLink } from '@jasperwren/contract/accounts';
import { addDeed } from '../audit/store';
import type { Db } from '../db/database';
import { makePasswordLink } from './password-links';
import { turnOff } from './second-factor';
import { endSignIns, findByEmail } from './store';

/**
 * Makes an account a lead that can choose a new password, whatever became of it: for who has the machine, where a
 * school has locked itself out.
 * @throws Error where there is no such account
 */
export async function recoverAccount(db: Db, email: string): Promise<PasswordLink> {
  const account = await findByEmail(db, email);
  if (!account) throw new Error(`There is no account with the address "${email}".`);
  const { id, school_id: schoolId } = account;
  await db.updateTable('accounts').set({ role: 'lead', disabled_at: null }).where('id', '=', id).execute();
  await turnOff(db, id);
  await endSignIns(db, schoolId, id);
  await addDeed(db, { schoolId, at: new Date(), action: 'recoverAccount', subject: id });
  return makePasswordLink(db, schoolId, id);
}
