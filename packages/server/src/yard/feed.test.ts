import type { AuditPage } from '@jasperwren/contract/audit';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { NewYardCar, YardRunView } from '@jasperwren/contract/yard';
import { feedPath, watchPath, type WatchRows } from '@jasperwren/contract/yard-feed';
import { WebSocket } from 'ws';
import { startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;
let other: TestClient;
let token: string;

beforeAll(async () => {
  server = await startTestServer();
  lead = testClient(server.address);
  other = testClient(server.address);
  await lead.signIn('lead@first.example');
  await other.signIn('lead@second.example');
  token = (await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Car 3' })).body.token;
});
afterAll(() => server.remove());

const columns = 'at_ms,speed_kmh';
const rowsOf = (from: number, count: number) => Array.from({ length: count }, (_, i) => `${(from + i) * 50},5`);

/** A socket with what it was told, and a promise of its end. */
async function socket(path: string, headers: Record<string, string>, address = server.address) {
  const ws = new WebSocket(address.replace('http', 'ws') + path, { headers });
  const told: unknown[] = [];
  const waiting: ((value: unknown) => void)[] = [];
  ws.on('message', (data: Buffer) => {
    const value: unknown = JSON.parse(data.toString('utf8'));
    told.push(value);
    waiting.shift()?.(value);
  });
  const closed = new Promise<number>((resolve) => ws.on('close', resolve));
  await new Promise<void>((resolve, reject) => {
    ws.on('open', resolve);
    ws.on('error', reject);
    ws.on('unexpected-response', (_, { statusCode }) => reject(new Error(String(statusCode))));
  });
  const ask = (what: unknown) =>
    new Promise((resolve) => {
      waiting.push(resolve);
      ws.send(typeof what === 'string' ? what : JSON.stringify(what));
    });
  return { ws, told, closed, ask };
}

const asCar = (own = token) => ({ authorization: `Bearer ${own}` });
const asPage = (client: TestClient, origin = server.address) => ({ cookie: client.cookie(), origin });

async function watched(run: string, count: number, from = 0) {
  const { told, ws } = await socket(`${watchPath}?run=${run}&from=${from}`, asPage(lead));
  const rows = () => (told as WatchRows[]).flatMap((one) => one.rows);
  while (rows().length < count) await new Promise((resolve) => ws.once('message', resolve));
  ws.close();
  return rows();
}

it('keeps the rows of a car, each once, and goes on where it was cut off', async () => {
  const first = await socket(feedPath, asCar());
  expect(await first.ask({ run: 'cut', columns })).toEqual({ have: 0 });
  expect(await first.ask({ from: 0, rows: rowsOf(0, 40) })).toEqual({ have: 40 });
  first.ws.terminate();
  const again = await socket(feedPath, asCar());
  expect(await again.ask({ run: 'cut', columns })).toEqual({ have: 40 });
  // Sent from before what is kept, then with a hole, then from where it is.
  expect(await again.ask({ from: 20, rows: rowsOf(20, 40) })).toEqual({ have: 60 });
  expect(await again.ask({ from: 80, rows: rowsOf(80, 10) })).toEqual({ have: 60 });
  expect(await again.ask({ from: 60, rows: rowsOf(60, 30) })).toEqual({ have: 90 });
  again.ws.close();
  expect(await watched('cut', 90)).toEqual(rowsOf(0, 90));
  expect(await watched('cut', 5, 85)).toEqual(rowsOf(85, 5));
  const runs = (await lead.send<readonly YardRunView[]>('GET', '/api/yard/runs')).body;
  expect(runs).toContainEqual(expect.objectContaining({ id: 'cut', car: 'Car 3', source: 'car', samples: 90 }));
});

it('leaves a line in the trail where a car begins a run, once', async () => {
  for (let i = 0; i < 2; i++) {
    const car = await socket(feedPath, asCar());
    await car.ask({ run: 'told', columns });
    car.ws.close();
  }
  const { lines } = (await lead.send<AuditPage>('GET', '/api/audit?action=carBeganRun')).body;
  const own = lines.filter(({ subject }) => subject === 'told');
  expect(own).toMatchObject([{ action: 'carBeganRun', detail: 'Car 3', address: '127.0.0.1', byLearner: false }]);
});

it('passes rows on as they come, in their order, to all who watch', async () => {
  const car = await socket(feedPath, asCar());
  await car.ask({ run: 'live', columns });
  await car.ask({ from: 0, rows: rowsOf(0, 10) });
  const all = [watched('live', 1000), watched('live', 1000), watched('live', 600, 400)];
  for (let from = 10; from < 1000; from += 30) await car.ask({ from, rows: rowsOf(from, 30) });
  const [a, b, c] = await Promise.all(all);
  expect(a).toEqual(rowsOf(0, 1000));
  expect(b).toEqual(a);
  expect(c).toEqual(a!.slice(400));
  car.ws.close();
});

it('loses nothing that was acknowledged when the server goes', async () => {
  const own = await startTestServer();
  const page = testClient(own.address);
  await page.signIn('lead@first.example');
  const { body } = await page.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Car 9' });
  const car = await socket(feedPath, asCar(body.token), own.address);
  await car.ask({ run: 'killed', columns });
  const { have } = (await car.ask({ from: 0, rows: rowsOf(0, 25) })) as { have: number };
  await own.stop();
  expect(await car.closed).toBeGreaterThan(0);
  const back = await startTestServer(own.dataDir);
  const again = await socket(feedPath, asCar(body.token), back.address);
  expect(await again.ask({ run: 'killed', columns })).toEqual({ have });
  again.ws.close();
  await back.remove();
});

it('tells a watcher of a run without rows that there are none yet', async () => {
  const car = await socket(feedPath, asCar());
  expect(await car.ask({ run: 'begun', columns })).toEqual({ have: 0 });
  const { told, ws } = await socket(`${watchPath}?run=begun&from=0`, asPage(lead));
  if (told.length === 0) await new Promise((resolve) => ws.once('message', resolve));
  expect(told).toEqual([{ columns, from: 0, rows: [] }]);
  ws.close();
  car.ws.close();
});

it('is closed to a car of nobody, to a removed one, and to pages of others', async () => {
  await expect(socket(feedPath, asCar('made-up'))).rejects.toThrow('401');
  await expect(socket(feedPath, {})).rejects.toThrow('401');
  await expect(socket(feedPath, asPage(lead, 'https://elsewhere.example'))).rejects.toThrow('401');
  await expect(socket(watchPath, asCar())).rejects.toThrow('403');
  await expect(socket('/api/yard/other', asCar())).rejects.toThrow('404');
  const { body } = await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Sold' });
  expect((await lead.send('DELETE', `/api/yard/cars/${body.id}`)).status).toBe(204);
  await expect(socket(feedPath, asCar(body.token))).rejects.toThrow('401');
  // Another school sees no run of this one: its watcher is sent away.
  const stranger = await socket(`${watchPath}?run=cut`, asPage(other));
  expect(await stranger.closed).toBe(1008);
  const feed = await socket(feedPath, asPage(other));
  expect(await feed.ask({ run: 'cut', columns })).toEqual({ error: 'There is no run with this id.' });
});

it('hears no more of a car that is removed, nor of somebody who is signed out, while they are connected', async () => {
  const { body } = await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Stolen' });
  const car = await socket(feedPath, asCar(body.token));
  expect(await car.ask({ run: 'stolen', columns })).toEqual({ have: 0 });
  expect(await car.ask({ from: 0, rows: rowsOf(0, 2) })).toEqual({ have: 2 });
  await lead.send('DELETE', `/api/yard/cars/${body.id}`);
  expect(await car.ask({ from: 2, rows: rowsOf(2, 2) })).toEqual({ error: 'This car was removed from the school.' });
  expect(await car.closed).toBe(1008);
  expect(await watched('stolen', 2)).toEqual(rowsOf(0, 2));

  const guest = testClient(server.address);
  await guest.signIn('lead@first.example');
  const input = { id: 'by-hand', name: 'By hand', source: 'file', standardId: 'timed-yard', columns };
  expect((await guest.send('POST', '/api/yard/runs', input)).status).toBe(201);
  const page = await socket(feedPath, asPage(guest));
  expect(await page.ask({ run: 'by-hand', columns })).toEqual({ have: 0 });
  await guest.send('DELETE', '/api/session');
  page.ws.send(JSON.stringify({ from: 0, rows: rowsOf(0, 2) }));
  // Not for good: whoever signs in again goes on.
  expect(await page.closed).toBe(4401);
  await guest.signIn('lead@first.example');
  const again = await socket(feedPath, asPage(guest));
  expect(await again.ask({ run: 'by-hand', columns })).toEqual({ have: 0 });
  again.ws.close();
});

it('takes a run from one car alone', async () => {
  const { body } = await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Another' });
  const refusal = { error: expect.stringContaining('another device') };
  const another = await socket(feedPath, asCar(body.token));
  expect(await another.ask({ run: 'cut', columns })).toEqual(refusal);
  const page = await socket(feedPath, asPage(lead));
  expect(await page.ask({ run: 'cut', columns })).toEqual(refusal);
});

it.each([
  ['no JSON', '{'],
  ['rows before the run', { from: 0, rows: ['0,5'] }],
  ['a run without columns', { run: 'x' }],
  ['a row with a break', { run: 'y', columns: 'at_ms\nspeed' }],
])('sends a car away that says %s', async (_, what) => {
  const { ask, closed } = await socket(feedPath, asCar());
  expect(await ask(what)).toEqual({ error: expect.any(String) });
  expect(await closed).toBe(1008);
});

it('belongs to the learner of the mock test it was driven on, and goes with it', async () => {
  const learner = { name: 'Ada', transmission: 'manual', standardId: 'timed-yard' };
  const { id: learnerId } = (await lead.send<LearnerView>('POST', '/api/learners', learner)).body;
  const run = { id: 'own', name: 'Own', source: 'file', standardId: 'timed-yard', columns, learnerId };
  expect((await lead.send('POST', '/api/yard/runs', run)).status).toBe(201);
  expect((await lead.send('POST', '/api/yard/runs', { ...run, columns: 'at_ms' })).status).toBe(409);
  const page = await socket(feedPath, asPage(lead));
  await page.ask({ run: 'own', columns });
  await page.ask({ from: 0, rows: rowsOf(0, 5) });
  const file = await fetch(`${server.address}/api/yard/runs/own/file`, { headers: { cookie: lead.cookie() } });
  expect(await file.text()).toBe(`${[columns, ...rowsOf(0, 5)].join('\r\n')}\r\n`);
  await lead.send('POST', `/api/learners/${learnerId}/erase`, { name: 'Ada' });
  const runs = (await lead.send<readonly YardRunView[]>('GET', '/api/yard/runs')).body;
  expect(runs.map(({ id }) => id)).not.toContain('own');
});

it('takes no code in the clear where everything else travels by https', async () => {
  const own = await startTestServer(undefined, { secureCookies: true, proxies: 1 });
  const at = own.address;
  await expect(socket(feedPath, asCar(), at)).rejects.toThrow('421');
  await expect(socket(feedPath, { ...asCar(), 'x-forwarded-proto': 'https' }, at)).rejects.toThrow('401');
  await own.remove();
});

it('ends a run that grows beyond all bounds', async () => {
  const car = await socket(feedPath, asCar());
  await car.ask({ run: 'long', columns });
  await server.db.updateTable('yard_runs').set({ samples: 149_999 }).where('id', '=', 'long').execute();
  expect(await car.ask({ from: 149_999, rows: rowsOf(0, 1) })).toEqual({ have: 150_000 });
  expect(await car.ask({ from: 150_000, rows: rowsOf(0, 1) })).toEqual({ error: expect.stringContaining('150000') });
  expect(await car.closed).toBe(1008);
});
