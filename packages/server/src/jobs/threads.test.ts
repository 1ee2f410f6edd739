import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { createDatabase } from '../db/database';
import { threads, type Workers } from './threads';
import type { News } from './work';

const dataDir = mkdtempSync(join(tmpdir(), 'jasperwren-threads-'));
let workers: Workers;
beforeAll(() => createDatabase(dataDir));
beforeEach(() => {
  workers = threads(join(__dirname, 'worker.ts'), dataDir, ['--import', 'tsx']);
});
afterEach(() => workers.close());
afterAll(() => rmSync(dataDir, { recursive: true }));

/** Asks for the estimates of a school, and what is told of them. */
function refresh(signal?: AbortSignal) {
  const { port1, port2 } = new MessageChannel();
  const told: News['kind'][] = [];
  port1.on('message', ({ kind }: News) => told.push(kind));
  const now = new Date('2026-11-02T09:00:00Z').toISOString();
  const done = workers
    .run({ kind: 'refresh', schoolId: 'none', now, news: port2 }, signal)
    .finally(() => setImmediate(() => port1.close()));
  return { done, told };
}

describe('a task that reads the database', () => {
  it('is done before its thread is ended', async () => {
    const { done } = refresh();
    await Promise.all([workers.close(), expect(done).resolves.toBeUndefined()]);
  });

  it('stops when it is cancelled and leaves its thread to the next one', async () => {
    const cancel = new AbortController();
    const { done, told } = refresh(cancel.signal);
    cancel.abort(new Error('cancelled'));
    await expect(done).rejects.toThrow('cancelled');
    expect(told).not.toContain('done');
    await expect(refresh().done).resolves.toBeUndefined();
  });
});

describe('a task that reads a file', () => {
  it('is ended with its thread, and the next one is done', async () => {
    const cancel = new AbortController();
    const { port2 } = new MessageChannel();
    const task = { kind: 'read-roads', path: join(dataDir, 'jasperwren.sqlite'), file: 'a.osm', news: port2 } as const;
    const done = workers.run(task, cancel.signal);
    cancel.abort();
    await expect(done).rejects.toThrow('aborted');
    await expect(refresh().done).resolves.toBeUndefined();
  });
});
