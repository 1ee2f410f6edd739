import type { SheetView } from '@jasperwren/contract/sheets';
import { Piscina } from 'piscina';
import type { Db } from '../db/database';
import { work, type Task } from './work';

/** Does tasks in threads of its own, or on this one. */
export interface Workers {
  /** @param cancel ends the thread that does it */
  readonly run: (task: Task, cancel?: AbortSignal) => Promise<SheetView['before']>;
  readonly close: () => Promise<void>;
}

/** @param worker the file of `worker.ts`, as it can be run */
export function threads(worker: string, dataDir: string, execArgv: string[] = []): Workers {
  let pool: Piscina<Task, SheetView['before']> | undefined;
  return {
    run(task, signal) {
      // One thread: the other processor answers requests.
      pool ??= new Piscina({ filename: worker, workerData: { dataDir }, maxThreads: 1, execArgv });
      const transferList = 'news' in task ? [task.news] : [];
      return pool.run(task, { transferList, ...(signal && { signal }) });
    },
    close: async () => void (await pool?.destroy()),
  };
}

/** For tools and tests, where nobody else is kept waiting. */
export const onThisThread = (db: Db): Workers => ({ run: (task) => work(db, task), close: () => Promise.resolve() });
