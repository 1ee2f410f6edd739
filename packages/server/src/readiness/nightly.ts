import type { Logger } from 'pino';
import type { Keeper } from '../db/keeper';
import { queueJob } from '../jobs/queue';
import { nightBetween } from './nights';

const lookEveryMs = 10 * 60_000;

/**
 * Has the estimates of every school looked at anew at night, by its own clock: figures that have drifted, what has grown older
 * by a day.
 * @param wake is called once something is queued
 * @returns stops it
 */
export function everyNight(keeper: Keeper, wake: () => void, log: Logger): () => void {
  let lookedAt = new Date();
  const look = async () => {
    const now = new Date();
    const since = lookedAt.toISOString();
    lookedAt = now;
    if ((await queueNight(keeper, since, now)) > 0) wake();
  };
  const timer = setInterval(
    () => void look().catch((error: unknown) => log.error({ err: error }, 'the night was not queued')),
    lookEveryMs,
  ).unref();
  return () => clearInterval(timer);
}

/** Queues the schools for which a night has passed since a moment (RFC 3339). Returns how many. */
export async function queueNight({ db, write }: Keeper, since: string, now: Date): Promise<number> {
  const schools = await db.selectFrom('schools').select(['id', 'time_zone']).execute();
  const due = schools.filter(({ time_zone }) => nightBetween(since, now, time_zone));
  if (due.length > 0)
    await write(async (trx) => {
      for (const { id } of due) await queueJob(trx, { schoolId: id, kind: 'estimates' }, now);
    });
  return due.length;
}
