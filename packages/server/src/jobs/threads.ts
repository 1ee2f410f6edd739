import type { SheetView } from '@jasperwren/contract/sheets';
import { Piscina } from 'piscina';
import type { Db } from '../db/database';
import { readsDatabase, work, type Task } from './work';

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
  readonly run: (task: Task, cancel?: AbortSignal) => Promise<SheetView['before']>;
  readonly close: () => Promise<void>;
}

/** @param worker the file of `worker.ts`, as it can be run */
export function threads(worker: string, dataDir: string, execArgv: string[] = []): Workers {
  let pool: Piscina<Ordered, SheetView['before']> | undefined;
  return {
    async run(task, signal) {
      // One thread: the other processor answers requests.
      pool ??= new Piscina({
        filename: worker,
        workerData: { dataDir },
        maxThreads: 1,
        execArgv,
        closeTimeout: 60_000,
      });
      const transferList = 'news' in task ? [task.news] : [];
      if (!readsDatabase(task)) return pool.run({ task }, { transferList, ...(signal && { signal }) });
      const stop = new Int32Array(new SharedArrayBuffer(4));
      const raise = () => Atomics.store(stop, 0, 1);
      if (signal?.aborted) raise();
      signal?.addEventListener('abort', raise);
      const answer = await pool.run({ task, stop }, { transferList });
      signal?.removeEventListener('abort', raise);
      signal?.throwIfAborted();
      return answer;
    },
    close: async () => void (await pool?.close()),
  };
}

/** For tools and tests, where nobody else is kept waiting. */
export const onThisThread = (db: Db): Workers => ({
  run: (task, signal) =>
    work(
      () => db,
      task,
      () => signal?.aborted ?? false,
    ),
  close: () => Promise.resolve(),
});
