/**
 * Fifty busy schools on one machine: 400 learners each, sixty drives an hour that end in each of them, while the estimates of
 * all of them are being made anew. How soon each drive's own learner has an estimate, as a ratio to `/healthz` in the same
 * seconds; whether anything queues up; and how old what Today shows is against what it says. The built server runs as a process
 * of its own. Run: npm run build && npm run bench busy
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import Libsql from 'libsql';
import { databaseFile } from '../packages/server/src/db/database';
import { fillSchools, startBuilt, testOf, type SignedIn } from './school-data';

const schools = 50;
const learners = 400;
const drivesEach = 5;
const drivesAnHour = 60;
const watchMs = Number(process.env['BUSY_S'] ?? 120) * 1000;

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-busy-'));
try {
  const dataDir = join(folder, 'data');
  const people = await fillSchools(dataDir, { schools, learners, drivesEach, instructors: 1 });
  const server = await startBuilt(dataDir);
  try {
    await watch(server.address, dataDir, people);
  } finally {
    await server.stop();
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}

async function watch(address: string, dataDir: string, people: readonly SignedIn[]): Promise<void> {
  const raw = new Libsql(join(dataDir, databaseFile), { readonly: true });
  const count = (where: string) =>
    (raw.prepare(`select count(*) as n from jobs where ${where}`).all([]) as [{ n: number }])[0].n;
  const madeAt = raw.prepare('select made_at from estimates where learner_id = ?');
  const everyMs = 3_600_000 / (schools * drivesAnHour);
  const soon: number[] = [];
  const health: number[] = [];
  const queues: number[] = [];
  const begun = performance.now();
  const waiting: Promise<void>[] = [];
  for (let n = 0; performance.now() - begun < watchMs; n++) {
    const person = people[n % people.length]!;
    waiting.push(drive(person, n));
    const asked = performance.now();
    await (await fetch(`${address}/healthz`)).arrayBuffer();
    health.push(performance.now() - asked);
    queues.push(count("subject != ''"));
    await wait(Math.max(0, begun + (n + 1) * everyMs - performance.now()));
  }
  await Promise.all(waiting);
  const made = (raw.prepare('select count(*) as n from estimates').all([]) as [{ n: number }])[0].n;
  raw.close();

  /** A drive that ends, and the wait for the estimate of its learner. */
  async function drive({ schoolId, headers }: SignedIn, n: number): Promise<void> {
    const s = people.findIndex((one) => one.schoolId === schoolId);
    const learner = `learner-${s}-${(n * 37) % learners}`;
    const id = `busy-${n}`;
    const sent = new Date().toISOString();
    const from = performance.now();
    const body = JSON.stringify({ events: testOf(id, learner, n % 9, 0) });
    const { ok } = await fetch(`${address}/api/drives/${id}/events`, { method: 'POST', headers, body });
    if (!ok) throw new Error(`${id} was refused`);
    while (((madeAt.all([learner]) as { made_at: string }[])[0]?.made_at ?? '') < sent) await wait(50);
    soon.push(performance.now() - from);
  }

  const at = (of: readonly number[], share: number) =>
    [...of].sort((a, b) => a - b)[Math.min(of.length - 1, Math.floor(of.length * share))]!;
  const third = Math.floor(queues.length / 3);
  const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;
  console.log(
    `\n${schools} schools of ${learners} learners, ${drivesAnHour} drives an hour in each: ${soon.length} drives in ${watchMs / 1000} s, ${made} estimates made meanwhile`,
  );
  console.log(
    `  reference: /healthz               p50 ${at(health, 0.5).toFixed(1)} ms   p99 ${at(health, 0.99).toFixed(1)} ms`,
  );
  console.log(
    `  from the end of a drive to the estimate of its learner   p50 ${(at(soon, 0.5) / 1000).toFixed(2)} s   p99 ${(at(soon, 0.99) / 1000).toFixed(2)} s   ${(at(soon, 0.5) / at(health, 0.5)).toFixed(0)} x`,
  );
  console.log(
    `  learners who wait for theirs: ${mean(queues.slice(0, third)).toFixed(2)} in the first third, ${mean(queues.slice(-third)).toFixed(2)} in the last`,
  );

  for (const { headers } of people.slice(0, 5)) {
    const { rows } = (await (await fetch(`${address}/api/readiness`, { headers })).json()) as {
      readonly rows: readonly { readonly learnerId: string; readonly madeAt: string }[];
    };
    const check = new Libsql(join(dataDir, databaseFile), { readonly: true });
    const kept = new Map(
      (
        check.prepare('select learner_id, made_at from estimates').all([]) as { learner_id: string; made_at: string }[]
      ).map((row) => [row.learner_id, row.made_at]),
    );
    check.close();
    const older = rows.filter((row) => row.madeAt > kept.get(row.learnerId)!).length;
    console.log(`  a list of ${rows.length}: ${older} older than what it says`);
  }
}
