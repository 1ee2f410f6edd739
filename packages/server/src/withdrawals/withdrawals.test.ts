import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AccountView } from '@jasperwren/contract/accounts';
import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { NewShare } from '@jasperwren/contract/shares';
import type { VoiceView } from '@jasperwren/contract/voices';
import type { NewYardCar, YardRunView } from '@jasperwren/contract/yard';
import { fullTest } from '@jasperwren/core/drive/testing';
import { backUp, restore } from '../db/backup';
import { carOfToken } from '../yard/store';
import { addPerson, addRoads, startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;

beforeAll(async () => {
  server = await startTestServer();
  lead = testClient(server.address);
  await lead.signIn('lead@first.example');
  await addRoads(server, lead);
});
afterAll(() => server.remove());

async function post<T>(path: string, body: object): Promise<T> {
  const answer = await lead.send<T>('POST', path, body);
  expect([path, answer.status < 300]).toEqual([path, true]);
  return answer.body;
}
const take = async (path: string) => expect([path, (await lead.send('DELETE', path)).status]).toEqual([path, 204]);

/** A drive of a new learner with a trace that lies at a latitude of its own. */
async function tracedDrive(id: string, lat: number): Promise<string> {
  const learner = { name: `Learner of ${id}`, transmission: 'manual', standardId: 'tally' };
  const { id: learnerId } = await post<LearnerView>('/api/learners', learner);
  const events = fullTest([]).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${id}-${event.id}`,
  }));
  await post(`/api/drives/${id}/events`, { events });
  const fixes = Array.from({ length: 90 }, (_, i) => [
    Date.UTC(2026, 4, 4, 9, 0) + i * 1000,
    lat,
    -30 + i / 60_000,
    5,
    -1,
  ]);
  await lead.send('POST', `/api/drives/${id}/fixes`, { pieces: [{ id: 'p', source: 'device', fixes }] });
  await server.settled();
  return learnerId;
}

/** Whether a text stands anywhere in the files of the database. */
const isInFiles = (text: string) =>
  readdirSync(server.dataDir)
    .filter((name) => name.startsWith('jasperwren.sqlite'))
    .some((name) => readFileSync(join(server.dataDir, name), 'latin1').includes(text));

it('positions of a deleted trace are out of the database file and its log at once', async () => {
  await tracedDrive('forgotten', 47.987654321);
  expect(isInFiles('47.987654321')).toBe(true);
  await take('/api/drives/forgotten/trace');
  expect(isInFiles('47.987654321')).toBe(false);
});

it('what was taken back stays so after a restore of a backup from before', async () => {
  await tracedDrive('kept', 48.000011111);
  await tracedDrive('dropped', 48.000022222);
  const gone = await tracedDrive('erased', 48.000033333);
  const voice = (words: string) => ({ type: 'audio/webm', audio: Buffer.from(words).toString('base64') });
  for (const pin of ['named', 'open'])
    await lead.send('PUT', `/api/drives/kept/voices/${pin}`, voice(`said with the pin that is ${pin}`));
  const car = await post<NewYardCar>('/api/yard/cars', { name: 'Sold' });
  const other = await post<NewYardCar>('/api/yard/cars', { name: 'Ours' });
  const run = { id: 'run', name: 'Run', source: 'file', standardId: 'timed-yard', columns: 'at_ms' };
  await post('/api/yard/runs', run);
  await post('/api/yard/runs', { ...run, id: 'run-kept' });
  const [roads] = (await lead.send<{ id: string }[]>('GET', '/api/roads')).body;
  const stops = [0, 1].map((i) => ({ lat: 48, lon: -30 + i * 0.002, mode: 'directions' }));
  const route = await post<RouteView>('/api/routes', { name: 'Harbour', roadsId: roads!.id, stops, places: [] });
  const link = await post<NewShare>(`/api/routes/${route.id}/shares`, { days: 7 });
  const open = await post<NewShare>(`/api/routes/${route.id}/shares`, { days: 7 });
  const [left, back]: readonly AccountView[] = [
    await addPerson(lead, 'left@first.example'),
    await addPerson(lead, 'back@first.example'),
  ];
  const before = join(tmpdir(), `jasperwren-before-${process.pid}-${Date.now()}.sqlite`);
  await backUp(server.dataDir, before);

  await take('/api/drives/dropped/trace');
  await take('/api/drives/kept/voices/named');
  await lead.send('POST', `/api/learners/${gone}/erase`, { name: 'Learner of erased' });
  await take(`/api/yard/cars/${car.id}`);
  await take('/api/yard/runs/run');
  await take(`/api/routes/${route.id}/shares/${link.id}`);
  for (const { id } of [left!, back!]) await lead.send('PUT', `/api/accounts/${id}/disabled`);
  await lead.send('DELETE', `/api/accounts/${back!.id}/disabled`);
  const second = testClient(server.address);
  await second.signIn('lead@second.example');
  expect((await second.send('POST', '/api/school/close', { name: 'second' })).status).toBe(204);
  await server.stop();

  // A dying disk cut the last line: the database has noted it, and what comes after is read.
  const list = join(server.dataDir, 'withdrawn.jsonl');
  expect(readFileSync(list, 'utf8').trim().split('\n').filter(Boolean)).toHaveLength(10 + 1);
  writeFileSync(list, `${readFileSync(list, 'utf8')}{"id":"cut`);
  await restore(server.dataDir, before);
  for (let start = 0; start < 2; start++) {
    server = { ...(await startTestServer(server.dataDir)) };
    lead = testClient(server.address);
    await lead.signIn('lead@first.example');
    expect((await lead.send('GET', '/api/drives/dropped/trace')).body).toBeNull();
    expect((await lead.send('GET', '/api/drives/kept/trace')).body).not.toBeNull();
    const voices = (await lead.send<readonly VoiceView[]>('GET', '/api/drives/kept/voices')).body;
    expect(voices.map(({ pin }) => pin)).toEqual(['open']);
    expect(isInFiles(voice('said with the pin that is named').audio)).toBe(false);
    expect(isInFiles('48.000022222')).toBe(false);
    expect(isInFiles('48.000011111')).toBe(true);
    expect((await lead.send('GET', `/api/learners/${gone}`)).status).toBe(404);
    expect(await carOfToken(server.db, car.token)).toBeUndefined();
    expect(await carOfToken(server.db, other.token)).toMatchObject({ name: 'Ours' });
    expect((await lead.send<YardRunView[]>('GET', '/api/yard/runs')).body.map(({ id }) => id)).toEqual(['run-kept']);
    const rehearse = async ({ path }: NewShare) =>
      (await testClient(server.address).send('GET', path.replace('/rehearse/', '/api/shared-routes/'))).status;
    expect([await rehearse(link), await rehearse(open)]).toEqual([404, 200]);
    const accounts = (await lead.send<readonly { id: string; disabledAt?: string }[]>('GET', '/api/people')).body;
    const disabled = accounts.filter(({ disabledAt }) => disabledAt !== undefined).map(({ id }) => id);
    expect(disabled).toEqual([left!.id]);
    const schools = await server.db.selectFrom('schools').select('name').execute();
    expect(schools.map(({ name }) => name)).toEqual(['first']);
    if (start === 0) await server.stop();
  }
});

it('the list of an earlier release is read as well', async () => {
  const gone = await tracedDrive('older', 48.000044444);
  const kept = await tracedDrive('newer', 48.000055555);
  const { id: schoolId } = await server.db
    .selectFrom('schools')
    .select('id')
    .where('name', '=', 'first')
    .executeTakeFirstOrThrow();
  await server.stop();
  writeFileSync(join(server.dataDir, 'erased.jsonl'), `${JSON.stringify({ schoolId, learnerId: gone })}\n`);
  server = { ...(await startTestServer(server.dataDir)) };
  lead = testClient(server.address);
  await lead.signIn('lead@first.example');
  expect((await lead.send('GET', `/api/learners/${gone}`)).status).toBe(404);
  expect((await lead.send('GET', `/api/learners/${kept}`)).status).toBe(200);
});
