/**
 * How a school of 200 learners with 2,000 drives is served, alone and among 50 of them: appending events as a ratio to the bare driver at the same
 * inserts, pages as ratios to `/healthz`, and the longest that the event loop is held. The built server runs as a
 * process of its own. Run: npm run build && npm run bench server
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import autocannon from 'autocannon';
import Libsql from 'libsql';
import { pino } from 'pino';
import type { DriveEvent } from '../packages/core/src/drive/event';
import { fullTest } from '../packages/core/src/drive/testing';
import { readConfig } from '../packages/server/src/config';
import { createDatabase, databaseFile } from '../packages/server/src/db/database';
import { openKeeper } from '../packages/server/src/db/keeper';
import { appendEvents } from '../packages/server/src/drives/append';
import { serve } from '../packages/server/src/serve';
import { callNow } from '../packages/server/src/call';
import { hashPassword } from '../packages/server/src/accounts/password';
import { createSchool } from '../packages/server/src/accounts/store';
import { fillSchools, startBuilt, type SignedIn } from './school-data';

const learners = 200;
const drivesEach = 10;
const clients = 50;
const seconds = 5;
const email = 'lead@bench.example';
const password = 'three grey kettles';
const batches = 400;
const eventsInABatch = 20;
const atOnce = 32;
const pages = ['/api/readiness', '/api/learners', '/api/drives', '/api/standards', '/api/checks/board'];

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-bench-'));
const median = (of: readonly number[]) => [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)]!;
function load(address: string, path: string, people: readonly SignedIn[]): Promise<autocannon.Result> {
  let next = 0;
  return new Promise((resolve, reject) => {
    autocannon(
      {
        url: address + path,
        connections: people.length,
        duration: seconds,
        setupClient: (client) =>
          client.setHeaders({ ...people[next++ % people.length]!.headers, 'accept-encoding': 'gzip' }),
      },
      (error: Error | null, done) => (error ? reject(error) : resolve(done)),
    );
  });
}

try {
  await measureAppending(join(folder, 'append'));
  const [somebody] = await measurePages(join(folder, 'pages'), 1);
  await measurePauses(join(folder, 'pages'), somebody!.headers);
  await measurePages(join(folder, 'many'), 50);
} finally {
  rmSync(folder, { recursive: true, force: true });
}

/** The same rows, written and committed by the bare driver one batch after the other, and by the server's writer. */
async function measureAppending(dataDir: string): Promise<void> {
  await createDatabase(dataDir);
  const keeper = await openKeeper(dataDir);
  const schoolId = await createSchool(callNow(keeper.writing), 'Bench', {
    name: 'Lead',
    email,
    passwordHash: await hashPassword(password),
  });
  const account = await keeper.db.selectFrom('accounts').select('id').executeTakeFirstOrThrow();
  const who = { schoolId, accountId: account.id, role: 'lead' } as const;
  const learnerId = 'learner';
  await keeper.writing
    .insertInto('learners')
    .values({
      id: learnerId,
      school_id: schoolId,
      name: 'L',
      transmission: 'manual',
      standard_id: 'tally',
      created_at: '',
      updated_at: '',
    })
    .execute();
  const drives = Array.from({ length: atOnce }, (_, i) => `drive-${i}`);
  for (const id of drives)
    await keeper.write((db) => appendEvents({ ...callNow(db), who }, id, { events: [startOf(learnerId, id)] }));

  const raw = new Libsql(join(dataDir, databaseFile));
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON']) raw.pragma(pragma);
  const insert = raw.prepare(
    'insert into events (school_id, drive_id, id, account_id, body, received_at) values (?, ?, ?, ?, ?, ?)',
  );
  const bareMs: number[] = [];
  const oursMs: number[] = [];
  // In turns, so that a slow moment of the machine meets both.
  for (let round = 0; round < 5; round++) {
    const bare = portions(`bare-${round}`, drives);
    let begun = performance.now();
    for (const { drive, events } of bare) {
      raw.exec('begin');
      for (const event of events)
        insert.run([schoolId, drive, event.id, account.id, JSON.stringify(event), new Date().toISOString()]);
      raw.exec('commit');
    }
    bareMs.push(performance.now() - begun);
    const ours = portions(`ours-${round}`, drives);
    begun = performance.now();
    // As many at once as there are devices: each waits for its acknowledgement before it sends the next.
    await Promise.all(
      drives.map(async (drive) => {
        for (const { events } of ours.filter((one) => one.drive === drive))
          await keeper.write((db) => appendEvents({ ...callNow(db), who }, drive, { events }));
      }),
    );
    oursMs.push(performance.now() - begun);
  }
  raw.close();
  await keeper.close();
  const [bare, ours] = [median(bareMs) / batches, median(oursMs) / batches];
  console.log(`\nAppending ${batches} batches of ${eventsInABatch} events, ${atOnce} devices at once, synced commits`);
  console.log(`  reference: bare driver, one commit a batch   ${bare.toFixed(2)} ms a batch   1 x`);
  console.log(
    `  the server's writer                          ${ours.toFixed(2)} ms a batch   ${(ours / bare).toFixed(2)} x`,
  );
}

function portions(name: string, drives: readonly string[]) {
  return Array.from({ length: batches }, (_, i) => ({
    drive: drives[i % drives.length]!,
    events: Array.from({ length: eventsInABatch }, (_unused, k): DriveEvent => ({
      type: 'mark',
      item: 'junctions.observation',
      grade: 'driving',
      id: `${name}-${i}-${k}`,
      device: name,
      seq: k,
      atMs: 1000 * k,
      wall: '2026-05-04T09:00:00.000Z',
      by: 'lead',
    })),
  }));
}

async function measurePages(dataDir: string, schools: number): Promise<readonly SignedIn[]> {
  // Each client is somebody of their own; in the database of many schools they are of all of them.
  const people = await fillSchools(dataDir, {
    schools,
    learners,
    drivesEach,
    instructors: clients / Math.min(schools, 5),
  });
  const server = await startBuilt(dataDir);
  const step = Math.max(1, Math.floor(people.length / clients));
  const asking = people.filter((_, i) => i % step === 0).slice(0, clients);
  try {
    // One school is looked at with every estimate made, many while theirs are being made.
    if (schools === 1) await estimated(server.address, asking[0]!.headers);
    console.log(
      `\n${schools} schools of ${learners} learners and ${learners * drivesEach} drives; ${clients} people for ${seconds} s each`,
    );
    const reference = await load(server.address, '/healthz', asking);
    print('reference: /healthz', reference, reference);
    for (const path of pages) print(path, await load(server.address, path, asking), reference);
  } finally {
    await server.stop();
  }
  return asking;
}

async function estimated(address: string, headers: SignedIn['headers']): Promise<void> {
  const begun = performance.now();
  for (;;) {
    const { pending } = (await (await fetch(`${address}/api/readiness`, { headers })).json()) as { pending: number };
    if (pending === 0) break;
    await wait(1000);
  }
  console.log(`\nevery estimate was made in ${((performance.now() - begun) / 1000).toFixed(0)} s beside the requests`);
}

/** The longest that the event loop stands still while each page is asked for once, with nothing kept from before. */
async function measurePauses(dataDir: string, headers: SignedIn['headers']): Promise<void> {
  const running = await serve({ ...readConfig({}), port: 0, dataDir }, folder, {
    log: pino({ level: 'silent' }),
    worker: resolve('packages/server/dist/worker.js'),
  });
  const delay = monitorEventLoopDelay({ resolution: 1 });
  console.log('\nThe longest pause of the event loop while a page is asked for once, cold');
  const [{ id }] = (await (await fetch(`${running.address}/api/learners`, { headers })).json()) as [{ id: string }];
  const own = ['', '/drives', '/readiness', '/lessons', '/sheets', '/reviews'].map(
    (part) => `/api/learners/${id}${part}`,
  );
  for (const path of [...pages, '/api/standards/library', '/api/people', '/api/audit', ...own]) {
    // What was kept is of another minute, then, as after any change.
    await fetch(`${running.address}/api/learners/${id}/vehicle`, { method: 'PUT', headers, body: '{}' });
    await new Promise((resolve) => setTimeout(resolve, 300));
    delay.reset();
    delay.enable();
    await (await fetch(running.address + path, { headers })).arrayBuffer();
    delay.disable();
    console.log(`  ${path.replace(id, ':id').padEnd(34)} ${(delay.max / 1e6).toFixed(0)} ms`);
  }
  await running.stop();
}

function print(name: string, { latency, requests, non2xx }: autocannon.Result, reference: autocannon.Result): void {
  const times = (of: 'p50' | 'p99') => `${(latency[of] / reference.latency[of]).toFixed(1)} x`;
  const failed = non2xx > 0 ? `   ${non2xx} FAILED` : '';
  console.log(
    `  ${name.padEnd(22)} p50 ${String(latency.p50).padStart(4)} ms ${times('p50')}   p99 ${String(latency.p99).padStart(4)} ms ${times('p99')}${failed}   ${requests.average.toFixed(0)} a second`,
  );
}

function startOf(learnerId: string, id: string): DriveEvent {
  const [start] = fullTest([]);
  return { ...start!, id: `${id}-start`, ...(start!.type === 'started' && { learnerId }) };
}
