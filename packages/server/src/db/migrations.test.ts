import Libsql from 'libsql';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase, databaseFile, openDatabase } from './database';
import { migrations } from './migrations/migrations';
import { columnsText } from './testing-columns';

const names = Object.keys(migrations);
let folder: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'jasperwren-migrations-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A database as an older release left it, with a school, a learner and a drive of two events. */
async function olderDatabase(upTo: string): Promise<void> {
  const file = new Libsql(join(folder, databaseFile));
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: file }) });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
  const { error } = await migrator.migrateTo(upTo);
  expect(error).toBeUndefined();
  const insert = (table: string, row: Readonly<Record<string, string | number>>) =>
    file
      .prepare(
        `insert into ${table} (${Object.keys(row).join(', ')}) values (${Object.keys(row)
          .map(() => '?')
          .join(', ')})`,
      )
      .run(Object.values(row));
  const at = '2026-01-02T10:00:00.000Z';
  insert('schools', { id: 's', name: 'Old School' });
  insert('accounts', {
    id: 'a',
    school_id: 's',
    email: 'lead@old.example',
    name: 'Lead',
    role: 'lead',
    password_hash: '',
  });
  insert('standards', { school_id: 's', id: 'tally', version: 1, body: '{}' });
  insert('learners', {
    id: 'l',
    school_id: 's',
    name: 'Learner',
    transmission: 'manual',
    standard_id: 'tally',
    created_at: at,
    updated_at: at,
  });
  insert('drives', {
    school_id: 's',
    id: 'd',
    learner_id: 'l',
    account_id: 'a',
    standard_id: 'tally',
    standard_version: 1,
    started_at: at,
    digest: '{}',
  });
  for (const id of ['e1', 'e2'])
    insert('events', { school_id: 's', drive_id: 'd', id, account_id: 'a', body: `{"id":"${id}"}`, received_at: at });
  await db.destroy();
}

/** Tables, columns and indexes, without the ways in which they were written down. */
async function shapeOf(dataDir: string): Promise<readonly string[]> {
  const db = await openDatabase(dataDir);
  try {
    const tables = await db.introspection.getTables();
    return tables
      .flatMap(({ name, columns }) =>
        columns.map((column) => `${name}.${column.name} ${column.dataType} ${column.isNullable ? 'null' : 'not null'}`),
      )
      .sort();
  } finally {
    await db.destroy();
  }
}

describe('a database of an older release', () => {
  it.each(names)('at %s comes up to date and keeps everything', async (name) => {
    await olderDatabase(name);
    const db = await openDatabase(folder);
    const [learner] = await db.selectFrom('learners').selectAll().execute();
    expect(learner).toMatchObject({ id: 'l', name: 'Learner', vehicle_id: null, archived_at: null });
    expect(learner).toMatchObject({ version: 0, instructor_id: name >= '0008' ? null : 'a' });
    const [drive] = await db.selectFrom('drives').selectAll().execute();
    expect(drive).toMatchObject({ id: 'd', standard_version: 1, clock_ms: null, clock_at: null });
    const events = await db.selectFrom('events').select(['id', 'body']).orderBy('id').execute();
    expect(events).toEqual([
      { id: 'e1', body: '{"id":"e1"}' },
      { id: 'e2', body: '{"id":"e2"}' },
    ]);
    const [account] = await db.selectFrom('accounts').select(['free_hours', 'role']).execute();
    expect(account).toEqual({ free_hours: null, role: 'lead' });
    await db.destroy();
  });

  it('has the shape of a new one afterwards', async () => {
    await olderDatabase(names[0]!);
    const fresh = mkdtempSync(join(tmpdir(), 'jasperwren-fresh-'));
    await createDatabase(fresh);
    try {
      expect(await shapeOf(folder)).toEqual(await shapeOf(fresh));
    } finally {
      rmSync(fresh, { recursive: true, force: true });
    }
  });

  it('keeps sign-ins through every change but the one that gave them devices: nobody signs in again after an upgrade', async () => {
    const counts: Record<string, number> = {};
    for (const from of [names[6]!, ...names.slice(7)]) {
      rmSync(join(folder, databaseFile), { force: true });
      await olderDatabase(from);
      const file = new Libsql(join(folder, databaseFile));
      const own = (file.prepare("select name from pragma_table_info('sessions')").all([]) as { name: string }[]).map(
        ({ name }) => name,
      );
      const row: Readonly<Record<string, string | number>> = { id: 'x', account_id: 'a', data: '{}', school_id: 's' };
      const set = own.filter((name) => name in row || /_ms$|device|address/.test(name));
      file
        .prepare(`insert into sessions (${set.join(', ')}) values (${set.map(() => '?').join(', ')})`)
        .run(set.map((name) => row[name] ?? (name.endsWith('_ms') ? 1 : '')));
      file.close();
      const db = await openDatabase(folder);
      counts[from] = (await db.selectFrom('sessions').select('id').execute()).length;
      await db.destroy();
    }
    expect(Object.values(counts)).toEqual([0, ...names.slice(7).map(() => 1)]);
  });

  it('holds what belongs together: a learner of no school, or a drive of no learner, is refused', async () => {
    await olderDatabase(names.at(-1)!);
    const db = await openDatabase(folder);
    const nobody = db.updateTable('drives').set({ learner_id: 'nobody' }).execute();
    await expect(nobody).rejects.toThrow(/FOREIGN KEY/);
    const nowhere = db.updateTable('learners').set({ school_id: 'nowhere' }).execute();
    await expect(nowhere).rejects.toThrow(/FOREIGN KEY/);
    await db.destroy();
  });
});

describe('migrations', () => {
  it('are numbered in the order in which they run', () => {
    expect(names).toEqual([...names].sort());
    names.forEach((name, i) => expect(name.startsWith(String(i + 1).padStart(4, '0'))).toBe(true));
  });
});

it('the columns that the compiler knows are those that the migrations leave', async () => {
  expect(readFileSync(join(__dirname, 'columns.ts'), 'utf8')).toBe(await columnsText());
});
