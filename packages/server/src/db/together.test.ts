import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase } from './database';
import { openKeeper, type Keeper } from './keeper';
import { together, type Ended } from './together';

let folder: string;
let keeper: Keeper;
const groups: number[] = [];

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jasperwren-together-'));
  await createDatabase(folder);
  keeper = await openKeeper(folder);
  groups.length = 0;
});
afterEach(async () => {
  await keeper.close();
  rmSync(folder, { recursive: true, force: true });
});

const add = () =>
  together<string, string>(keeper.write, async (db, names) => {
    groups.push(names.length);
    const good = names.filter((name) => !name.startsWith('bad'));
    if (names.includes('broken')) throw new Error('all of it');
    if (good.length > 0)
      await db
        .insertInto('schools')
        .values(good.map((name) => ({ id: name, name, created_at: '' })))
        .execute();
    return names.map((name): Ended<string> => (name.startsWith('bad') ? { error: new Error(name) } : { value: name }));
  });
const kept = async () => (await keeper.db.selectFrom('schools').select('id').execute()).map(({ id }) => id).sort();

it('takes what arrives at one time together, and tells each how it ended', async () => {
  const one = add();
  const ends = await Promise.allSettled(['a', 'bad', 'b', 'c'].map(one));
  expect(ends.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled']);
  expect(await kept()).toEqual(['a', 'b', 'c']);
  expect(groups).toEqual([4]);
  expect(await one('d')).toBe('d');
  expect(groups).toEqual([4, 1]);
});

it('is the end of all of them where they cannot be made, and of none that come later', async () => {
  const one = add();
  const ends = await Promise.allSettled(['a', 'broken', 'b'].map(one));
  expect(ends.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
  expect(await kept()).toEqual([]);
  expect(await one('later')).toBe('later');
});

it('takes very many in several goes, each once', async () => {
  const one = add();
  const names = Array.from({ length: 450 }, (_, i) => `n${i}`);
  expect(await Promise.all(names.map(one))).toEqual(names);
  expect(await kept()).toHaveLength(450);
  expect(Math.max(...groups)).toBeLessThanOrEqual(200);
});
