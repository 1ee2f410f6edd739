/**
 * Traces: one laid on a net of 50,000 edges, those of 50 devices taken at once, and the places of a school of 2,000 traced
 * drives; each against a reference of the same run.
 */
import { createReadStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readOsm } from '@jasperwren/roads/osm/read-osm';
import { buildGraph } from '@jasperwren/roads/graph/graph';
import { finder } from '@jasperwren/roads/graph/snap';
import { makeRouter, type AtVertex } from '@jasperwren/roads/route/router';
import { byTime } from '@jasperwren/roads/route/time-model';
import { matchTrace } from '@jasperwren/roads/traces/match';
import { simulateTrace } from '@jasperwren/roads/traces/simulate';
import { fullTest } from '@jasperwren/core/drive/testing';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import { sql } from 'kysely';
import { createSchool } from '../packages/server/src/accounts/store';
import { callNow } from '../packages/server/src/call';
import { createDatabase } from '../packages/server/src/db/database';
import { openKeeper } from '../packages/server/src/db/keeper';
import { appendEvents } from '../packages/server/src/drives/append';
import { placesOf } from '../packages/server/src/places/store';
import { addPieces } from '../packages/server/src/traces/store';
import { writeNet } from './net';

const rounds = 5;
const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[times.length >> 1]!;
const folder = mkdtempSync(join(tmpdir(), 'traces-bench-'));

async function timed(work: () => unknown): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const began = performance.now();
    await work();
    times.push(performance.now() - began);
  }
  return median(times);
}

async function measureMatching(): Promise<void> {
  const file = join(folder, 'net.osm');
  await writeNet(file, 118, 2);
  const graph = buildGraph(await readOsm(createReadStream(file)));
  const time = byTime(graph, 'left');
  const router = makeRouter(graph, time);
  const find = finder(graph);
  const at = (vertex: number): AtVertex => {
    const node = graph.vertexNode[vertex]!;
    return { vertex, lat: graph.source.lat[node]!, lon: graph.source.lon[node]! };
  };
  const path = router.find(at(0), at(graph.vertexCount - 1))!;
  const { fixes } = simulateTrace(graph, time, path, { seed: 1, noise: 8, lasting: 0.7 });
  const some = fixes.slice(0, 2400);
  const snapped = await timed(() => some.forEach((fix) => find.near(fix, 40, 8)));
  const matched = await timed(() => matchTrace({ graph, finder: find, time }, some));
  console.log(
    `a trace of ${some.length} fixes on ${graph.edgeCount} edges: ${matched.toFixed(0)} ms, ${(matched / snapped).toFixed(1)} times finding the roads near each fix (${snapped.toFixed(0)} ms)`,
  );
}

const drives = 2000;
const placesEach = 80;
const places = 600;

async function measureServer(): Promise<void> {
  const dataDir = join(folder, 'data');
  await createDatabase(dataDir);
  const keeper = await openKeeper(dataDir);
  const lead = { name: 'Lead', email: 'lead@bench.example', passwordHash: '' };
  const schoolId = await createSchool(callNow(keeper.writing), 'Bench', lead);
  const { id: accountId } = await keeper.db.selectFrom('accounts').select('id').executeTakeFirstOrThrow();
  const who = { schoolId, accountId, role: 'lead' } as const;
  await sql`insert into learners (id, school_id, name, transmission, standard_id, created_at, updated_at)
    values ('learner', ${schoolId}, 'L', 'manual', 'tally', '', '')`.execute(keeper.writing);
  const devices = Array.from({ length: 50 }, (_, i) => `drive-${i}`);
  for (const id of devices) {
    const events = fullTest([]).map((event) => ({
      ...(event.type === 'started' ? { ...event, learnerId: 'learner' } : event),
      id: `${id}-${event.id}`,
    }));
    await keeper.write((db) => appendEvents({ ...callNow(db), who }, id, { events }));
  }
  let piece = 0;
  const fixes = Array.from({ length: 15 }, (_, i): SentFix => [1_780_000_000_000 + i * 1000, 48, -30, 5, -1]);
  const one = () => ({ pieces: [{ id: `p${piece++}`, source: 'device' as const, fixes }] });
  const alone = await timed(() => keeper.write((db) => addPieces({ ...callNow(db), who }, devices[0]!, one())));
  const all = await timed(() =>
    Promise.all(devices.map((id) => keeper.write((db) => addPieces({ ...callNow(db), who }, id, one())))),
  );
  console.log(
    `pieces of the traces of 50 devices at once: ${all.toFixed(1)} ms for all, ${(all / alone).toFixed(1)} times one alone (${alone.toFixed(1)} ms)`,
  );
  await fill(keeper.writing, schoolId, accountId);
  const call = { ...callNow(keeper.db), who };
  const counted = await timed(() => sql`select count(*) from passes where school_id = ${schoolId}`.execute(keeper.db));
  const seen = await timed(() => placesOf(call, {}));
  const view = await placesOf(call, {});
  console.log(
    `places of ${view.drives} traced drives, ${view.passes} passes: ${seen.toFixed(0)} ms, ${(seen / counted).toFixed(0)} times counting the passes (${counted.toFixed(1)} ms)`,
  );
  const some = await timed(() => placesOf(call, { area: 'junctions' }));
  console.log(`  of one area of faults, counted anew: ${some.toFixed(0)} ms, ${(some / counted).toFixed(0)} times`);
  await keeper.close();
}

/** A school of traced drives, written as the job would. */
async function fill(
  db: Awaited<ReturnType<typeof openKeeper>>['writing'],
  schoolId: string,
  accountId: string,
): Promise<void> {
  const numbers = sql`with recursive n(i) as (select 0 union all select i + 1 from n where i < ${sql.lit(drives - 1)})`;
  await db.transaction().execute(async (trx) => {
    await sql`insert into places (school_id, id, sort, turn, lat, lon)
      with recursive n(i) as (select 0 union all select i + 1 from n where i < ${sql.lit(places - 1)})
      select ${schoolId}, 'place-' || i, 'turn', 'left', 48, -30 from n`.execute(trx);
    await sql`insert into drives (school_id, id, learner_id, account_id, standard_id, standard_version, started_at, digest)
      ${numbers} select ${schoolId}, 'traced-' || i, 'learner', ${accountId}, 'tally', 3,
        strftime('%Y-%m-%dT09:00:00.000Z', '2026-01-01', '+' || (i % 300) || ' days'), '{}' from n`.execute(trx);
    await sql`insert into traces (school_id, drive_id, learner_id, account_id, source, state, version, trim_start, trim_end, created_at)
      ${numbers} select ${schoolId}, 'traced-' || i, 'learner', ${accountId}, 'device', 'ready', 0, 0, 0, '' from n`.execute(
      trx,
    );
    await sql`insert into passes (school_id, drive_id, place_id, passes, faults, drive_passes, drive_faults, learner_id, account_id, at)
      with recursive n(i) as (select 0 union all select i + 1 from n where i < ${sql.lit(drives * placesEach - 1)})
      select ${schoolId}, 'traced-' || (i / ${sql.lit(placesEach)}), 'place-' || ((i * 7 + i / ${sql.lit(placesEach)}) % ${sql.lit(places)}), 1, i % 11 = 0,
        ${sql.lit(placesEach)}, 7, 'learner', ${accountId}, strftime('%Y-%m-%dT09:00:00.000Z', '2026-01-01', '+' || (i / ${sql.lit(placesEach)} % 300) || ' days') from n
      where true on conflict do nothing`.execute(trx);
    await sql`insert into marks_on_road (school_id, drive_id, mark_id, at_ms, behaviour, area, severity, place_id, lat, lon, piece, metres, within)
      select school_id, drive_id, 'm-' || place_id, 0, 'junctions.observation', 'junctions', 'counted', place_id, 48, -30, 0, 0, 10
      from passes where school_id = ${schoolId} and faults = 1`.execute(trx);
  });
}

try {
  await measureMatching();
  await measureServer();
} finally {
  rmSync(folder, { recursive: true, force: true });
}
