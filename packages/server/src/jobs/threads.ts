import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { Db } from '../db/database';
import { readsDatabase, work, type AnswerTo, type Task } from './work';

/** A task as its thread gets it. */
export interface Ordered {
  readonly task: Task;
  /** Holds 1 from the moment it is to stop. */
  readonly stop?: Int32Array;
}

/** Does tasks in threads of its own, or on this one. */
export interface Workers {
  /**
   * @param cancel ends it soon: a task that reads the database stops between two of its steps, since the driver takes
   *   the whole process along where its thread is ended in a call of it; any other is ended with its thread
   * @throws whatever the signal was aborted for
   */
  readonly run: <T extends Task>(task: T, cancel?: AbortSignal) => Promise<AnswerTo<T>>;
  readonly close: () => Promise<void>;
}

/** As many jobs at a time as there are processors: their threads step back behind the one that answers. */
export const jobThreads = availableParallelism();
/** What somebody waits for with a page open finds a thread while all jobs are under way. */
const pageThreads = 1;
/** A thread that has nothing to do for so long ends, in milliseconds. */
const idleMs = 60_000;

/** @param worker the file of `worker.ts`, as it can be run */
export function threads(worker: string, dataDir: string, execArgv: string[] = []): Workers {
  let pool: Piscina<Ordered, unknown> | undefined;
  return {
    async run<T extends Task>(task: T, signal?: AbortSignal) {
      pool ??= new Piscina({
        filename: worker,
        workerData: { dataDir },
        minThreads: 1,
        maxThreads: jobThreads + pageThreads,
        idleTimeout: idleMs,
        execArgv,
        closeTimeout: 60_000,
      });
      const transferList = 'news' in task ? [task.news] : [];
      if (!readsDatabase(task))
        return (await pool.run({ task }, { transferList, ...(signal && { signal }) })) as AnswerTo<T>;
      const stop = new Int32Array(new SharedArrayBuffer(4));
      const raise = () => Atomics.store(stop, 0, 1);
      if (signal?.aborted) raise();
      signal?.addEventListener('abort', raise);
      const answer = await pool.run({ task, stop }, { transferList });
      signal?.removeEventListener('abort', raise);
      signal?.throwIfAborted();
      return answer as AnswerTo<T>;
    },
    close: async () => void (await pool?.close()),
  };
}

/** For tools and tests, where nobody else is kept waiting. */
export const onThisThread = (db: Db): Workers => ({
  run: async <T extends Task>(task: T, signal?: AbortSignal) => {
    const answer = await work(
      () => db,
      task,
      () => signal?.aborted ?? false,
    );
    signal?.throwIfAborted();
    return answer as AnswerTo<T>;
  },
  close: () => Promise.resolve(),
});
