import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RouteView, SharedRehearsal } from '@jasperwren/contract/driving-routes';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { MyRoute } from '@jasperwren/contract/me';
import type { NewShare, ShareView } from '@jasperwren/contract/shares';
import { addRoads, startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;
let other: TestClient;
let route: RouteView;

const stop = (lat: number, lon: number) => ({ lat, lon, mode: 'directions' });

beforeAll(async () => {
  const worker = { worker: join(__dirname, '../jobs/worker.ts'), workerArgv: ['--import', 'tsx'] };
  server = await startTestServer(mkdtempSync(join(tmpdir(), 'jasperwren-shares-')), {}, worker);
  lead = testClient(server.address);
  other = testClient(server.address);
  await lead.signIn('lead@first.example');
  await other.signIn('lead@second.example');
  const roads = await addRoads(server, lead);
  const body = { name: 'Quay loop', roadsId: roads.id, stops: [stop(48, -30), stop(48, -29.998)], places: [] };
  route = (await lead.send<RouteView>('POST', '/api/routes', body)).body;
  const note = { lat: 48, lon: -29.999, text: 'A van parks here.', reviewBy: '2027-01-01' };
  await lead.send('POST', '/api/road-notes', note);
  await lead.send('POST', '/api/road-notes', { ...note, lat: 48.5, text: 'Far away.' });
});
afterAll(() => server.remove());

const share = (days: unknown = 14, client = lead) =>
  client.send<NewShare>('POST', `/api/routes/${route.id}/shares`, { days });
const tokenOf = ({ path }: NewShare) => path.replace('/rehearse/', '');
const open = (token: string) => testClient(server.address).send<SharedRehearsal>('GET', `/api/shared-routes/${token}`);

describe('a link to a route', () => {
  it('is rehearsed without a sign-in, with its directions and the notes on it, and nothing else of the school', async () => {
    const { status, body, headers } = await open(tokenOf((await share()).body));
    expect(status).toBe(200);
    expect(headers.get('x-robots-tag')).toBe('noindex');
    expect(body).toMatchObject({ school: 'first', name: 'Quay loop', side: 'left', units: 'metric' });
    expect(body.reading.metres).toBeGreaterThan(100);
    expect(body.notes.map(({ text }) => text)).toEqual(['A van parks here.']);
    expect(JSON.stringify(body)).not.toMatch(/Lead of first|Far away/);
  });

  it('ends when it is taken back, when its days are over and when its route is deleted', async () => {
    const { body: made } = await share();
    expect((await lead.send('DELETE', `/api/routes/${route.id}/shares/${made.id}`)).status).toBe(204);
    expect((await open(tokenOf(made))).status).toBe(404);
    const { body: old } = await share(1);
    const past = { expires_at: '2026-01-01T00:00:00.000Z' };
    await server.db.updateTable('route_shares').set(past).where('id', '=', old.id).execute();
    expect((await open(tokenOf(old))).status).toBe(404);
    const { name, roadsId, stops, places } = route;
    const copy = (await lead.send<RouteView>('POST', '/api/routes', { name, roadsId, stops, places })).body;
    const { body: third } = await lead.send<NewShare>('POST', `/api/routes/${copy.id}/shares`, { days: 7 });
    expect((await lead.send('DELETE', `/api/routes/${copy.id}`)).status).toBe(204);
    expect((await open(tokenOf(third))).status).toBe(404);
  });

  it('is made and taken back by its own school alone', async () => {
    const { body: made } = await share();
    expect((await share(14, other)).status).toBe(404);
    expect((await other.send<ShareView[]>('GET', `/api/routes/${route.id}/shares`)).body).toEqual([]);
    expect((await other.send('DELETE', `/api/routes/${route.id}/shares/${made.id}`)).status).toBe(404);
    expect((await open(tokenOf(made))).status).toBe(200);
    const rows = await server.db.selectFrom('route_shares').selectAll().execute();
    expect(JSON.stringify(rows)).not.toContain(tokenOf(made));
  });
});

describe('a learner who is signed in', () => {
  it('finds what the school shares, once each, and not what another does', async () => {
    await share();
    const learnerOf = async (client: TestClient) => {
      const input = { name: 'Ola Learner', transmission: 'manual', standardId: 'tally' };
      const { id } = (await client.send<LearnerView>('POST', '/api/learners', input)).body;
      const { body } = await client.send<{ code: string }>('POST', `/api/learners/${id}/access`, { kind: 'code' });
      const learner = testClient(server.address);
      expect((await learner.send('POST', '/api/me/session', { code: body.code })).status).toBe(200);
      return learner;
    };
    const own = await learnerOf(lead);
    const { body: routes } = await own.send<readonly MyRoute[]>('GET', '/api/me/routes');
    expect(routes.map(({ id, name }) => [id, name])).toEqual([[route.id, 'Quay loop']]);
    expect((await own.send<SharedRehearsal>('GET', `/api/me/routes/${route.id}`)).body.name).toBe('Quay loop');
    const foreign = await learnerOf(other);
    expect((await foreign.send('GET', '/api/me/routes')).body).toEqual([]);
    expect((await foreign.send('GET', `/api/me/routes/${route.id}`)).status).toBe(404);
  });
});
