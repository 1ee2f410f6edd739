import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig, type Config } from '../config';
import { backUpWhenDue } from './backup-timer';
import { restore } from './backup';
import { createDatabase, openDatabase } from './database';

const hourMs = 3_600_000;
let folder: string;
let config: Config;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jasperwren-timer-'));
  const dataDir = join(folder, 'data');
  config = { ...readConfig({ JASPERWREN_DATA: dataDir, JASPERWREN_BACKUP_EVERY: '6' }), backupKeep: 2 };
  await createDatabase(dataDir);
  const db = await openDatabase(dataDir);
  await db.insertInto('schools').values({ id: 's', name: 'Plainword School', created_at: '' }).execute();
  await db.destroy();
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const made = () => readdirSync(config.backupDir).sort();
/** Makes a backup as of some hours from now. */
async function at(hours: number): Promise<string | undefined> {
  const nowMs = Date.now() + hours * hourMs;
  const file = await backUpWhenDue(config, nowMs);
  if (file) utimesSync(file, nowMs / 1000, nowMs / 1000);
  return file;
}

describe('backups by the clock', () => {
  it('are made when one is due, private, and the oldest go', async () => {
    const first = (await at(0))!;
    expect(statSync(first).mode & 0o777).toBe(0o600);
    expect(statSync(config.backupDir).mode & 0o777).toBe(0o700);
    expect(await at(5)).toBeUndefined();
    const [second, third] = [await at(6), await at(13)];
    expect(made().map((name) => join(config.backupDir, name))).toEqual([second, third]);
  });

  it('go on after a clock that was wrong by two days either way, and what is of the future goes first', async () => {
    const wrong = (await at(48))!;
    const [first, second] = [await at(0), await at(6)];
    expect(made().map((name) => join(config.backupDir, name))).toEqual([first, second]);
    expect([wrong, first].map((file) => made().includes(file!.split('/').at(-1)!))).toEqual([false, true]);
    await at(-48);
    expect(await at(6.5)).toBeUndefined();
    expect(await at(12.5)).toBeDefined();
  });

  it('can be encrypted, and are restored with the key alone', async () => {
    config = { ...config, backupKey: 'correct horse battery staple' };
    const file = (await at(0))!;
    expect(file).toMatch(/\.pgp$/);
    expect(made()).toHaveLength(1);
    expect(readFileSync(file).includes('Plainword')).toBe(false);
    const elsewhere = join(folder, 'elsewhere');
    await expect(restore(elsewhere, file, 'another key of some length')).rejects.toThrow('cannot be decrypted');
    await expect(restore(elsewhere, file)).rejects.toThrow('not a sound backup');
    await restore(elsewhere, file, config.backupKey);
    const db = await openDatabase(elsewhere);
    expect(await db.selectFrom('schools').select('name').execute()).toEqual([{ name: 'Plainword School' }]);
    await db.destroy();
    expect(readdirSync(elsewhere).filter((name) => name.startsWith('restoring'))).toEqual([]);
  });
});
