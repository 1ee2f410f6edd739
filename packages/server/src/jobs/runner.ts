import { setTimeout as wait } from 'node:timers/promises';
import type { Keeper } from '../db/keeper';
import { watchClock, type Clock } from './clock';
import { dueJobs, endJob, nextDue, openJobs, putRight, queueJob, restJob, restMs, startJob } from './queue';
import type { JobName } from '../db/schema';
import type { Job, JobKey, Waiting } from './queue';

/** What a job has while it is done. */
export interface During {
  /** Aborted when the job is cancelled or the server stops. */
  readonly signal: AbortSignal;
  /** Says how many of its parts are still to do. */
  readonly left: (parts: number) => void;
}

/**
 * How a kind of job is done. Whatever it throws is a failure, and it is tried again later. Where it answers `more` it has
 * done a piece and goes on with the next in its turn, after the other schools that wait.
 */
export type JobWork = (job: Job, during: During) => Promise<'more' | void>;

/** Does the jobs of the queue: several at a time, the schools that wait in turn. */
export interface Runner {
  /** Looks into the queue soon: called after a job was put into it and that is on disk. */
  readonly wake: () => void;
  /** Queues a job by itself and wakes; where that fails, whoever asked goes on without it. */
  readonly queue: (job: JobKey) => Promise<void>;
  /** Breaks off what is under way about this, if anything is; what waits is taken out by whoever erases it. */
  readonly cancel: (schoolId: string, subject: string) => void;
  /** How many parts a school still waits for; at least 1 while any job of it is open. */
  readonly pending: (schoolId: string) => Promise<number>;
  /** Waits until nothing is left to do but what rests after a failure. */
  readonly settled: () => Promise<void>;
  readonly close: () => Promise<void>;
}

interface Hooks {
  /** Is told of a school whose jobs begin, come on or end. */
  readonly changed: (job: Job) => void;
  readonly failed: (error: unknown) => void;
}

/** How a runner is run, where it is otherwise. */
interface Ways {
  /** What is done; the rest is left in the queue to the next start. */
  readonly kinds?: readonly JobName[];
  /** How many jobs are done at a time. */
  readonly lanes?: number;
  readonly clock?: Clock;
}

/** A job that is being done. */
interface UnderWay {
  readonly job: Job;
  readonly cancel: AbortController;
  left: number;
}

/** A file of roads takes hundreds of megabytes while it is read. */
const oneAtATime: readonly JobName[] = ['roads'];

/** @param works how each kind of job is done */
export function runnerOf(
  { db, write }: Keeper,
  works: Readonly<Record<JobName, JobWork>>,
  { changed, failed }: Hooks,
  { kinds = ['estimates', 'roads', 'traces'], lanes = 1, clock = () => new Date() }: Ways = {},
): Runner {
  const closing = new AbortController();
  const underWay = new Map<number, UnderWay>();
  /** Jobs that have done a piece and wait for their turn, with how much is left of them. */
  const laidDown = new Map<number, number>();
  /** When each school had its last turn, by counting turns. */
  const turns = new Map<string, number>();
  let turn = 0;
  let running: Promise<void> | undefined;
  /** Somebody has woken it since the queue was last looked into. */
  let asked = false;
  let sleeping = new AbortController();
  let alarm: NodeJS.Timeout | undefined;
  const stopWatching = watchClock(clock, wake);

  async function run(job: Job): Promise<void> {
    const cancel = new AbortController();
    const own: UnderWay = { job, cancel, left: laidDown.get(job.id) ?? 1 };
    underWay.set(job.id, own);
    const goesOn = laidDown.delete(job.id);
    try {
      await write((trx) => startJob(trx, job, clock(), goesOn));
      changed(job);
      const signal = AbortSignal.any([cancel.signal, closing.signal]);
      const left = (parts: number) => {
        own.left = parts;
        changed(job);
      };
      const answer = await works[job.kind](job, { signal, left });
      if (answer === 'more') laidDown.set(job.id, own.left);
      else await write((trx) => endJob(trx, job, clock()));
    } catch (error) {
      // What was broken off by a stop is still under way by the queue, and waits again at the next start.
      if (closing.signal.aborted) return;
      if (cancel.signal.aborted) {
        await write((trx) => endJob(trx, job, clock()));
        return;
      }
      failed(error);
      await write((trx) => restJob(trx, job, String(error), clock()));
    } finally {
      underWay.delete(job.id);
      changed(job);
    }
  }

  /** The job whose turn it is: what somebody waits for first, then the school that has waited longest for a turn. */
  function nextOf(due: readonly Waiting[]): Waiting | undefined {
    const busy = new Set([...underWay.values()].map(({ job }) => job.kind));
    const free = due.filter(({ kind }) => !oneAtATime.includes(kind) || !busy.has(kind));
    const first = free.some(({ hurry }) => hurry) ? free.filter(({ hurry }) => hurry) : free;
    const turnOf = ({ schoolId }: Waiting) => turns.get(schoolId) ?? 0;
    return first.reduce<Waiting | undefined>(
      (best, one) => (best === undefined || turnOf(one) < turnOf(best) ? one : best),
      undefined,
    );
  }

  /** Fills the lanes with what is due, waits for what ends or is due soon, and ends when nothing is left but what rests. */
  async function work(): Promise<void> {
    const busy = new Set<Promise<void>>();
    let trouble: { readonly error: unknown } | undefined;
    while (!closing.signal.aborted) {
      asked = false;
      await write((trx) => putRight(trx, clock()));
      const ids = [...underWay.keys()];
      const job = busy.size < lanes ? nextOf(await dueJobs(db, clock(), kinds, ids)) : undefined;
      if (job) {
        turns.set(job.schoolId, (turn += 1));
        const own: Promise<void> = run(job)
          .catch((error: unknown) => void (trouble ??= { error }))
          .finally(() => {
            busy.delete(own);
            // It may have been asked for once more while it was looked what is due.
            asked = true;
          });
        busy.add(own);
        if (busy.size < lanes) continue;
      }
      // Woken while it was looked.
      if (asked && busy.size < lanes) continue;
      sleeping = new AbortController();
      const { fresh, any } = await nextDue(db, kinds, ids);
      if (fresh === undefined && busy.size === 0) {
        if (asked) continue;
        if (any !== undefined) alarm = setTimeout(wake, Math.max(0, Date.parse(any) - clock().getTime())).unref();
        break;
      }
      const signal = AbortSignal.any([sleeping.signal, closing.signal]);
      const until = fresh === undefined || busy.size >= lanes ? [] : [wait(msUntil(fresh), undefined, { signal })];
      const woken = new Promise<void>((resolve) => signal.addEventListener('abort', () => resolve()));
      await Promise.race([...busy, ...until, woken]).catch(() => undefined);
      sleeping.abort();
      if (trouble) break;
    }
    await Promise.all(busy);
    if (trouble) throw trouble.error;
  }

  const msUntil = (due: string) => Math.max(1, Date.parse(due) - clock().getTime());

  async function rounds(): Promise<void> {
    try {
      while (asked && !closing.signal.aborted) await work();
    } catch (error) {
      if (!closing.signal.aborted) {
        failed(error);
        alarm = setTimeout(wake, restMs).unref();
      }
    } finally {
      running = undefined;
    }
  }

  function wake(): void {
    if (closing.signal.aborted) return;
    clearTimeout(alarm);
    asked = true;
    sleeping.abort();
    running ??= rounds();
  }

  return {
    wake,
    async queue(job) {
      await write((trx) => queueJob(trx, job, clock())).then(wake, failed);
    },
    cancel(schoolId, subject) {
      for (const { job, cancel } of underWay.values())
        if (job.schoolId === schoolId && job.subject === subject) cancel.abort();
    },
    async pending(schoolId) {
      const open = await openJobs(db, schoolId);
      return open.reduce((sum, id) => sum + (underWay.get(id)?.left ?? laidDown.get(id) ?? 1), 0);
    },
    async settled() {
      await running;
    },
    async close() {
      stopWatching();
      closing.abort();
      clearTimeout(alarm);
      await running;
    },
  };
}
