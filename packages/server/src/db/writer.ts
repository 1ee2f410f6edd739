import { setImmediate } from 'node:timers/promises';
import type { ControlledTransaction } from 'kysely';
import type { Db } from './database';
import type { Tables } from './schema';

/** More than this wait for the next commit. */
const mostInACommit = 64;

/**
 * Does something that changes the database, all of it or nothing. When it returns, the change is on disk. Changes that
 * arrive at one time share a commit, which is the slow part; one that throws takes back nothing but its own.
 */
export type Write = <T>(work: (db: Db) => Promise<T>) => Promise<T>;

interface Waiting {
  readonly work: (db: Db) => Promise<unknown>;
  readonly resolve: (value: unknown) => void;
  readonly reject: (reason: unknown) => void;
}

/**
 * The one writer of a database: everything that changes it goes through here, one after the other.
 * @param assertThere throws where the file is not there any more: what is written would be lost
 * @param onCommit is told how each commit ended
 */
export function writerOf(db: Db, assertThere: () => void, onCommit: (failed?: unknown) => void): Write {
  const waiting: Waiting[] = [];
  let busy = false;

  async function commitAll(): Promise<void> {
    if (busy) return;
    busy = true;
    while (waiting.length > 0) {
      // What arrives in this turn goes along.
      await setImmediate();
      await commitTogether(db, waiting.splice(0, mostInACommit), assertThere, onCommit);
    }
    busy = false;
  }

  return <T>(work: (trx: Db) => Promise<T>) =>
    new Promise<T>((resolve, reject) => {
      waiting.push({ work, resolve: resolve as (value: unknown) => void, reject });
      void commitAll();
    });
}

/** Whether one change could be taken back by itself: after a full disk the whole commit is gone. */
async function wentBack(trx: ControlledTransaction<Tables, ['own']>): Promise<boolean> {
  try {
    await trx.rollbackToSavepoint('own').execute();
    await trx.releaseSavepoint('own').execute();
    return true;
  } catch {
    return false;
  }
}

/** Runs each within a savepoint of its own, commits once, and tells them all; none is told before the commit. */
async function commitTogether(
  db: Db,
  group: readonly Waiting[],
  assertThere: () => void,
  onCommit: (failed?: unknown) => void,
): Promise<void> {
  const tell: (() => void)[] = [];
  try {
    assertThere();
    const trx = await db.startTransaction().execute();
    try {
      for (const { work, resolve, reject } of group) {
        const own = await trx.savepoint('own').execute();
        try {
          const value = await work(own);
          await own.releaseSavepoint('own').execute();
          tell.push(() => resolve(value));
        } catch (error) {
          if (!(await wentBack(own))) throw error;
          tell.push(() => reject(error));
        }
      }
      await trx.commit().execute();
    } catch (error) {
      await trx
        .rollback()
        .execute()
        .catch(() => undefined);
      throw error;
    }
  } catch (error) {
    onCommit(error);
    for (const { reject } of group) reject(error);
    return;
  }
  onCommit();
  for (const one of tell) one();
}
