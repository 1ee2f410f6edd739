import { setTimeout as wait } from 'node:timers/promises';
import type { Keeper } from '../db/keeper';
import { endJob, nextDue, openJobs, queueJob, restJob, restMs, takeJob } from './queue';
import type { JobName } from '../db/schema';
import type { Job, JobKey } from './queue';

/** What a job has while it is done. */
export interface During {
  /** Aborted when the job is cancelled or the server stops. */
  readonly signal: AbortSignal;
  /** Says how many of its parts are still to do. */
  readonly left: (parts: number) => void;
}

/** How a kind of job is done. Whatever it throws is a failure, and it is tried again later. */
export type JobWork = (job: Job, during: During) => Promise<void>;

/** Does the jobs of the queue, one after the other. */
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

/**
 * @param works how each kind of job is done
 * @param kinds what is done; the rest is left in the queue to the next start
 */
export function runnerOf(
  { db, write }: Keeper,
  works: Readonly<Record<JobName, JobWork>>,
  { changed, failed }: Hooks,
  kinds: readonly JobName[] = ['estimates', 'roads', 'traces'],
): Runner {
  const closing = new AbortController();
  let current: { readonly job: Job; readonly cancel: AbortController; left: number } | undefined;
  let running: Promise<void> | undefined;
  /** Somebody has woken it since the queue was last looked into. */
  let asked = false;
  let sleeping = new AbortController();
  let alarm: NodeJS.Timeout | undefined;

  async function run(job: Job): Promise<void> {
    const cancel = new AbortController();
    const own = { job, cancel, left: 1 };
    current = own;
    changed(job);
    try {
      const signal = AbortSignal.any([cancel.signal, closing.signal]);
      const left = (parts: number) => {
        own.left = parts;
        changed(job);
      };
      await works[job.kind](job, { signal, left });
      await write((trx) => endJob(trx, job, new Date()));
    } catch (error) {
      // What was broken off by a stop is still under way by the queue, and waits again at the next start.
      if (closing.signal.aborted) return;
      if (cancel.signal.aborted) {
        await write((trx) => endJob(trx, job, new Date()));
        return;
      }
      failed(error);
      await write((trx) => restJob(trx, job, String(error), new Date()));
    } finally {
      current = undefined;
      changed(job);
    }
  }

  /** Does what is due, waits for what is due soon, and ends when nothing is left but what rests. */
  async function work(): Promise<void> {
    while (!closing.signal.aborted) {
      const job = await write((trx) => takeJob(trx, new Date(), kinds));
      if (job) {
        await run(job);
        continue;
      }
      sleeping = new AbortController();
      const { fresh, any } = await nextDue(db, kinds);
      if (fresh === undefined) {
        if (any !== undefined) alarm = setTimeout(wake, Math.max(0, Date.parse(any) - Date.now())).unref();
        return;
      }
      const signal = AbortSignal.any([sleeping.signal, closing.signal]);
      await wait(Math.max(1, Date.parse(fresh) - Date.now()), undefined, { signal }).catch(() => undefined);
    }
  }

  async function rounds(): Promise<void> {
    try {
      while (asked && !closing.signal.aborted) {
        asked = false;
        await work();
      }
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
      await write((trx) => queueJob(trx, job, new Date())).then(wake, failed);
    },
    cancel(schoolId, subject) {
      if (current?.job.schoolId === schoolId && current.job.subject === subject) current.cancel.abort();
    },
    async pending(schoolId) {
      const open = await openJobs(db, schoolId);
      return open.reduce((sum, id) => sum + (current?.job.id === id ? current.left : 1), 0);
    },
    async settled() {
      await running;
    },
    async close() {
      closing.abort();
      clearTimeout(alarm);
      await running;
    },
  };
}
