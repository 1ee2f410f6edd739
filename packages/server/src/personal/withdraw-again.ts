import { callNow, type InSchool } from '../call';
import { setDisabledAt } from '../accounts/people';
import type { Keeper } from '../db/keeper';
import { takeOutTrace } from '../traces/store';
import { listedIn, listWithdrawals, type Withdrawal, type WithdrawalKind } from '../withdrawals/list';
import { takeOutSchool } from '../school/store';
import { takeOutCar, takeOutRun } from '../yard/store';
import { takeOutVoice } from '../voices/store';
import { takeOutLearner } from './erase';

/** How each kind is taken back; returns whether it had come back. */
const takers: Readonly<Record<WithdrawalKind, (call: InSchool, subject: string) => Promise<boolean>>> = {
  learner: takeOutLearner,
  school: takeOutSchool,
  trace: takeOutTrace,
  voice: takeOutVoice,
  run: takeOutRun,
  car: takeOutCar,
  'debrief-link': (call, id) => takeOutLink(call, 'shares', id),
  'route-link': (call, id) => takeOutLink(call, 'route_shares', id),
  account: (call, id) => setDisabledAt(call, id, call.now.toISOString()),
  'account-back': (call, id) => setDisabledAt(call, id, null),
};

async function takeOutLink(
  { db, who: { schoolId }, now }: InSchool,
  table: 'shares' | 'route_shares',
  id: string,
): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable(table)
    .set({ revoked_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .where('revoked_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/**
 * Takes back again what is on the list and has come back with a restore: of what this database has not noted itself, in the
 * order in which it was taken back. Returns how many had come back.
 */
export async function withdrawAgain(keeper: Keeper, dataDir: string): Promise<number> {
  const noted = await keeper.db.selectFrom('withdrawals').select('id').execute();
  const known = new Set(noted.map(({ id }) => id));
  let back = 0;
  for (const one of listedIn(dataDir)) {
    if (known.has(one.id)) continue;
    known.add(one.id);
    if (await keeper.write((db) => takeBack({ ...callNow(db), who: { schoolId: one.schoolId } }, one))) back += 1;
  }
  await listWithdrawals(keeper.db, dataDir);
  if (back > 0) await keeper.forget();
  return back;
}

async function takeBack(call: InSchool, { id, kind, subject, at }: Withdrawal): Promise<boolean> {
  const { schoolId: school_id } = call.who;
  const school = await call.db.selectFrom('schools').select('id').where('id', '=', school_id).executeTakeFirst();
  // The backup is of before the school began, or of after it was closed: nothing of it came back.
  const came = school && (await takers[kind]?.(call, subject));
  await call.db.insertInto('withdrawals').values({ id, school_id, kind, subject, at }).execute();
  return came ?? false;
}
