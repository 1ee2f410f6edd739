/**
 * How a school of 200 learners with 2,000 drives is served: appending events as a ratio to the bare driver at the same
 * inserts, pages as ratios to `/healthz`, and the longest that the event loop is held. The built server runs as a
 * process of its own. Run: npm run build && npm run bench server
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { SessionView } from '@jasperwren/contract/accounts';
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
const load = (address: string, path: string, headers: Record<string, string>) =>
  autocannon({
    url: address + path,
    connections: clients,
    duration: seconds,
    headers: { ...headers, 'accept-encoding': 'gzip' },
  });

try {
  await measureAppending(join(folder, 'append'));
  await measurePages(join(folder, 'pages'));
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

async function measurePages(dataDir: string): Promise<void> {
  const env = { ...process.env, JASPERWREN_DATA: dataDir, JASPERWREN_PASSWORD: password, JASPERWREN_LOG: 'silent' };
  const made = spawnSync(
    process.execPath,
    ['packages/cli/bin/jasperwren.mjs', 'school', 'Bench', '--lead', 'Lead', '--email', email],
    { env, encoding: 'utf8' },
  );
  if (made.status !== 0) throw new Error(made.stderr);
  const port = 4199;
  const server = spawn(process.execPath, ['packages/server/dist/main.js'], {
    env: { ...env, JASPERWREN_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}`;
  await new Promise<void>((resolve) => {
    server.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('Jasperwren is at') && resolve());
  });
  try {
    const headers = await signIn(address);
    await fill(address, headers);
    let pending = 1;
    let waited = 0;
    while (pending > 0) {
      const answer = await fetch(`${address}/api/readiness`, { headers });
      ({ pending } = (await answer.json()) as { pending: number });
      await new Promise((resolve) => setTimeout(resolve, 1000));
      waited += 1;
    }
    console.log(
      `\n${learners} learners, ${learners * drivesEach} drives; every estimate was made in ${waited} s beside the requests`,
    );
    console.log(`${clients} clients for ${seconds} s each`);
    const reference = await load(address, '/healthz', {});
    print('reference: /healthz', reference, reference);
    for (const path of pages) print(path, await load(address, path, headers), reference);
  } finally {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await gone;
  }
  await measurePauses(dataDir);
}

/** The longest that the event loop stands still while each page is asked for once, with nothing kept from before. */
async function measurePauses(dataDir: string): Promise<void> {
  const running = await serve({ ...readConfig({}), port: 0, dataDir }, folder, {
    log: pino({ level: 'silent' }),
    worker: resolve('packages/server/dist/worker.js'),
  });
  const headers = await signIn(running.address);
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

async function signIn(address: string): Promise<Record<string, string>> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  const { csrfToken } = (await answer.json()) as SessionView;
  const cookie = answer.headers.getSetCookie()[0]!.split(';')[0]!;
  return { cookie, 'x-csrf-token': csrfToken, 'content-type': 'application/json' };
}

async function fill(address: string, headers: Record<string, string>): Promise<void> {
  const post = async (path: string, body: object) => {
    const answer = await fetch(address + path, { method: 'POST', headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    return (await answer.json()) as { id: string };
  };
  for (let i = 0; i < learners; i++) {
    const { id } = await post('/api/learners', { name: `Learner ${i}`, transmission: 'manual', standardId: 'tally' });
    await Promise.all(
      Array.from({ length: drivesEach }, (_, k) => {
        const drive = `d-${i}-${k}`;
        const marks = Array.from({ length: (i + k) % 12 }, () => ({
          type: 'mark' as const,
          item: 'junctions.observation',
          grade: 'driving',
        }));
        const events = fullTest(marks).map((event) => ({
          ...event,
          id: `${drive}-${event.id}`,
          wall: new Date(Date.now() - k * 86_400_000).toISOString(),
          ...(event.type === 'started' && { learnerId: id }),
        }));
        return post(`/api/drives/${drive}/events`, { events });
      }),
    );
  }
}

function print(name: string, { latency, requests, non2xx }: autocannon.Result, reference: autocannon.Result): void {
  const ratio = reference.requests.average / requests.average;
  const failed = non2xx > 0 ? `   ${non2xx} FAILED` : '';
  console.log(
    `  ${name.padEnd(22)} p50 ${String(latency.p50).padStart(4)} ms   p99 ${String(latency.p99).padStart(4)} ms   ${ratio.toFixed(1)} x the time of /healthz${failed}`,
  );
}

function startOf(learnerId: string, id: string): DriveEvent {
  const [start] = fullTest([]);
  return { ...start!, id: `${id}-start`, ...(start!.type === 'started' && { learnerId }) };
}
