import type { LearnerView } from '@jasperwren/contract/learners';
import type { PlacesView } from '@jasperwren/contract/places';
import type { NewShare } from '@jasperwren/contract/shares';
import type { PlacedRoad, SharedRoad, TraceView } from '@jasperwren/contract/traces';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import { fullTest } from '@jasperwren/core/drive/testing';
import { sql } from 'kysely';
import { addPerson, addRoads, startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let lead: TestClient;
let other: TestClient;
let learnerId: string;

beforeAll(async () => {
  ({ server, first: lead, second: other } = await startTwoSchools());
  const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally' };
  learnerId = (await lead.send<LearnerView>('POST', '/api/learners', learner)).body.id;
});
afterAll(() => server.remove());

let drives = 0;

/** A drive of 40 minutes from 9 o'clock on with a fault a minute after the start. */
async function addDrive(ended = true): Promise<string> {
  const driveId = `drive-${drives++}`;
  const events = eventsOf(driveId).filter(({ type }) => ended || type !== 'ended');
  const { status } = await lead.send('POST', `/api/drives/${driveId}/events`, { events });
  expect(status).toBe(200);
  return driveId;
}

const endDrive = (driveId: string) =>
  lead.send('POST', `/api/drives/${driveId}/events`, {
    events: eventsOf(driveId).filter(({ type }) => type === 'ended'),
  });

const eventsOf = (driveId: string) =>
  fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${driveId}-${event.id}`,
  }));

const nine = Date.UTC(2026, 4, 4, 9, 0);

/** Fixes along the road from west to east, one a second; the drive lasts longer than the road. */
const fixesFrom = (second: number, count: number): readonly SentFix[] =>
  Array.from({ length: count }, (_, i) => [
    nine + (second + i) * 1000,
    48,
    Number((-30 + (0.002 * (second + i)) / 120).toFixed(7)),
    5,
    -1,
  ]);

const send = (driveId: string, pieces: readonly object[], client = lead) =>
  client.send('POST', `/api/drives/${driveId}/fixes`, { pieces });
const piece = (id: string, fixes: readonly SentFix[], source = 'device') => ({ id, source, fixes });
const traceOf = async (driveId: string, client = lead) =>
  (await client.send<TraceView | null>('GET', `/api/drives/${driveId}/trace`)).body;

it('waits where the drive itself has not arrived yet', async () => {
  const { status, body } = await send('not-here', [piece('a', fixesFrom(0, 10))]);
  expect([status, body]).toMatchObject([404, { error: { code: 'not-yet' } }]);
});

it('keeps a trace until there are roads, lays it on them then, and places the fault', async () => {
  const driveId = await addDrive();
  expect(await traceOf(driveId)).toBeNull();
  // The second half first, the first twice: what a dead network makes of it.
  await send(driveId, [piece('b', fixesFrom(60, 60))]);
  await send(driveId, [piece('a', fixesFrom(0, 60)), piece('b', fixesFrom(60, 60))]);
  await send(driveId, [piece('a', fixesFrom(0, 60))]);
  await server.settled();
  expect(await traceOf(driveId)).toMatchObject({ state: 'no-roads', marks: [] });
  await addRoads(server, lead);
  await server.settled();
  const trace = (await traceOf(driveId))!;
  expect(trace).toMatchObject({ state: 'ready', offsetMs: 0, source: 'device', version: 0 });
  expect(trace.reading).toMatchObject({ fixes: 120, outOfOrder: 0, leftOut: { doubled: 0, jumped: 0 } });
  const [one] = trace.reading!.pieces;
  expect(one!.metres).toBeGreaterThan(130);
  // The fault was marked in the first minute after the start, half-way along the road.
  expect(trace.marks).toHaveLength(1);
  expect(trace.marks[0]).toMatchObject({ piece: 0, lat: expect.closeTo(48, 4), lon: expect.closeTo(-29.999, 4) });
  expect(trace.familiarity).toEqual({ share: 0, drives: 0, counts: false, known: [[]] });
});

it('has one line in the trail for a trace, however many pieces it comes in', async () => {
  const driveId = await addDrive();
  for (const id of ['a', 'b', 'c']) await send(driveId, [piece(id, fixesFrom(0, 10))]);
  const { rows } = await sql<{ n: number }>`select count(*) as n from audit
    where action = 'sendFixes' and subject = ${driveId}`.execute(server.db);
  expect(rows[0]!.n).toBe(1);
});

it('is laid on the roads when the drive has ended, not before', async () => {
  const driveId = await addDrive(false);
  await send(driveId, [piece('a', fixesFrom(0, 120))]);
  await server.settled();
  expect((await traceOf(driveId))!.state).toBe('working');
  await endDrive(driveId);
  await server.settled();
  expect((await traceOf(driveId))!.state).toBe('ready');
});

it('refuses a piece that says something else under the same id', async () => {
  const driveId = await addDrive();
  await send(driveId, [piece('a', fixesFrom(0, 60))]);
  const { status, body } = await send(driveId, [piece('a', fixesFrom(1, 60))]);
  expect([status, body]).toMatchObject([409, { error: { code: 'piece-conflict' } }]);
});

it.each([
  ['no number', [[nine, 48, '-30', 5, -1]]],
  ['too few numbers', [[nine, 48, -30]]],
  ['off Earth', [[nine, 98, -30, 5, -1]]],
  ['no fixes', []],
])('refuses fixes with %s', async (_, fixes) => {
  const driveId = await addDrive();
  expect((await send(driveId, [{ id: 'a', source: 'device', fixes }])).status).toBe(422);
  expect(await traceOf(driveId)).toBeNull();
});

it('takes a trace from nobody but whoever marks the drive, and shows it to no other school', async () => {
  const driveId = await addDrive();
  await addPerson(lead, 'stranger@first.example');
  const stranger = testClient(server.address);
  await stranger.signIn('stranger@first.example');
  expect((await send(driveId, [piece('a', fixesFrom(0, 9))], stranger)).status).toBe(403);
  await send(driveId, [piece('a', fixesFrom(0, 60))]);
  expect((await other.send('GET', `/api/drives/${driveId}/trace`)).body).toBeNull();
  expect((await other.send('DELETE', `/api/drives/${driveId}/trace`)).status).toBe(404);
});

it('reads a trace anew with another offset, but not over what somebody else has changed', async () => {
  const driveId = await addDrive();
  await send(driveId, [piece('a', fixesFrom(47, 60), 'file')]);
  const edit = { offsetMs: -47_000, trimStart: 0, trimEnd: 0, version: 0 };
  expect((await lead.send('PUT', `/api/drives/${driveId}/trace`, edit)).status).toBe(204);
  expect((await lead.send('PUT', `/api/drives/${driveId}/trace`, edit)).status).toBe(409);
  await server.settled();
  const trace = (await traceOf(driveId))!;
  expect([trace.state, trace.offsetMs, trace.reading!.pieces[0]!.times[0]![0]]).toEqual(['ready', -47_000, nine]);
});

it('says how well the roads were known, by the drives before', async () => {
  const [before, after] = [await addDrive(), await addDrive()];
  const { db } = server;
  await db.updateTable('drives').set({ started_at: '2026-05-03T09:00:00.000Z' }).where('id', '=', before).execute();
  await db.deleteFrom('traces').execute();
  for (const driveId of [before, after]) await send(driveId, [piece('a', fixesFrom(0, 120))]);
  await server.settled();
  const { share, drives: count, known } = (await traceOf(after))!.familiarity!;
  expect(count).toBe(1);
  expect(known[0]![0]![0]).toBe(0);
  expect(share).toBeGreaterThan(0.95);
});

describe('where faults happen', () => {
  it('counts passes and faults, by learner and by kind of fault', async () => {
    const all = (await lead.send<PlacesView>('GET', '/api/places')).body;
    expect(all.drives).toBeGreaterThan(1);
    expect(all.passes).toBeGreaterThan(0);
    const nobody = (await lead.send<PlacesView>('GET', '/api/places?learner=nobody')).body;
    expect(nobody).toMatchObject({ drives: 0, passes: 0, faults: 0, places: [], tooFew: 0, kinds: [], months: [] });
    const own = (await lead.send<PlacesView>('GET', `/api/places?learner=${learnerId}&severity=outright`)).body;
    expect([own.drives, own.faults]).toEqual([all.drives, 0]);
    const faultsOf = async (behaviour: string) =>
      (await lead.send<PlacesView>('GET', `/api/places?behaviour=${behaviour}`)).body.faults;
    expect([await faultsOf('signs.lights'), await faultsOf('signs.signs')]).toEqual([all.faults, 0]);
    expect((await other.send<PlacesView>('GET', '/api/places')).body.drives).toBe(0);
    expect((await lead.send('GET', '/api/places?severity=dreadful')).status).toBe(422);
  });

  it('goes out as GeoJSON and as a table, the numbers as the page has them', async () => {
    const all = (await lead.send<PlacesView>('GET', '/api/places')).body;
    const download = async (path: string) => {
      const response = await fetch(server.address + path, { headers: { cookie: lead.cookie() } });
      expect(response.headers.get('content-disposition')).toContain('attachment');
      return response.text();
    };
    const collection = JSON.parse(await download('/api/places.geojson')) as {
      readonly type: string;
      readonly features: readonly {
        readonly geometry: { readonly type: string; readonly coordinates: readonly [lon: number, lat: number] };
        readonly properties: { readonly kind: string; readonly name?: string };
      }[];
    };
    expect(collection.type).toBe('FeatureCollection');
    const of = (kind: string) => collection.features.filter(({ properties }) => properties.kind === kind);
    expect([of('place').length, of('fault').length]).toEqual([all.places.length, all.faults]);
    // Longitude first (RFC 7946, from memory); the road of these tests lies in the middle of an ocean.
    for (const { geometry } of collection.features) {
      expect(geometry.coordinates[0]).toBeCloseTo(-30, 1);
      expect(geometry.coordinates[1]).toBeCloseTo(48, 1);
    }
    const [head, ...rows] = (await download('/api/passes.csv')).trim().split('\r\n');
    expect(head).toBe('date,learner,sort,turn,from,onto,lat,lon,passes,faults');
    const passes = rows.map((row) => Number(row.split(',').at(-2)));
    expect(passes.reduce((sum, one) => sum + one, 0)).toBe(all.passes);
  });
});

it('deletes a trace with everything that followed from it', async () => {
  const driveId = await addDrive();
  await send(driveId, [piece('a', fixesFrom(0, 120))]);
  await server.settled();
  const rows = async () => {
    const counts = [];
    for (const table of ['traces', 'trace_pieces', 'passes', 'marks_on_road']) {
      const { rows: found } = await sql<{ n: number }>`select count(*) as n from ${sql.table(table)}
        where drive_id = ${driveId}`.execute(server.db);
      counts.push(found[0]!.n);
    }
    return counts;
  };
  expect((await rows()).every((n) => n > 0)).toBe(true);
  expect((await lead.send('DELETE', `/api/drives/${driveId}/trace`)).status).toBe(204);
  expect(await rows()).toEqual([0, 0, 0, 0]);
  expect(await traceOf(driveId)).toBeNull();
  // What a device without a network had not sent comes later, and is not kept; a file is a new trace.
  expect((await send(driveId, [piece('late', fixesFrom(120, 60))])).status).toBe(204);
  expect(await rows()).toEqual([0, 0, 0, 0]);
  await send(driveId, [piece('file', fixesFrom(0, 120), 'file')]);
  await server.settled();
  expect((await traceOf(driveId))!).toMatchObject({ source: 'file', state: 'ready' });
});

it('tells where faults were placed on the planned route, where there is no trace, to the learner as well', async () => {
  const roads = await addRoads(server, lead);
  const stops = [-30, -29.998].map((lon) => ({ lat: 48, lon, mode: 'directions' }));
  const route = { name: 'Along', roadsId: roads.id, stops, places: [] };
  const { id } = (await lead.send<{ id: string }>('POST', '/api/routes', route)).body;
  const driveId = 'placed';
  const events = eventsOf(driveId).map((event) =>
    event.type === 'started' ? { ...event, route: { id, name: 'Along' } } : event,
  );
  await lead.send('POST', `/api/drives/${driveId}/events`, { events });
  const roadOf = async (address: string) => (await lead.send<SharedRoad | null>('GET', address)).body;
  expect(await roadOf(`/api/drives/${driveId}/road`)).toBeNull();
  const mark = events.find(({ type }) => type === 'mark')!;
  const { device, atMs, wall, by } = mark;
  const put = { id: 'put', device, seq: 99, atMs, wall, by };
  const event = { ...put, type: 'place', target: mark.id, lat: 48, lon: -29.9995 };
  await lead.send('POST', `/api/drives/${driveId}/events`, { events: [event] });
  const road = (await roadOf(`/api/drives/${driveId}/road`))!;
  expect(road).toMatchObject({ marks: [{ markId: mark.id, lat: 48, lon: -29.9995 }] });
  const { line } = road as PlacedRoad;
  expect([line[0], line.at(-1)]).toEqual([
    [48, -30],
    [48, -29.998],
  ]);
  const { path } = (await lead.send<NewShare>('POST', `/api/drives/${driveId}/shares`, { days: 7 })).body;
  expect(await roadOf(`/api/shared/${path.split('/').at(-1)!}/road`)).toEqual(road);
  expect((await other.send('GET', `/api/drives/${driveId}/road`)).status).toBe(404);
  // A trace says it better.
  await send(driveId, [piece('a', fixesFrom(0, 120))]);
  await server.settled();
  expect(await roadOf(`/api/drives/${driveId}/road`)).toHaveProperty('reading');
});
