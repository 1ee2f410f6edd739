import fs, {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Libsql from 'libsql';
import { backUp, restore } from './backup';
import { createDatabase, databaseFile, hasDatabase, openDatabase } from './database';
import { takeFolder } from './lock';

let folder: string;
let backup: string;
const at = (name: string) => join(folder, name);
const fileOf = (dataDir: string) => join(dataDir, databaseFile);

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jasperwren-restore-'));
  backup = at('backup.sqlite');
  await withSchools(at('source'), ['kept']);
  await backUp(at('source'), backup);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A database of a data folder with these schools. */
async function withSchools(dataDir: string, names: readonly string[]): Promise<void> {
  if (!hasDatabase(dataDir)) await createDatabase(dataDir);
  const db = await openDatabase(dataDir);
  for (const name of names) await db.insertInto('schools').values({ id: name, name, created_at: '' }).execute();
  await db.destroy();
}

function schoolsIn(file: string): readonly string[] {
  const db = new Libsql(file);
  try {
    return (db.prepare('select name from schools order by name').all([]) as { name: string }[]).map(({ name }) => name);
  } finally {
    db.close();
  }
}

/** A data folder as a killed server leaves it: most of what it holds stands in the write-ahead log alone. */
async function killed(dataDir: string, schools: number): Promise<void> {
  await withSchools(at('running'), []);
  const db = new Libsql(fileOf(at('running')));
  db.pragma('journal_mode = WAL');
  db.pragma('wal_autocheckpoint = 0');
  const insert = db.prepare("insert into schools (id, name, created_at) values (?, ?, '')");
  for (let i = 0; i < schools; i++) insert.run([`late-${i}`, `late-${i} ${'x'.repeat(500)}`]);
  mkdirSync(dataDir, { recursive: true });
  for (const part of ['', '-wal']) copyFileSync(fileOf(at('running')) + part, fileOf(dataDir) + part);
  db.close();
}

describe('a restore', () => {
  it('makes a database where none was', async () => {
    expect(await restore(at('new'), backup)).toBeUndefined();
    expect(schoolsIn(fileOf(at('new')))).toEqual(['kept']);
    expect(statSync(fileOf(at('new'))).mode & 0o777).toBe(0o600);
    expect(statSync(at('new')).mode & 0o777).toBe(0o700);
  });

  it('is refused while a server runs, and changes nothing', async () => {
    await withSchools(at('data'), ['present']);
    const giveBack = takeFolder(at('data'));
    await expect(restore(at('data'), backup)).rejects.toThrow('A server is running on the data folder');
    giveBack();
    expect(schoolsIn(fileOf(at('data')))).toEqual(['present']);
  });

  it('replaces what a killed server left in a large write-ahead log, and keeps that whole', async () => {
    await killed(at('data'), 3000);
    expect(statSync(`${fileOf(at('data'))}-wal`).size).toBeGreaterThan(1_000_000);
    const aside = (await restore(at('data'), backup))!;
    expect(schoolsIn(fileOf(at('data')))).toEqual(['kept']);
    expect(schoolsIn(aside)).toHaveLength(3000);
  });

  it('works with a damaged database, and keeps the damaged one', async () => {
    mkdirSync(at('data'));
    writeFileSync(fileOf(at('data')), 'no database any more');
    const aside = (await restore(at('data'), backup))!;
    expect(schoolsIn(fileOf(at('data')))).toEqual(['kept']);
    expect(readFileSync(aside, 'utf8')).toBe('no database any more');
  });

  it('keeps every earlier database, twice in a row and at once', async () => {
    await withSchools(at('data'), ['first']);
    const one = (await restore(at('data'), backup))!;
    const two = (await restore(at('data'), backup))!;
    const three = (await restore(at('data'), backup))!;
    expect(new Set([one, two, three]).size).toBe(3);
    expect([one, two, three].map(schoolsIn)).toEqual([['first'], ['kept'], ['kept']]);
  });

  it('is refused where the disk is full, and changes nothing', async () => {
    await withSchools(at('data'), ['present']);
    const before = readdirSync(at('data')).sort();
    const copy = jest.spyOn(fs, 'copyFileSync').mockImplementationOnce((_, to) => {
      writeFileSync(to, 'the first half');
      throw Object.assign(new Error('ENOSPC: no space left on device'), { code: 'ENOSPC' });
    });
    await expect(restore(at('data'), backup)).rejects.toThrow('no space left');
    copy.mockRestore();
    expect(schoolsIn(fileOf(at('data')))).toEqual(['present']);
    expect(
      readdirSync(at('data'))
        .filter((name) => !name.endsWith('.lock'))
        .sort(),
    ).toEqual(before);
    await restore(at('data'), backup);
    expect(schoolsIn(fileOf(at('data')))).toEqual(['kept']);
  });

  it.each<[string, (file: string) => void, RegExp]>([
    ['no database', (file) => writeFileSync(file, 'something else of some length'), /not a sound backup/],
    ['empty', (file) => writeFileSync(file, ''), /not a sound backup/],
    [
      'of another product',
      (file) => {
        rmSync(file);
        const db = new Libsql(file);
        db.exec('create table things (id text)');
        db.close();
      },
      /not a sound backup: it is a database of another program/,
    ],
    [
      'of a later release',
      (file) => {
        const db = new Libsql(file);
        db.exec(`insert into kysely_migration (name, timestamp) values ('9999-later', '')`);
        db.close();
      },
      /of a later release, with "9999-later"/,
    ],
    [
      'damaged in the middle',
      (file) => {
        const bytes = readFileSync(file);
        bytes.fill(0x41, 4096 * 3, 4096 * 9);
        writeFileSync(file, bytes);
      },
      /not a sound backup/,
    ],
  ])('is refused where the backup is %s, and changes nothing', async (_, spoil, message) => {
    await withSchools(at('data'), ['present']);
    const before = readdirSync(at('data')).sort();
    spoil(backup);
    await expect(restore(at('data'), backup)).rejects.toThrow(message);
    expect(schoolsIn(fileOf(at('data')))).toEqual(['present']);
    expect(readdirSync(at('data')).sort()).toEqual(before);
  });
});

describe('a backup', () => {
  it('is private, and holds nobody’s sign-in, code or link', async () => {
    await withSchools(at('more'), ['School']);
    const raw = new Libsql(fileOf(at('more')));
    raw.exec(`insert into sessions (id, data, device, address, created_ms, seen_ms, expires_ms)
      values ('secret-session', '{}', '', '', 0, 0, 4102444800000)`);
    raw.close();
    await backUp(at('more'), at('copy.sqlite'));
    expect(statSync(at('copy.sqlite')).mode & 0o777).toBe(0o600);
    expect(readFileSync(at('copy.sqlite')).includes('secret-session')).toBe(false);
    expect(existsSync(`${at('copy.sqlite')}-wal`)).toBe(false);
    expect(schoolsIn(at('copy.sqlite'))).toEqual(['School']);
  });
});
