import { chmodSync, copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Libsql from 'libsql';
import { databaseFile } from './database';
import { takeFolder } from './lock';
import { migrations } from './migrations';

/** The parts of a database on disk: the file itself, its write-ahead log and the index of that. */
const parts = ['', '-wal', '-shm'] as const;

/**
 * Writes a whole, consistent copy of the database to a file that only this user can read; the server may run meanwhile.
 * Who is signed in, codes and links stay out: none of them is good after a restore. The copy is read back.
 * @throws Error where there is no database, the file exists already, or the copy is not sound
 */
export function backUp(dataDir: string, target: string): void {
  const source = join(dataDir, databaseFile);
  if (!existsSync(source)) throw new Error(`There is no database in "${dataDir}".`);
  if (existsSync(target)) throw new Error(`"${target}" exists already; name a new file.`);
  withDatabase(source, {}, (db) => db.prepare('vacuum into ?').run([target]));
  chmodSync(target, 0o600);
  withDatabase(target, {}, (db) => {
    for (const table of ['sessions', 'access_codes', 'shares']) db.exec(`delete from ${table}`);
    db.exec('vacuum');
  });
  assertSound(target);
}

/**
 * Puts a backup in the place of the database; the server must be stopped. The backup is checked, written beside the
 * database, checked again and put in its place by renaming. What was there is kept beside it, whole and as it was, with
 * `.before-restore-` and the moment in its name: also when it is damaged, and also from an earlier restore.
 * @returns where what was there lies now; undefined where nothing was
 * @throws Error where a server runs, or the backup is missing, damaged, newer than this release or no database of this
 *   product; the database is as it was then
 */
export function restore(dataDir: string, backup: string): string | undefined {
  if (!existsSync(backup)) throw new Error(`There is no file "${backup}".`);
  assertSound(backup);
  const giveBack = takeFolder(dataDir);
  try {
    return swap(join(dataDir, databaseFile), backup);
  } finally {
    giveBack();
  }
}

function swap(target: string, backup: string): string | undefined {
  const fresh = `${target}.restoring`;
  for (const part of parts) rmSync(fresh + part, { force: true });
  copyFileSync(backup, fresh);
  chmodSync(fresh, 0o600);
  assertSound(fresh);
  const aside = freeName(`${target}.before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}`);
  const moved = parts.filter((part) => existsSync(target + part));
  for (const part of moved) renameSync(target + part, aside + part);
  try {
    renameSync(fresh, target);
    // Opened once in its place, as the server will.
    assertSound(target);
  } catch (error) {
    for (const part of parts) rmSync(target + part, { force: true });
    for (const part of moved) renameSync(aside + part, target + part);
    throw error;
  }
  return moved.length > 0 ? aside : undefined;
}

function freeName(name: string): string {
  let free = name;
  for (let n = 2; parts.some((part) => existsSync(free + part)); n++) free = `${name}-${n}`;
  return free;
}

/** @throws Error where a file is damaged, of a later release, or no database of this product */
function assertSound(file: string): void {
  let problem: string | undefined;
  try {
    problem = withDatabase(file, { readonly: true }, (db) => {
      const [row] = db.prepare('pragma integrity_check').all([]) as { integrity_check: string }[];
      if (row?.integrity_check !== 'ok') return row?.integrity_check ?? 'no answer';
      db.prepare('select count(*) from events').all([]);
      const made = db.prepare('select name from kysely_migration').all([]) as { name: string }[];
      const later = made.find(({ name }) => !Object.hasOwn(migrations, name));
      return later && `it is of a later release, with "${later.name}"`;
    });
  } catch (error) {
    problem = error instanceof Error ? error.message : String(error);
  }
  if (problem !== undefined) throw new Error(`"${file}" is not a sound backup: ${problem}. Nothing was changed.`);
}

function withDatabase<T>(file: string, options: Libsql.Options, use: (db: Libsql.Database) => T): T {
  const db = new Libsql(file, options);
  try {
    return use(db);
  } finally {
    db.close();
  }
}
