import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import Libsql from 'libsql';
import { createMessage, decrypt, encrypt, readMessage } from 'openpgp';
import { databaseFile, ensureFolder, strangeIn } from './database';
import { takeFolder } from './lock';

/** The parts of a database on disk: the file itself, its write-ahead log and the index of that. */
const parts = ['', '-wal', '-shm'] as const;

/** What a backup leaves out: none of it is good after a restore. */
const leftOut = ['sessions', 'access_codes', 'password_links', 'shares'];

/**
 * Writes a whole, consistent copy of the database to a file that only this user can read; the server may run meanwhile.
 * Who is signed in, codes and links stay out. The copy is read back, also from the encrypted file.
 * @param key encrypts the copy (OpenPGP, RFC 9580, with a password), where there is one
 * @throws Error where there is no database, the file exists already, or the copy is not sound
 */
export async function backUp(dataDir: string, target: string, key?: string): Promise<void> {
  const source = join(dataDir, databaseFile);
  if (!existsSync(source)) throw new Error(`There is no database in "${dataDir}".`);
  if (existsSync(target)) throw new Error(`"${target}" exists already; name a new file.`);
  const plain = key === undefined ? target : `${target}.plain`;
  rmSync(plain, { force: true });
  try {
    withDatabase(source, {}, (db) => db.prepare('vacuum into ?').run([plain]));
    chmodSync(plain, 0o600);
    withDatabase(plain, {}, (db) => {
      for (const table of leftOut) db.exec(`delete from ${table}`);
      db.exec('vacuum');
    });
    assertSound(plain);
    if (key === undefined) return;
    const message = await createMessage({ binary: readFileSync(plain) });
    writeFileSync(target, (await encrypt({ message, passwords: key, format: 'binary' })) as Uint8Array, {
      mode: 0o600,
      flag: 'wx',
    });
    if (!(await decrypted(target, key)).equals(readFileSync(plain)))
      throw new Error(`"${target}" cannot be read back. Make another backup.`);
  } catch (error) {
    rmSync(target, { force: true });
    throw error;
  } finally {
    if (key !== undefined) rmSync(plain, { force: true });
  }
}

/** @throws Error where the key is another, or the file is damaged */
async function decrypted(file: string, key: string): Promise<Buffer> {
  const message = await readMessage({ binaryMessage: new Uint8Array(readFileSync(file)) });
  try {
    const opened = await decrypt({ message, passwords: key, format: 'binary' });
    return Buffer.from(opened.data as Uint8Array);
  } catch {
    throw new Error(`"${file}" cannot be decrypted: the key is another, or the file is damaged. Nothing was changed.`);
  }
}

/** The first bytes of every SQLite file (sqlite.org/fileformat.html, from memory). */
const sqliteHead = 'SQLite format 3\0';

/**
 * Puts a backup in the place of the database; the server must be stopped. The backup is checked, written beside the
 * database, checked again and put in its place by renaming. What was there is kept beside it, whole and as it was, with
 * `.before-restore-` and the moment in its name: also when it is damaged, and also from an earlier restore.
 * @param key of an encrypted backup
 * @returns where what was there lies now; undefined where nothing was
 * @throws Error where a server runs, or the backup is missing, damaged, newer than this release or no database of this
 *   product; the database is as it was then
 */
export async function restore(dataDir: string, backup: string, key?: string): Promise<string | undefined> {
  if (!existsSync(backup)) throw new Error(`There is no file "${backup}".`);
  ensureFolder(dataDir);
  const plain = readFileSync(backup).subarray(0, sqliteHead.length).toString('latin1') === sqliteHead;
  if (!plain && key !== undefined) {
    const folder = mkdtempSync(join(dataDir, 'restoring-'));
    const open = join(folder, 'backup.sqlite');
    try {
      writeFileSync(open, await decrypted(backup, key), { mode: 0o600 });
      return putInPlace(dataDir, open);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
  return putInPlace(dataDir, backup);
}

function putInPlace(dataDir: string, backup: string): string | undefined {
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
  try {
    copyFileSync(backup, fresh);
    chmodSync(fresh, 0o600);
    assertSound(fresh);
  } catch (error) {
    for (const part of parts) rmSync(fresh + part, { force: true });
    throw error;
  }
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
  let problem = strangeIn(file);
  try {
    problem ??= withDatabase(file, { readonly: true }, (db) => {
      const [row] = db.prepare('pragma integrity_check').all([]) as { integrity_check: string }[];
      return row?.integrity_check === 'ok' ? undefined : (row?.integrity_check ?? 'no answer');
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
