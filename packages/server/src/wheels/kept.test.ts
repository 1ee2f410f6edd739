import type { KeptView } from '@jasperwren/contract/wheels';
import { layOut } from '@jasperwren/motion/layout/exercises';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { startTwoSchools, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());

const keep = (client: TestClient, id: string, kind: string, name: string, body: unknown) =>
  client.send<KeptView>('POST', '/api/wheels/kept', { id, kind, name, body: JSON.stringify(body) });
const kept = async (client: TestClient) =>
  (await client.send<readonly KeptView[]>('GET', '/api/wheels/kept')).body.map(({ id, name }) => [id, name]);

it('keeps vehicles, grounds and questions by name, for the school alone', async () => {
  const layout = layOut({ code: 'parallel', side: 'left', space: {} }, vehicleClasses.car);
  expect((await keep(first, 'van', 'vehicle', 'Our van', { vehicle: 'van', measures: { lockDeg: 35 } })).status).toBe(
    201,
  );
  expect((await keep(first, 'yard', 'ground', 'Behind the hall', layout)).body.body).toEqual(
    JSON.parse(JSON.stringify(layout)),
  );
  await keep(first, 'q', 'question', 'Bay in the van', { vehicle: 'van', exercise: 'bay-reverse' });
  expect(await kept(first)).toEqual([
    ['q', 'Bay in the van'],
    ['yard', 'Behind the hall'],
    ['van', 'Our van'],
  ]);
  expect(await kept(second)).toEqual([]);
});

it('replaces what stands under an id, and deletes it once', async () => {
  await keep(second, 'a', 'vehicle', 'Old', { vehicle: 'car' });
  await keep(second, 'a', 'vehicle', 'New', { vehicle: 'van' });
  expect(await kept(second)).toEqual([['a', 'New']]);
  expect((await second.send('DELETE', '/api/wheels/kept/a')).status).toBe(204);
  expect((await second.send('DELETE', '/api/wheels/kept/a')).status).toBe(404);
  expect(await kept(second)).toEqual([]);
});

it.each([
  ['vehicle', { vehicle: 'tank' }],
  ['vehicle', { vehicle: 'car', measures: { wheelbaseM: 40 } }],
  ['ground', { markers: [] }],
  ['question', { vehicle: 'car', exercise: 'parallel', space: { gapM: 1 } }],
  ['house', {}],
])('refuses a %s that cannot be computed with', async (kind, body) => {
  expect((await keep(first, 'bad', kind, 'Bad', body)).status).toBe(422);
  expect((await first.send('POST', '/api/wheels/kept', { id: 'bad', kind, name: 'Bad', body: '{' })).status).toBe(422);
  expect((await kept(first)).some(([id]) => id === 'bad')).toBe(false);
});
