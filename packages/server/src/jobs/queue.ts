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
 * Takes the job that waits longest of those that are due; undefined where none is. Asked for only while none is under
 * way: one that says it is was left so by a stop or a full disk, and is taken again.
 * @param kinds of what is done here at all
 */
export async function takeJob(db: Db, now: Date, kinds: readonly JobName[]): Promise<Job | undefined> {
  const row = await db
    .updateTable('jobs')
    .set({ started_at: now.toISOString(), again: 0 })
    .where('id', '=', (eb) =>
      eb
        .selectFrom('jobs as next')
        .select('next.id')
        .where('next.due_at', '<=', now.toISOString())
        .where('next.kind', 'in', kinds)
        .orderBy('next.id')
        .limit(1),
    )
    .returning(['id', 'school_id', 'kind', 'subject', 'failures'])
    .executeTakeFirst();
  if (!row) return undefined;
  const { id, school_id: schoolId, kind, subject, failures } = row;
  return { id, schoolId, kind, failures, ...(subject !== wholeSchool && { subject }) };
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

/** When the next job is due that has not failed, and the next of all, while none is under way; undefined where there is none. RFC 3339. */
export async function nextDue(
  db: Db,
  kinds: readonly JobName[],
): Promise<{ readonly fresh?: string; readonly any?: string }> {
  const rows = await db
    .selectFrom('jobs')
    .select((eb) => ['failures', eb.fn.min('due_at').as('due')])
    .where('kind', 'in', kinds)
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
