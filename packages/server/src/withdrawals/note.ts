import { v7 as newId } from 'uuid';
import type { InSchool } from '../call';
import type { Withdrawal, WithdrawalKind } from './list';

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
