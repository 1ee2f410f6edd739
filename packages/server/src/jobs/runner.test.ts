import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase } from '../db/database';
import { openKeeper, type Keeper } from '../db/keeper';
import type { Clock } from './clock';
import { dueJobs, openJobs, queueJob, startJob, type JobKey } from './queue';
import { runnerOf, type During, type Runner } from './runner';

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-runner-'));
let keeper: Keeper;
const schoolId = 'first';
const others = ['second', 'third'];
let runner: Runner | undefined;

/** A job that is held until it is told how to end. */
interface Held {
  readonly schoolId: string;
  readonly subject: string;
  readonly during: During;
  readonly end: (answer?: Error | 'more') => void;
}
let held: Held[] = [];
let told: (() => void)[] = [];
const failures: unknown[] = [];

beforeAll(async () => {
  await createDatabase(folder);
  keeper = await openKeeper(folder);
  for (const id of [schoolId, ...others])
    await keeper.write((db) => db.insertInto('schools').values({ id, name: id, created_at: '' }).execute());
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

function begin(lanes = 1, clock?: Clock): Runner {
  runner = runnerOf(
    keeper,
    {
      estimates: ({ schoolId: whose, subject = 'school' }, during) =>
        new Promise((resolve, reject) => {
          during.signal.addEventListener('abort', () => reject(new Error('broken off')));
          const end = (answer?: Error | 'more') => (answer instanceof Error ? reject(answer) : resolve(answer));
          held.push({ schoolId: whose, subject, during, end });
          told.forEach((tell) => tell());
        }),
      roads: () => Promise.resolve(),
      traces: () => Promise.resolve(),
    },
    { changed: () => undefined, failed: (error) => failures.push(error) },
    { lanes, ...(clock && { clock }) },
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
  expect(await dueJobs(keeper.db, now, ['estimates'])).toEqual([]);
  const due = new Date(now.getTime() + 300);
  expect(await dueJobs(keeper.db, due, ['estimates'])).toMatchObject([{ subject: 'a', failures: 0 }]);
});

it('takes again what a disk that was full left under way, once it is woken', async () => {
  await keeper.write((db) => queueJob(db, key('a'), new Date(0)));
  const [left] = await dueJobs(keeper.db, new Date(), ['estimates']);
  await keeper.write((db) => startJob(db, left!, new Date()));
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

/** Queued long ago, all of them: what goes first is a matter of turns. */
const dueNow = (...keys: readonly JobKey[]) =>
  keeper.write(async (db) => {
    for (const one of keys) await queueJob(db, one, new Date(0));
  });
const whole = (id: string): JobKey => ({ schoolId: id, kind: 'estimates' });

it('takes the schools that wait in turn, whoever has more', async () => {
  const { queue, settled } = begin();
  await queue(key('a'));
  const first = await job(1);
  await dueNow(...['b', 'c', 'd'].map(key), ...others.map((id) => ({ ...key('z'), schoolId: id })));
  first.end();
  for (let n = 2; n <= 6; n++) (await job(n)).end();
  await settled();
  expect(held.map(({ schoolId: whose, subject }) => `${whose} ${subject}`)).toEqual([
    'first a',
    'second z',
    'third z',
    'first b',
    'first c',
    'first d',
  ]);
});

it('does what somebody waits for before what is done when there is time, and a long one a piece at a time', async () => {
  const { queue, settled, pending } = begin();
  await queue(whole('first'));
  const first = await job(1);
  first.during.left(8);
  await dueNow(whole('second'), key('just-drove'));
  first.end('more');
  // What is laid down is still waited for, by as much as is left of it.
  const second = await job(2);
  expect(await pending(schoolId)).toBe(9);
  second.end();
  (await job(3)).end('more');
  (await job(4)).end();
  (await job(5)).end();
  await settled();
  expect(held.map(({ schoolId: whose, subject }) => `${whose} ${subject}`)).toEqual([
    'first school',
    'first just-drove',
    'second school',
    'first school',
    'second school',
  ]);
});

it('does a piece-wise job once more where it was asked for while it was laid down', async () => {
  const { queue, settled } = begin();
  await queue(whole('first'));
  await job(1);
  await dueNow(whole('second'));
  held[0]!.end('more');
  await job(2);
  await queue(whole('first'));
  held[1]!.end();
  (await job(3)).end();
  (await job(4)).end();
  await settled();
  expect(held.map(({ schoolId: whose }) => whose)).toEqual(['first', 'second', 'first', 'first']);
});

it('does as many at a time as it has lanes, and no job twice', async () => {
  const { queue, settled } = begin(2);
  for (const subject of ['a', 'b', 'c']) await queue(key(subject));
  const [a, b] = [await job(1), await job(2)];
  expect(held).toHaveLength(2);
  b.end();
  (await job(3)).end();
  a.end();
  await settled();
  expect(held.map(({ subject }) => subject)).toEqual(['a', 'b', 'c']);
});

it.each([
  ['back', -2],
  ['forward', 2],
])('goes on where the clock jumps two days %s, at once and after a start', async (_, days) => {
  let off = 0;
  const clock = () => new Date(Date.now() + off);
  const jump = () => (off += days * 86_400_000);
  const { queue, settled, close } = begin(1, clock);
  await queue(key('before'));
  const before = await job(1);
  await queue(key('waits'));
  jump();
  before.end();
  (await job(2)).end();
  await settled();
  // What was queued by the wrong clock waits for a moment far away when the server starts with the right one.
  await close();
  await keeper.write((db) => queueJob(db, key('from-far'), clock()));
  await keeper.write((db) => queueJob(db, { schoolId, kind: 'traces', subject: 'drive' }, clock()));
  await keeper.write((db) => queueJob(db, { schoolId, kind: 'roads', subject: 'roads' }, clock()));
  off = 0;
  const again = begin(1, clock);
  again.wake();
  (await job(3)).end();
  await again.settled();
  expect(held.map(({ subject }) => subject)).toEqual(['before', 'waits', 'from-far']);
  expect(await openJobs(keeper.db, schoolId)).toEqual([]);
});

it('tries what rests after a failure again soon, where the clock was put back meanwhile', async () => {
  let off = 2 * 86_400_000;
  const clock = () => new Date(Date.now() + off);
  const { queue, settled } = begin(1, clock);
  await queue(key('a'));
  (await job(1)).end(new Error('no figures'));
  await settled();
  off = 0;
  await queue(key('b'));
  (await job(2)).end();
  await settled();
  const [kept] = await keeper.db.selectFrom('jobs').selectAll().execute();
  expect(Date.parse(kept!.due_at) - Date.now()).toBeLessThanOrEqual(60_000);
});
