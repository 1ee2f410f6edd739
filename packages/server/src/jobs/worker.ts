import { setPriority } from 'node:os';
import { workerData } from 'node:worker_threads';
import { connect, type Db } from '../db/database';
import type { Ordered } from './threads';
import { work } from './work';

/** On Linux this is the priority of the calling thread alone (setpriority(2), from memory): requests go before jobs. */
const behindRequests = 10;
try {
  if (process.platform === 'linux') setPriority(behindRequests);
} catch {
  // Not allowed here: then both are of one kind.
}

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
