import { copyFileSync, existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Libsql from 'libsql';
import { databaseFile } from './database';

/**
 * Writes a whole, consistent copy of the database to a file; the server may run meanwhile.
 * @throws Error where there is no database, or the file exists already
 */
export function backUp(dataDir: string, target: string): void {
  const source = join(dataDir, databaseFile);
  if (!existsSync(source)) throw new Error(`There is no database in "${dataDir}".`);
  if (existsSync(target)) throw new Error(`"${target}" exists already; name a new file.`);
  const db = new Libsql(source);
  try {
    db.prepare('vacuum into ?').run([target]);
  } finally {
    db.close();
  }
}

/**
 * Puts a backup in the place of the database; the server must be stopped. What was there is kept beside it,
 * with `.before-restore` at the end of its name.
 * @throws Error where the backup is missing, damaged or no database of this product
 */
export function restore(dataDir: string, backup: string): void {
  if (!existsSync(backup)) throw new Error(`There is no file "${backup}".`);
  assertSound(backup);
  mkdirSync(dataDir, { recursive: true });
  const target = join(dataDir, databaseFile);
  if (existsSync(target)) {
    const aside = `${target}.before-restore`;
    rmSync(aside, { force: true });
    backUp(dataDir, aside);
  }
  for (const part of ['-wal', '-shm']) rmSync(target + part, { force: true });
  copyFileSync(backup, target);
}

function assertSound(file: string): void {
  let verdict: string;
  const db = new Libsql(file, { readonly: true });
  try {
    const [row] = db.prepare('pragma integrity_check').all([]) as { integrity_check: string }[];
    db.prepare('select count(*) from events').all([]);
    verdict = row?.integrity_check ?? 'no answer';
  } catch (error) {
    verdict = error instanceof Error ? error.message : String(error);
  } finally {
    db.close();
  }
  if (verdict !== 'ok') throw new Error(`"${file}" is not a sound backup: ${verdict}. Nothing was changed.`);
}
