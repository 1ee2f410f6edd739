/**
 * Marks that arrive: how many a second from 50 clients that each send one after the other, as a ratio to the bare driver that
 * commits the same row, synced, one after the other; and a thousand instructors at one mark each 20 s while traces wait to be
 * worked out, as a ratio to `/healthz` asked for in the same seconds. The built server runs as a process of its own.
 * Run: npm run build && npm run bench marks
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import Libsql from 'libsql';
import { Agent, request } from 'node:http';
import { databaseFile } from '../packages/server/src/db/database';
import { fillSchools, startBuilt, testOf, type SignedIn } from './school-data';

const clients = 50;
const seconds = 8;
const instructors = 1000;
const everyMs = 20_000;
const watchMs = Number(process.env.WATCH ?? 40_000);

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-marks-'));
try {
  const dataDir = join(folder, 'data');
  const people = await fillSchools(dataDir, {
    schools: 50,
    learners: 20,
    drivesEach: 2,
    instructors: instructors / 50,
  });
  const bare = bareInserts(dataDir);
  const server = await startBuilt(dataDir);
  try {
    await begin(server.address, people);
    // Estimates of everybody are made at the first start; they are no part of this.
    await settled(server.address, people);
    const rate = await together(
      server.address,
      people.filter((_, i) => i % (instructors / clients) === 0),
    );
    console.log(`\n${clients} clients, one mark after the other, ${seconds} s`);
    console.log(`  reference: bare driver, one row a synced commit   ${bare.toFixed(0)} a second   1 x`);
    console.log(
      `  the server                                        ${rate.toFixed(0)} a second   ${(rate / bare).toFixed(2)} x`,
    );
    await spread(server.address, people);
  } finally {
    await server.stop();
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}

function bareInserts(dataDir: string): number {
  const raw = new Libsql(join(dataDir, databaseFile));
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = OFF']) raw.pragma(pragma);
  const insert = raw.prepare(
    'insert into events (school_id, drive_id, id, account_id, body, received_at) values (?, ?, ?, ?, ?, ?)',
  );
  const body = JSON.stringify(markOf('bare', 0));
  const begun = performance.now();
  let n = 0;
  for (; performance.now() - begun < 2000; n++)
    insert.run(['bare', 'bare', `bare-${n}`, 'bare', body, new Date().toISOString()]);
  const rate = (n / (performance.now() - begun)) * 1000;
  raw.exec("delete from events where school_id = 'bare'");
  raw.close();
  return rate;
}

function markOf(drive: string, n: number) {
  return {
    type: 'mark',
    item: 'junctions.observation',
    grade: 'driving',
    id: `${drive}-m${n}`,
    device: drive,
    seq: 10 + n,
    atMs: 1000 * n,
    wall: new Date().toISOString(),
    by: 'lead',
  };
}
function driveOf({ accountId }: SignedIn): string {
  return `live-${accountId}`;
}

/** Every instructor has a drive under way. */
async function begin(address: string, people: readonly SignedIn[]): Promise<void> {
  const learnerOf = new Map<string, string>();
  for (const { schoolId, headers } of people) {
    if (learnerOf.has(schoolId)) continue;
    const [first] = (await (await fetch(`${address}/api/learners`, { headers })).json()) as [{ id: string }];
    learnerOf.set(schoolId, first.id);
  }
  for (const person of people) {
    const drive = driveOf(person);
    const [start] = testOf(drive, learnerOf.get(person.schoolId)!, 0, 0);
    const body = JSON.stringify({ events: [start] });
    const { ok } = await fetch(`${address}/api/drives/${drive}/events`, {
      method: 'POST',
      headers: person.headers,
      body,
    });
    if (!ok) throw new Error(`${drive} did not begin`);
  }
}

/** Waits until nothing is left to be worked out of any school. */
async function settled(address: string, people: readonly SignedIn[]): Promise<void> {
  for (const { headers } of people.filter((_, i) => i % (instructors / clients) === 0)) {
    for (;;) {
      const { pending } = (await (await fetch(`${address}/api/readiness`, { headers })).json()) as { pending: number };
      if (pending === 0) break;
      await wait(500);
    }
  }
}

/** How many marks a second so many clients get acknowledged. */
async function together(address: string, people: readonly SignedIn[]): Promise<number> {
  const agent = new Agent({ keepAlive: true, maxSockets: people.length });
  const begun = performance.now();
  let done = 0;
  await Promise.all(
    people.map(async (person) => {
      const drive = driveOf(person);
      for (let n = 0; performance.now() - begun < seconds * 1000; n++) {
        const body = JSON.stringify({ events: [markOf(drive, n)] });
        await timed(agent, address, `/api/drives/${drive}/events`, person.headers, body);
        done += 1;
      }
    }),
  );
  const rate = done / ((performance.now() - begun) / 1000);
  agent.destroy();
  return rate;
}

/** A thousand instructors, each with a mark every 20 s, and traces that wait to be worked out. */
async function spread(address: string, people: readonly SignedIn[]): Promise<void> {
  const agent = new Agent({ keepAlive: true, maxSockets: 1000 });
  await traces(address, people.slice(0, 200));
  const marks: number[] = [];
  const health: number[] = [];
  const jobs: Promise<unknown>[] = [];
  const begun = performance.now();
  const healthEvery = everyMs / instructors;
  for (let n = 0; performance.now() - begun < watchMs; n++) {
    const person = people[n % people.length]!;
    const drive = driveOf(person);
    const body = JSON.stringify({ events: [markOf(drive, 1_000_000 + n)] });
    jobs.push(timed(agent, address, `/api/drives/${drive}/events`, person.headers, body).then((ms) => marks.push(ms)));
    jobs.push(timed(agent, address, '/healthz', {}).then((ms) => health.push(ms)));
    await wait(Math.max(0, begun + (n + 1) * healthEvery - performance.now()));
  }
  await Promise.all(jobs);
  agent.destroy();
  const [m, h] = [quantiles(marks), quantiles(health)];
  console.log(
    `\n${instructors} instructors, a mark each ${everyMs / 1000} s, 200 traces waiting: ${marks.length} marks in ${watchMs / 1000} s`,
  );
  console.log(`  reference: /healthz   p50 ${h.p50.toFixed(1)} ms   p99 ${h.p99.toFixed(1)} ms   1 x`);
  console.log(
    `  a mark, acknowledged  p50 ${m.p50.toFixed(1)} ms   p99 ${m.p99.toFixed(1)} ms   ${(m.p99 / h.p99).toFixed(2)} x at the 99th`,
  );
}

function timed(
  agent: Agent,
  address: string,
  path: string,
  headers: Readonly<Record<string, string>>,
  body?: string,
): Promise<number> {
  const begun = performance.now();
  return new Promise((resolve, reject) => {
    const length = body === undefined ? {} : { 'content-length': Buffer.byteLength(body) };
    const asked = request(
      address + path,
      { agent, method: body ? 'POST' : 'GET', headers: { ...headers, ...length } },
      (answer) => {
        answer.resume();
        answer.on('end', () =>
          answer.statusCode === 200
            ? resolve(performance.now() - begun)
            : reject(new Error(`${path}: ${answer.statusCode}`)),
        );
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}

function quantiles(of: readonly number[]) {
  const sorted = [...of].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
  return { p50: at(0.5), p99: at(0.99) };
}

/** Drives that have ended with a trace each: jobs that wait in the queue. */
async function traces(address: string, people: readonly SignedIn[]): Promise<void> {
  for (const [i, { schoolId, headers }] of people.entries()) {
    const [learner] = (await (await fetch(`${address}/api/learners`, { headers })).json()) as [{ id: string }];
    const drive = `traced-${schoolId}-${i}`;
    const post = (path: string, body: object) =>
      fetch(address + path, { method: 'POST', headers, body: JSON.stringify(body) });
    await post(`/api/drives/${drive}/events`, { events: testOf(drive, learner.id, 3, 0) });
    const fixes = Array.from({ length: 1200 }, (_, k) => [
      Date.now() - 2_400_000 + k * 2000,
      48 + k * 1e-5,
      -30 + (k % 50) * 1e-5,
      5,
      8,
    ]);
    await post(`/api/drives/${drive}/fixes`, { pieces: [{ id: 'p', source: 'device', fixes }] });
  }
}
