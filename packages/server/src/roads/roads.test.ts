import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CallTimingView } from '@jasperwren/contract/call-timing';
import type { ErrorBody } from '@jasperwren/contract/errors';
import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RoadNoteView, RoadsView } from '@jasperwren/contract/roads';
import { buildGraph } from '@jasperwren/roads/graph/graph';
import { openRoads, type StoredRoads } from '@jasperwren/roads/source';
import { dropBrokenUploads } from './roads-job';
import { addRoads, startTestServer, testClient, twoRoads, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;
let other: TestClient;

beforeAll(async () => {
  const worker = { worker: join(__dirname, '../jobs/worker.ts'), workerArgv: ['--import', 'tsx'] };
  server = await startTestServer(mkdtempSync(join(tmpdir(), 'jasperwren-roads-')), {}, worker);
  lead = testClient(server.address);
  other = testClient(server.address);
  await lead.signIn('lead@first.example');
  await other.signIn('lead@second.example');
});
afterAll(() => server.remove());

const roads = async (client = lead) => (await client.send<readonly RoadsView[]>('GET', '/api/roads')).body;
const uploads = () => {
  const folder = join(server.dataDir, 'uploads');
  return existsSync(folder) ? readdirSync(folder) : [];
};

describe('files of roads', () => {
  it('are read in a thread and kept as the graph needs them', async () => {
    const { id, name, version, state } = await addRoads(server, lead);
    expect({ name, version, state }).toEqual({ name: 'town', version: 1, state: 'reading' });
    expect((await roads()).find((one) => one.id === id)).toMatchObject({
      state: 'ready',
      progress: 100,
      summary: { ways: 2, junctions: 1, components: [1] },
    });
    const { body } = await lead.send<StoredRoads>('GET', `/api/roads/${id}/ways`);
    expect(buildGraph(openRoads(body)).edgeCount).toBe(8);
    expect(uploads()).toEqual([]);
  });

  it('of a name that exists are its next version, and the one before stays', async () => {
    const [one, two] = [
      await addRoads(server, lead, { file: 'isle.osm' }),
      await addRoads(server, lead, { file: 'isle.osm' }),
    ];
    expect([one.version, two.version]).toEqual([1, 2]);
    expect((await lead.send('GET', `/api/roads/${one.id}/ways`)).status).toBe(200);
  });

  it('of another school are not there', async () => {
    const [{ id }] = (await roads()) as [RoadsView];
    expect(await roads(other)).toEqual([]);
    expect((await other.send('GET', `/api/roads/${id}/ways`)).status).toBe(404);
    expect((await other.send('DELETE', `/api/roads/${id}`)).status).toBe(404);
  });

  it.each([
    ['broken.osm', twoRoads.replace('</way>', ''), { code: 'badXml' }],
    ['short.osm', twoRoads.slice(0, -40), { code: 'cutShort' }],
    ['lines.geojson', '{"type":"Point"}', { code: 'notLines' }],
    ['map.pbf', '<osm/>', { code: 'unknownFormat' }],
  ])('that cannot be used say why: %s', async (file, text, problem) => {
    const { id } = await addRoads(server, lead, { file, text });
    expect((await roads()).find((one) => one.id === id)).toMatchObject({ state: 'failed', problem });
    expect((await lead.send<ErrorBody>('GET', `/api/roads/${id}/ways`)).status).toBe(404);
    expect(uploads()).toEqual([]);
  });

  it.each([
    ['a program', '\u007fELF\u0002\u0001', 'no-roads-file'],
    ['a long program', `MZ${'x'.repeat(3_000_000)}`, 'no-roads-file'],
    ['nothing', ' ', 'no-roads-file'],
  ])('that are none are refused by their first bytes, and leave nothing: %s', async (_, text, code) => {
    const before = (await roads()).length;
    const { status, body } = await lead.send<ErrorBody>('POST', '/api/roads?file=a.osm', text);
    expect([status, body.error.code]).toEqual([422, code]);
    expect((await roads()).length).toBe(before);
    expect(uploads()).toEqual([]);
  });

  it('wait in a limited number of a school, and those of another are not kept waiting by it', async () => {
    const send = (client: TestClient, n: number) =>
      client.send<RoadsView & ErrorBody>('POST', `/api/roads?file=queue${n}.osm`, twoRoads);
    const answers = await Promise.all(Array.from({ length: 8 }, (_, n) => send(lead, n)));
    const refused = answers.filter(({ status }) => status !== 201);
    expect(answers.length - refused.length).toBeGreaterThanOrEqual(1);
    expect(refused.length).toBeGreaterThanOrEqual(3);
    for (const { status, body } of refused) expect([status, body.error.code]).toEqual([409, 'roads-waiting']);
    expect((await send(other, 0)).status).toBe(201);
    await server.settled();
    expect(uploads()).toEqual([]);
    expect((await send(lead, 9)).status).toBe(201);
    await server.settled();
  });

  it('that nobody reads any more are taken out while they wait', async () => {
    const { body } = await lead.send<RoadsView>('POST', '/api/roads?file=gone.osm', twoRoads);
    expect((await lead.send('DELETE', `/api/roads/${body.id}`)).status).toBe(204);
    await server.settled();
    expect((await roads()).some(({ id }) => id === body.id)).toBe(false);
    expect(uploads()).toEqual([]);
  });

  it('that is taken out while it is read holds up no other', async () => {
    const { body } = await lead.send<RoadsView>('POST', '/api/roads?file=gone.osm', twoRoads);
    const { id } = await addRoads(server, lead, { file: 'next.osm' });
    await lead.send('DELETE', `/api/roads/${body.id}`);
    expect((await roads()).find((one) => one.id === id)!.state).toBe('ready');
  });

  it('are not taken from strangers', async () => {
    const stranger = testClient(server.address);
    expect((await stranger.send('POST', '/api/roads?file=a.osm', twoRoads)).status).toBe(401);
    expect(uploads()).toEqual([]);
  });

  it('without a name are refused and not kept', async () => {
    expect((await lead.send('POST', '/api/roads?file=', twoRoads)).status).toBe(422);
    expect(uploads()).toEqual([]);
  });

  it('whose sending was broken off are not kept beyond a start', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'jasperwren-uploads-'));
    mkdirSync(join(folder, 'uploads'));
    for (const name of ['half', 'roads-1']) writeFileSync(join(folder, 'uploads', name), 'x');
    await dropBrokenUploads(folder);
    expect(readdirSync(join(folder, 'uploads'))).toEqual(['roads-1']);
  });

  it('as large as the island are read', async () => {
    const { id } = await addRoads(server, lead, {
      file: 'tarnavel.osm',
      text: readFileSync('demo/tarnavel.osm', 'utf8'),
    });
    expect((await roads()).find((one) => one.id === id)!).toMatchObject({ state: 'ready' });
  });
});

describe('routes and notes', () => {
  const stop = { lat: 48, lon: -30, mode: 'directions' } as const;

  it('are kept, changed and deleted; roads with routes on them stay', async () => {
    const { id: roadsId } = await addRoads(server, lead, { file: 'drawn.osm' });
    const body = {
      name: 'Harbour loop',
      roadsId,
      stops: [stop, { ...stop, lon: -29.998 }],
      places: [{ kind: 'bay', lat: 48, lon: -29.999 }],
    };
    const { body: route } = await lead.send<RouteView>('POST', '/api/routes', body);
    expect(route).toMatchObject({ ...body, version: 0 });
    const refused = await lead.send<ErrorBody>('DELETE', `/api/roads/${roadsId}`);
    expect([refused.status, refused.body.error.message]).toEqual([409, expect.stringContaining('Harbour loop')]);
    const edit = { ...body, name: 'Quay loop', version: 0 };
    expect((await lead.send<RouteView>('PUT', `/api/routes/${route.id}`, edit)).body.version).toBe(1);
    const stale = await lead.send<ErrorBody>('PUT', `/api/routes/${route.id}`, edit);
    expect([stale.status, stale.body.error.code]).toEqual([409, 'stale']);
    expect((await lead.send('DELETE', `/api/routes/${route.id}`)).status).toBe(204);
    expect((await lead.send('DELETE', `/api/roads/${roadsId}`)).status).toBe(204);
  });

  it('need roads that are read', async () => {
    const { id: roadsId } = await addRoads(server, lead, { file: 'bad.osm', text: '<osm/>' });
    const answer = await lead.send<ErrorBody>('POST', '/api/routes', {
      name: 'X',
      roadsId,
      stops: [stop, stop],
      places: [],
    });
    expect([answer.status, answer.body.error.code]).toEqual([422, 'roads-not-ready']);
  });

  it('a note says who wrote it and when it is to be looked at again', async () => {
    const note = { lat: 48, lon: -30, text: 'The farm gate is no exit.', reviewBy: '2027-03-01' };
    const { body } = await lead.send<RoadNoteView>('POST', '/api/road-notes', note);
    expect(body).toMatchObject({ ...note, writtenBy: 'Lead of first' });
    expect((await other.send<readonly RoadNoteView[]>('GET', '/api/road-notes')).body).toEqual([]);
    expect((await other.send('DELETE', `/api/road-notes/${body.id}`)).status).toBe(404);
  });
});

describe('when directions are spoken', () => {
  const steps = [
    { kmh: 0, metres: 120 },
    { kmh: 50, metres: 250 },
  ];
  const timing = { steps, leastSeconds: 8 };
  const set = (instructor: object, version = 0) =>
    lead.send<CallTimingView & ErrorBody>('PUT', '/api/call-timing', { instructor, device: timing, version });

  it('is as usual until the school sets it, and its own alone', async () => {
    const { body: usual } = await lead.send<CallTimingView>('GET', '/api/call-timing');
    expect(usual).toMatchObject({ version: 0, device: { againSeconds: 4 } });
    const { status, body } = await set(timing);
    expect([status, body.instructor.first, body.version]).toEqual([
      200,
      [
        [0, 120],
        [50, 250],
      ],
      1,
    ]);
    expect((await set(timing)).status).toBe(409);
    expect((await other.send<CallTimingView>('GET', '/api/call-timing')).body).toEqual(usual);
  });

  it.each([
    [{ ...timing, steps: [] }],
    [{ ...timing, steps: steps.toReversed() }],
    [{ ...timing, steps: [{ kmh: 0, metres: 5 }] }],
    [{ ...timing, leastSeconds: 0 }],
    [{ ...timing, againSeconds: 'soon' }],
  ])('refuses what cannot be meant: %j', async (instructor) => {
    expect((await set(instructor, 1)).status).toBe(422);
  });
});
