import { accessSync, chmodSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import Libsql from 'libsql';
import { migrations } from './migrations/migrations';
import type { Tables } from './schema';
import { withStatements } from './statements';

export type Db = Kysely<Tables>;

export const databaseFile = 'jasperwren.sqlite';
export const lockFile = 'jasperwren.lock';
/** Says in the head of a SQLite file whose it is: "jspw" in ASCII. */
export const applicationId = 0x6a737077;

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
 * Makes an empty database in a folder that never had one.
 * @throws Error with a sentence for the operator where there is one, or was one
 */
export async function createDatabase(dataDir: string): Promise<void> {
  ensureFolder(dataDir);
  const file = join(dataDir, databaseFile);
  if (existsSync(file)) throw new Error(`There is a database in "${dataDir}" already.`);
  if (existsSync(`${file}-wal`) || existsSync(join(dataDir, lockFile)))
    throw new Error(
      `The database of "${dataDir}" is missing: a server has run there before. Restore a backup. If there never was one, delete "${lockFile}" first.`,
    );
  await migrate(dataDir);
  chmodSync(file, 0o600);
}

/** Whether a folder holds a database. */
export const hasDatabase = (dataDir: string): boolean => existsSync(join(dataDir, databaseFile));

/**
 * Opens the database of a data folder and migrates it.
 * @throws Error with a sentence for the operator where there is none, it is not one of this product or of a later
 *   release, the folder cannot be written, or a migration fails
 */
export async function openDatabase(dataDir: string): Promise<Db> {
  ensureFolder(dataDir);
  const file = join(dataDir, databaseFile);
  if (!existsSync(file))
    throw new Error(
      `There is no database in "${dataDir}". Restore a backup, or make a school: jasperwren school NAME --lead NAME --email ADDRESS.`,
    );
  const strange = strangeIn(file);
  if (strange) throw new Error(`"${file}" cannot be used: ${strange}. Restore a backup; nothing was changed.`);
  await migrate(dataDir);
  return connect(dataDir);
}

/** A connection to a database that has been migrated. */
export function connect(dataDir: string): Db {
  return new Kysely<Tables>({ dialect: new SqliteDialect({ database: withStatements(openFile(dataDir)) }) });
}

/**
 * What is wrong with a file that is to be a database of this product; undefined where nothing is.
 * @param file is there
 */
export function strangeIn(file: string): string | undefined {
  if (statSync(file).size === 0) return 'it is empty';
  try {
    const db = new Libsql(file, { readonly: true });
    try {
      const [mark] = db.prepare('pragma application_id').all([]) as { application_id: number }[];
      const tables = db
        .prepare(`select name from sqlite_master where name in ('kysely_migration', 'schools', 'events')`)
        .all([]);
      const ours = mark?.application_id === applicationId || mark?.application_id === 0;
      if (!ours || tables.length < 3) return 'it is a database of another program';
      const made = db.prepare('select name from kysely_migration').all([]) as { name: string }[];
      const later = made.find(({ name }) => !Object.hasOwn(migrations, name));
      return later && `it is of a later release, with "${later.name}"`;
    } finally {
      db.close();
    }
  } catch (error) {
    return `it is damaged or no database (${error instanceof Error ? error.message : String(error)})`;
  }
}

function openFile(dataDir: string): Libsql.Database {
  const file = new Libsql(join(dataDir, databaseFile));
  file.pragma('journal_mode = WAL');
  // FULL: a commit has reached the disk before it is acknowledged.
  file.pragma('synchronous = FULL');
  file.pragma('foreign_keys = ON');
  file.pragma('busy_timeout = 5000');
  // What is deleted is written over, in the file as well as in the log.
  file.pragma('secure_delete = ON');
  return file;
}

async function migrate(dataDir: string): Promise<void> {
  const file = openFile(dataDir);
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: file }) });
  try {
    const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
    const { error, results } = await migrator.migrateToLatest();
    if (error) {
      const failed = results?.find((result) => result.status === 'Error')?.migrationName ?? 'the first one';
      throw new Error(
        `The database in "${dataDir}" could not be migrated (${failed}): ${error instanceof Error ? error.message : JSON.stringify(error)}`,
      );
    }
    file.pragma(`application_id = ${applicationId}`);
    file.pragma('wal_checkpoint(truncate)');
  } finally {
    await db.destroy();
  }
}
