import { workerData } from 'node:worker_threads';
import { connect, type Db } from '../db/database';
import { work, type Task } from './work';

let db: Db | undefined;

/** A thread of the pool: opens the database with its first task. */
export default function run(task: Task): Promise<unknown> {
  const { dataDir } = workerData as { readonly dataDir: string };
  db ??= connect(dataDir);
  return work(db, task);
}
