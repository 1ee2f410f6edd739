import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase } from '../db/database';
import { openKeeper, type Keeper } from '../db/keeper';
import { openJobs, queueJob, takeJob, type JobKey } from './queue';
import { runnerOf, type During, type Runner } from './runner';

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-runner-'));
let keeper: Keeper;
const schoolId = 'first';
let runner: Runner | undefined;

/** A job that is held until it is told how to end. */
interface Held {
  readonly subject: string;
  readonly during: During;
  readonly end: (error?: Error) => void;
}
let held: Held[] = [];
let told: (() => void)[] = [];
const failures: unknown[] = [];

beforeAll(async () => {
  await createDatabase(folder);
  keeper = await openKeeper(folder);
  await keeper.write((db) =>
    db.insertInto('schools').values({ id: schoolId, name: 'First', created_at: '' }).execute(),
  );
});
afterEach(async () => {
  await runner?.close();
  runner = undefined;
  held = [];
  told = [];
  failures.length = 0;
  await keeper.write((db) => db.deleteFrom('jobs').execute());
});
afterAll(() => keeper.close());

function begin(): Runner {
  runner = runnerOf(
    keeper,
    {
      estimates: ({ subject = 'school' }, during) =>
        new Promise((resolve, reject) => {
          during.signal.addEventListener('abort', () => reject(new Error('broken off')));
          held.push({ subject, during, end: (error) => (error ? reject(error) : resolve()) });
          told.forEach((tell) => tell());
        }),
      roads: () => Promise.resolve(),
      traces: () => Promise.resolve(),
    },
    { changed: () => undefined, failed: (error) => failures.push(error) },
  );
  return runner;
}

/** The n-th job that was begun, from 1. */
async function job(n: number): Promise<Held> {
  while (held.length < n) await new Promise<void>((resolve) => told.push(resolve));
  return held[n - 1]!;
}

const key = (subject: string): JobKey => ({ schoolId, kind: 'estimates', subject });

it('does what waits longest first, and what was asked for twice once', async () => {
  const { queue, settled } = begin();
  for (const subject of ['a', 'b', 'a']) await queue(key(subject));
  (await job(1)).end();
  (await job(2)).end();
  await settled();
  expect(held.map(({ subject }) => subject)).toEqual(['a', 'b']);
});

it('does once more what is asked for while it is under way', async () => {
  const { queue, settled } = begin();
  await queue(key('a'));
  const first = await job(1);
  await queue(key('a'));
  first.end();
  (await job(2)).end();
  await settled();
  expect(held).toHaveLength(2);
});

it('says how many parts are left, of what is under way and of what waits', async () => {
  const { queue, pending, settled } = begin();
  expect(await pending(schoolId)).toBe(0);
  await queue(key('a'));
  await queue(key('b'));
  const first = await job(1);
  expect(await pending(schoolId)).toBe(2);
  first.during.left(7);
  expect(await pending(schoolId)).toBe(8);
  first.end();
  (await job(2)).end();
  await settled();
  expect(await pending(schoolId)).toBe(0);
});

it('lets what failed rest, and comes to the next', async () => {
  const { queue, settled, pending } = begin();
  await queue(key('a'));
  (await job(1)).end(new Error('no figures'));
  await queue(key('b'));
  (await job(2)).end();
  await settled();
  expect([failures.map(String), await pending(schoolId)]).toEqual([['Error: no figures'], 0]);
  const [kept] = await keeper.db.selectFrom('jobs').selectAll().execute();
  expect(kept).toMatchObject({ subject: 'a', failures: 1, error: 'Error: no figures', started_at: null });
  expect(Date.parse(kept!.due_at) - Date.parse(kept!.queued_at)).toBeGreaterThan(50_000);
  // Asking again does not shorten the rest.
  await queue(key('a'));
  await settled();
  expect(held).toHaveLength(2);
});

it('breaks off what is cancelled, without calling it a failure', async () => {
  const { queue, cancel, settled } = begin();
  await queue(key('a'));
  await job(1);
  cancel(schoolId, 'other');
  cancel(schoolId, 'a');
  await settled();
  expect([failures, await openJobs(keeper.db, schoolId)]).toEqual([[], []]);
});

it('takes up after a stop what was under way, and what waited', async () => {
  const first = begin();
  await first.queue(key('a'));
  await job(1);
  await first.queue(key('b'));
  await first.close();
  expect(await openJobs(keeper.db, schoolId)).toHaveLength(2);
  const { wake, settled } = begin();
  wake();
  (await job(2)).end();
  (await job(3)).end();
  await settled();
  expect(held.map(({ subject }) => subject)).toEqual(['a', 'a', 'b']);
});

it('takes no job that is not due yet', async () => {
  const now = new Date('2026-03-02T09:00:00Z');
  await keeper.write((db) => queueJob(db, key('a'), now));
  expect(await keeper.write((db) => takeJob(db, now, ['estimates']))).toBeUndefined();
  const due = new Date(now.getTime() + 300);
  expect(await keeper.write((db) => takeJob(db, due, ['estimates']))).toMatchObject({ subject: 'a', failures: 0 });
});

it('takes again what a disk that was full left under way, once it is woken', async () => {
  await keeper.write((db) => queueJob(db, key('a'), new Date(0)));
  await keeper.write((db) => takeJob(db, new Date(), ['estimates']));
  const { wake, settled, pending } = begin();
  wake();
  (await job(1)).end();
  await settled();
  expect(await pending(schoolId)).toBe(0);
});

it('goes on where a job cannot be queued, and says why', async () => {
  const { queue } = begin();
  await queue({ ...key('a'), schoolId: 'nowhere' });
  expect(failures.map(String)).toEqual([expect.stringContaining('FOREIGN KEY')]);
});
