import { sql } from 'kysely';
import type { Db } from '../db/database';
import type { JobName } from '../db/schema';

/** What is to be done: at most one of a kind waits for a school and a subject. */
export interface JobKey {
  readonly schoolId: string;
  readonly kind: JobName;
  /** The id of what it is about; absent for the whole school. */
  readonly subject?: string;
}

export interface Job extends JobKey {
  readonly id: number;
  /** How often it has failed so far. */
  readonly failures: number;
}

/** The subject of such a row: unlike null, it can stand in a unique key. */
const wholeSchool = '';

/** Changes that come in one go are worked out together, in milliseconds. */
const gatherMs = 300;
/** After a failure, before the same is tried again: longer each time, in milliseconds. */
export const restMs = 60_000;
const longestRestMs = 60 * 60_000;

const at = (now: Date, laterMs: number) => new Date(now.getTime() + laterMs).toISOString();

/**
 * Puts a job into the queue, in the transaction of what makes it necessary. One that waits already is enough; one that
 * is under way is done once more, since it may have read what was there before.
 */
export async function queueJob(db: Db, { schoolId, kind, subject = wholeSchool }: JobKey, now: Date): Promise<void> {
  await db
    .insertInto('jobs')
    .values({ school_id: schoolId, kind, subject, queued_at: now.toISOString(), due_at: at(now, gatherMs) })
    .onConflict((conflict) =>
      conflict
        .columns(['school_id', 'kind', 'subject'])
        .doUpdateSet({ again: 1 })
        .where('jobs.started_at', 'is not', null),
    )
    .execute();
}

/**
 * Brings jobs back that wait for a moment no job waits for: a clock that was wrong made it. None waits longer than from
 * now on, whatever the wall clock says.
 */
export async function putRight(db: Db, now: Date): Promise<void> {
  const mends = [
    ['=', gatherMs, gatherMs],
    ['>', longestRestMs, restMs],
  ] as const;
  for (const [failures, longest, instead] of mends)
    await db
      .updateTable('jobs')
      .set({ due_at: at(now, instead) })
      .where('failures', failures, 0)
      .where('due_at', '>', at(now, longest))
      .execute();
}

/** What waits of one school and of one kind of hurry: the job that waits longest. */
export interface Waiting extends Job {
  /** What somebody waits for now, such as the learner who has just driven, goes before what is done when there is time. */
  readonly hurry: boolean;
}

/**
 * What is due and not under way: of each school, kind and hurry the job that waits longest.
 * @param kinds of what is done here at all
 * @param underWay the ids of jobs that are being done; any other that says it is was left so by a stop or a full disk
 */
export async function dueJobs(
  db: Db,
  now: Date,
  kinds: readonly JobName[],
  underWay: readonly number[] = [],
): Promise<readonly Waiting[]> {
  const { rows } = await sql<{
    id: number;
    school_id: string;
    kind: JobName;
    subject: string;
    failures: number;
  }>`select id, school_id, kind, subject, failures from jobs where id in (
      select min(id) from jobs
      where due_at <= ${now.toISOString()}
        and kind in (${sql.join(kinds)})
        and id not in (select value from json_each(${JSON.stringify(underWay)}))
      group by school_id, kind, subject = ${wholeSchool}
    ) order by id`.execute(db);
  return rows.map(({ id, school_id: schoolId, kind, subject, failures }) => ({
    id,
    schoolId,
    kind,
    failures,
    hurry: subject !== wholeSchool,
    ...(subject !== wholeSchool && { subject }),
  }));
}

/**
 * Notes that a job is under way.
 * @param goesOn one that was laid down in the middle: what was asked for since is still asked for
 */
export async function startJob(db: Db, { id }: Job, now: Date, goesOn = false): Promise<void> {
  await db
    .updateTable('jobs')
    .set({ started_at: now.toISOString(), ...(!goesOn && { again: 0 }) })
    .where('id', '=', id)
    .execute();
}

/** Takes a finished job out, or lets it wait once more where it was asked for meanwhile. */
export async function endJob(db: Db, { id }: Job, now: Date): Promise<void> {
  await db.deleteFrom('jobs').where('id', '=', id).where('again', '=', 0).execute();
  await db
    .updateTable('jobs')
    .set({ started_at: null, again: 0, failures: 0, error: null, due_at: at(now, 0) })
    .where('id', '=', id)
    .execute();
}

/** Lets a job that failed rest before it is tried again. */
export async function restJob(db: Db, { id, failures }: Job, error: string, now: Date): Promise<void> {
  const due_at = at(now, Math.min(restMs * 2 ** failures, longestRestMs));
  await db
    .updateTable('jobs')
    .set({ started_at: null, again: 0, failures: failures + 1, error, due_at })
    .where('id', '=', id)
    .execute();
}

/** When the next job is due that has not failed, and the next of all, of those not under way; undefined where there is none. RFC 3339. */
export async function nextDue(
  db: Db,
  kinds: readonly JobName[],
  underWay: readonly number[] = [],
): Promise<{ readonly fresh?: string; readonly any?: string }> {
  const rows = await db
    .selectFrom('jobs')
    .select((eb) => ['failures', eb.fn.min('due_at').as('due')])
    .where('kind', 'in', kinds)
    .where(sql<boolean>`id not in (select value from json_each(${JSON.stringify(underWay)}))`)
    .groupBy('failures')
    .execute();
  const first = (of: readonly { readonly due: string }[]) => of.map(({ due }) => due).sort()[0];
  const fresh = first(rows.filter(({ failures }) => failures === 0));
  const any = first(rows);
  return { ...(fresh !== undefined && { fresh }), ...(any !== undefined && { any }) };
}

/** The ids of what waits or is under way for a school. Those that rest after a failure are not among them. */
export async function openJobs(db: Db, schoolId: string): Promise<readonly number[]> {
  const rows = await db
    .selectFrom('jobs')
    .select('id')
    .where('school_id', '=', schoolId)
    .where((eb) => eb.or([eb('started_at', 'is not', null), eb('failures', '=', 0)]))
    .execute();
  return rows.map(({ id }) => id);
}
