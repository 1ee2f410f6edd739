import { accessSync, constants, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import Libsql from 'libsql';
import { migrations } from './migrations';
import type { Tables } from './schema';

export type Db = Kysely<Tables>;

export const databaseFile = 'jasperwren.sqlite';

/**
 * Makes a data folder that only this user can read, where there is none.
 * @throws Error with a sentence for the operator where it cannot be written
 */
export function ensureFolder(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true, mode: 0o700 });
    accessSync(dataDir, constants.W_OK);
  } catch {
    throw new Error(
      `The data folder "${dataDir}" cannot be written. Give this user write permission to it, or set JASPERWREN_DATA to another folder.`,
    );
  }
}

/**
 * Opens the database of a data folder, makes both where there are none, and migrates it.
 * @throws Error with a sentence for the operator where the folder cannot be written or a migration fails
 */
export async function openDatabase(dataDir: string): Promise<Db> {
  ensureFolder(dataDir);
  const file = new Libsql(join(dataDir, databaseFile));
  file.pragma('journal_mode = WAL');
  // FULL: a commit has reached the disk before it is acknowledged.
  file.pragma('synchronous = FULL');
  file.pragma('foreign_keys = ON');
  file.pragma('busy_timeout = 5000');
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: file }) });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
  const { error, results } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    const failed = results?.find((result) => result.status === 'Error')?.migrationName ?? 'the first one';
    throw new Error(
      `The database in "${dataDir}" could not be migrated (${failed}): ${error instanceof Error ? error.message : JSON.stringify(error)}`,
    );
  }
  return db;
}
