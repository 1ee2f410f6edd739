import fc from 'fast-check';
import Libsql from 'libsql';
import { mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase, databaseFile, openDatabase } from './database';
import { logOf } from '../log';
import { openKeeper, type Keeper } from './keeper';
import { troubleInLog } from './trouble-in-log';

let folder: string;
let keeper: Keeper;
let changed: () => void = () => undefined;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jasperwren-writer-'));
  await createDatabase(folder);
  keeper = await openKeeper(folder, () => changed());
});
afterEach(async () => {
  await keeper.close();
  rmSync(folder, { recursive: true, force: true });
});

const add = (name: string) =>
  keeper.write((db) => db.insertInto('schools').values({ id: name, name, created_at: '' }).execute());
const names = async () =>
  (await keeper.db.selectFrom('schools').select('name').orderBy('name').execute()).map(({ name }) => name);

describe('the writer', () => {
  it('takes any mix of changes that hold and changes that fail: those that held are there, and no other', async () => {
    let round = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { maxLength: 90 }), async (holds) => {
        round += 1;
        const done = await Promise.allSettled(
          holds.map((hold, i) =>
            keeper.write(async (db) => {
              const name = `${round}-${i}`;
              await db.insertInto('schools').values({ id: name, name, created_at: '' }).execute();
              if (!hold) throw new Error(name);
              return name;
            }),
          ),
        );
        expect(done.map(({ status }) => status)).toEqual(holds.map((hold) => (hold ? 'fulfilled' : 'rejected')));
        const there = (await names()).filter((name) => name.startsWith(`${round}-`));
        expect(there.sort()).toEqual(holds.flatMap((hold, i) => (hold ? [`${round}-${i}`] : [])).sort());
      }),
      { numRuns: 25 },
    );
  });

  it('has it on disk when it says so: another connection reads it at once', async () => {
    await add('kept');
    const raw = new Libsql(join(folder, databaseFile), { readonly: true });
    expect(raw.prepare('select name from schools').all([])).toEqual([{ name: 'kept' }]);
    raw.close();
  });

  it('shares a commit among those who come at one time', async () => {
    const raw = new Libsql(join(folder, databaseFile), { readonly: true });
    const version = () => (raw.prepare('pragma data_version').all([]) as { data_version: number }[])[0]!.data_version;
    const seen = new Set([version()]);
    await Promise.all(Array.from({ length: 60 }, (_, i) => add(`s${i}`).then(() => seen.add(version()))));
    expect(await names()).toHaveLength(60);
    expect(seen.size).toBeLessThan(10);
    raw.close();
  });
});

describe('a database that is lost while the server runs', () => {
  it.each<[string, () => void, RegExp]>([
    ['is deleted', () => rmSync(join(folder, databaseFile)), /not there any more/],
    [
      'gives way to another',
      () => {
        renameSync(join(folder, databaseFile), join(folder, 'elsewhere'));
        writeFileSync(join(folder, databaseFile), 'something');
      },
      /Another file stands in the place/,
    ],
  ])('%s: nothing is acknowledged any more, and the operator is told', async (_, lose, words) => {
    await add('before');
    expect(keeper.trouble()).toBeUndefined();
    lose();
    await expect(add('after')).rejects.toMatchObject({ kind: 'unavailable', code: 'no-database' });
    expect(keeper.trouble()).toMatch(words);
  });
});

describe('the mark of a database', () => {
  it('stays while nothing is committed, and changes with every commit, of another process as well', async () => {
    const marks = [keeper.mark()];
    await names();
    marks.push(keeper.mark());
    await add('own');
    marks.push(keeper.mark());
    await keeper.write(() => Promise.reject(new Error('no'))).catch(() => undefined);
    const other = new Libsql(join(folder, databaseFile));
    other.exec("insert into schools (id, name, created_at) values ('other', 'other', '')");
    other.close();
    marks.push(keeper.mark());
    expect(marks[1]).toBe(marks[0]);
    expect(new Set(marks).size).toBe(3);
  });
});

describe('a full disk', () => {
  it('is told as such, takes nothing half, and is over when there is room', async () => {
    await add('before');
    const raw = keeper.writing;
    const lines: string[] = [];
    const inLog = troubleInLog(
      () => keeper.trouble(),
      logOf('info', (line) => void lines.push(line)),
    );
    changed = inLog.look;
    const { sql } = await import('kysely');
    const pages = async (pragma: string) =>
      Number(
        Object.values((await sql<Record<string, number>>`${sql.raw(`pragma ${pragma}`)}`.execute(raw)).rows[0]!)[0],
      );
    // SQLite says the same of a database that may not grow as of a disk that is full.
    const room = await pages('page_count');
    await pages(`max_page_count = ${room}`);
    const large = (name: string) =>
      keeper.write((db) =>
        db
          .insertInto('schools')
          .values({ id: name, name: 'x'.repeat(200_000), created_at: '' })
          .execute(),
      );
    await expect(large('large')).rejects.toMatchObject({ kind: 'disk-full', code: 'disk-full' });
    expect(keeper.trouble()).toBe('The disk is full. Nothing new is taken until there is room.');
    expect(await names()).toEqual(['before']);
    await pages('max_page_count = 1000000');
    await large('large');
    expect(keeper.trouble()).toBeUndefined();
    expect(await names()).toHaveLength(2);
    inLog.stop();
    expect(lines.map((line) => (JSON.parse(line) as { level: number }).level)).toEqual([40, 30]);
    expect(lines[0]).toContain('The disk is full');
  });
});

describe('a server does not begin', () => {
  it.each<[string, (file: string) => void, RegExp]>([
    ['without a database', (file) => rmSync(file), /There is no database/],
    ['with an empty one', (file) => writeFileSync(file, ''), /it is empty/],
    ['with something else', (file) => writeFileSync(file, 'x'.repeat(5000)), /damaged or no database/],
    [
      'with that of another program',
      (file) => {
        rmSync(file);
        const db = new Libsql(file);
        db.exec('create table things (id text)');
        db.close();
      },
      /database of another program/,
    ],
    [
      'with that of a later release',
      (file) => {
        const db = new Libsql(file);
        db.exec(`insert into kysely_migration (name, timestamp) values ('9999-later', '')`);
        db.close();
      },
      /later release/,
    ],
  ])('%s, and changes nothing', async (_, spoil, words) => {
    const other = join(folder, 'other');
    await createDatabase(other);
    spoil(join(other, databaseFile));
    await expect(openDatabase(other)).rejects.toThrow(words);
  });

  it('where there was one: a folder that has lost its database makes no new one', async () => {
    const other = join(folder, 'other');
    await createDatabase(other);
    writeFileSync(join(other, 'jasperwren.lock'), '');
    rmSync(join(other, databaseFile));
    await expect(createDatabase(other)).rejects.toThrow('is missing: a server has run there before');
  });
});

describe('after a stop', () => {
  it('one file is enough', async () => {
    await add('kept');
    await keeper.close();
    for (const part of ['-wal', '-shm']) rmSync(join(folder, databaseFile) + part, { force: true });
    keeper = await openKeeper(folder);
    expect(await names()).toEqual(['kept']);
  });
});
