import { v7 as newId } from 'uuid';
import type { InSchool } from '../call';
import type { Withdrawal } from './list';

/** What can be taken back for good, so that no restore may bring it back. */
export type WithdrawalKind =
  'learner' | 'school' | 'trace' | 'run' | 'debrief-link' | 'route-link' | 'car' | 'account' | 'account-back';

/** Notes, in the transaction of what takes it back, that something is not to come back with a restore. */
export async function noteWithdrawal(
  { db, who: { schoolId }, now }: InSchool,
  kind: WithdrawalKind,
  subject: string,
): Promise<void> {
  const one: Withdrawal = { id: newId(), schoolId, kind, subject, at: now.toISOString() };
  const { schoolId: school_id, ...rest } = one;
  await db
    .insertInto('withdrawals')
    .values({ school_id, ...rest })
    .execute();
}
