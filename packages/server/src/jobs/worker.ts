import { workerData } from 'node:worker_threads';
import { connect, type Db } from '../db/database';
import type { Ordered } from './threads';
import { work } from './work';

let db: Db | undefined;

/** A thread of the pool: opens the database with the first task that reads it. */
export default function run({ task, stop }: Ordered): Promise<unknown> {
  const { dataDir } = workerData as { readonly dataDir: string };
  return work(
    () => (db ??= connect(dataDir)),
    task,
    () => stop !== undefined && Atomics.load(stop, 0) === 1,
  );
}
