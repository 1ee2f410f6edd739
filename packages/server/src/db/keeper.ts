import { t } from '@jasperwren/words/refusals';
import { statfsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { sql } from 'kysely';
import Libsql from 'libsql';
import { diskFull, unavailable } from '../refusal';
import { connect, databaseFile, openDatabase, type Db } from './database';
import { writerOf, type Write } from './writer';

/** Below this the operator is told that the disk is nearly full, in bytes. */
const littleRoom = 64 * 1024 * 1024;

/** The database of a running server: one connection that reads, and one that writes. */
export interface Keeper {
  /** Sees what is committed, and waits for nobody. */
  readonly db: Db;
  /** The connection of the writer, for what no request does: tests and tools. */
  readonly writing: Db;
  readonly write: Write;
  /** Changes with every commit, of whatever process: what was read at the same mark is still so. */
  readonly mark: () => number;
  /** What is wrong with it now, in a sentence for the operator; undefined where nothing is. */
  readonly trouble: () => string | undefined;
  /** Reads, and commits nothing: rejects where either fails. */
  readonly prove: () => Promise<void>;
  /** Leaves nothing of what was deleted in the write-ahead log. */
  readonly forget: () => Promise<void>;
  /** Writes everything into the one file and lets go of it. */
  readonly close: () => Promise<void>;
}

/**
 * @param onChange is told when the disk is found full, and when something could be kept again
 * @throws as `openDatabase`
 */
export async function openKeeper(dataDir: string, onChange: () => void = () => undefined): Promise<Keeper> {
  const writing = await openDatabase(dataDir);
  const db = connect(dataDir);
  const file = join(dataDir, databaseFile);
  // The file is opened by the first query; only then is it known which one it is.
  await Promise.all([writing, db].map((one) => sql`select 1`.execute(one)));
  const opened = statSync(file);
  // A connection that neither reads nor writes sees when any other has committed (sqlite.org/pragma.html#pragma_data_version, from memory).
  const watching = new Libsql(file, { readonly: true });
  const marks = watching.prepare('pragma data_version');
  let failed: string | undefined;
  let owed: NodeJS.Timeout | undefined;

  function gone(): string | undefined {
    try {
      const now = statSync(file);
      return now.ino === opened.ino && now.dev === opened.dev ? undefined : t('otherDatabase');
    } catch {
      return t('databaseGone');
    }
  }

  const assertThere = () => {
    if (gone())
      throw unavailable(t('databaseLost'), {
        code: 'no-database',
      });
  };
  async function forget(): Promise<void> {
    if (await checkpoint(writing)) return;
    // Somebody reads for long: what was deleted leaves the log once they are done.
    clearTimeout(owed);
    owed = setTimeout(() => void forget().catch(() => undefined), forgetAgainMs).unref();
  }

  const write = writerOf(writing, assertThere, (error) => {
    const before = failed;
    failed = error !== undefined && isDiskFull(error) ? t('diskFull') : undefined;
    if (before !== failed) onChange();
  });
  return {
    db,
    writing,
    write: async (work) => {
      try {
        return await write(work);
      } catch (error) {
        if (!isDiskFull(error)) throw error;
        throw diskFull(t('diskFullNothingSaved'), {
          code: 'disk-full',
        });
      }
    },
    trouble: () => gone() ?? failed ?? roomWords(dataDir),
    mark: () => (marks.all([]) as { readonly data_version: number }[])[0]!.data_version,
    prove: async () => {
      await sql`select 1`.execute(db);
      await write((trx) => sql`select 1`.execute(trx));
    },
    forget,
    close: async () => {
      clearTimeout(owed);
      watching.close();
      await db.destroy();
      if (!gone()) await checkpoint(writing);
      await writing.destroy();
    },
  };
}

const forgetAgainMs = 5000;
const mostTries = 20;
const tryAgainMs = 100;

/** Brings the write-ahead log into the file and empties it, once nobody reads from it. Returns whether it could. */
async function checkpoint(db: Db): Promise<boolean> {
  for (let i = 0; i < mostTries; i++) {
    const { rows } = await sql<{ busy: number }>`pragma wal_checkpoint(truncate)`.execute(db);
    if (rows[0]?.busy !== 1) return true;
    await wait(tryAgainMs);
  }
  return false;
}

const isDiskFull = (error: unknown): boolean =>
  error instanceof Error &&
  (/SQLITE_FULL|ENOSPC/.test(String((error as { code?: unknown }).code)) || /disk is full/.test(error.message));

function roomWords(dataDir: string): string | undefined {
  const { bavail, bsize } = statfsSync(dataDir);
  const free = bavail * bsize;
  return free < littleRoom ? t('diskNearlyFull', { megabytes: Math.round(free / 1024 / 1024) }) : undefined;
}
