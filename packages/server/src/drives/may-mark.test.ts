import type { DriveView } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { fullTest } from '@jasperwren/core/drive/testing';
import { addPerson, startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let lead: TestClient;
let marker: TestClient;
let helper: TestClient;
let stranger: TestClient;
let ids: Record<'marker' | 'helper', string>;

beforeAll(async () => {
  ({ server, first: lead } = await startTwoSchools());
  const signedIn = async (email: string) => {
    const { id } = await addPerson(lead, email);
    const own = testClient(server.address);
    await own.signIn(email);
    return [id, own] as const;
  };
  const [markerId, m] = await signedIn('marker@first.example');
  const [helperId, h] = await signedIn('helper@first.example');
  const [, s] = await signedIn('stranger@first.example');
  [marker, helper, stranger] = [m, h, s];
  ids = { marker: markerId, helper: helperId };
});
afterAll(() => server.remove());

let drives = 0;
/** A drive of the marker with the helper named, whole or still under way. */
async function driveWith(ended: boolean) {
  const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally' };
  const { body } = await marker.send<LearnerView>('POST', '/api/learners', learner);
  const id = `may-${drives++}`;
  const all = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]).map((event): DriveEvent => ({
    ...event,
    id: `${id}-${event.id}`,
    // Whatever a device says: who recorded it is who sends it.
    by: 'somebody else',
    ...(event.type === 'started' && { learnerId: body.id, helpers: [ids.helper] }),
  }));
  const events = ended ? all : all.slice(0, -1);
  expect((await marker.send('POST', `/api/drives/${id}/events`, { events })).status).toBe(200);
  await server.settled();
  return { id, events };
}
const pin = (id: string, atMs: number, device = 'other') =>
  ({ type: 'pin', id, device, seq: 0, atMs, wall: '2026-05-04T09:10:00.000Z', by: 'x' }) as const;
const send = async (client: TestClient, id: string, events: readonly object[]) =>
  (await client.send('POST', `/api/drives/${id}/events`, { events })).status;

describe('who may mark a drive', () => {
  it('is whoever started it, the leads, and the helpers named at its start; and the log says who it was', async () => {
    const { id } = await driveWith(false);
    expect(await send(stranger, id, [pin(`${id}-s`, 1000)])).toBe(403);
    expect(await send(helper, id, [pin(`${id}-h`, 1000)])).toBe(200);
    expect(await send(lead, id, [pin(`${id}-l`, 1000, 'desk')])).toBe(200);
    const { events } = (await lead.send<DriveView>('GET', `/api/drives/${id}`)).body;
    const by = new Map(events.map((event) => [event.id, event.by]));
    expect(by.get(`${id}-h`)).toBe(ids.helper);
    expect([...new Set(events.filter(({ type }) => type !== 'pin').map((event) => event.by))]).toEqual([ids.marker]);
    expect(events.some((event) => event.id === `${id}-s`)).toBe(false);
  });

  it('is still a helper for what came before the end, sent late, and for nothing after it', async () => {
    const { id } = await driveWith(true);
    expect(await send(helper, id, [pin(`${id}-before`, 1000)])).toBe(200);
    const { events } = (await lead.send<DriveView>('GET', `/api/drives/${id}`)).body;
    const end = events.find(({ type }) => type === 'ended')!.atMs;
    expect(await send(helper, id, [pin(`${id}-at-end`, end)])).toBe(200);
    expect(await send(helper, id, [pin(`${id}-just-after`, end + 1)])).toBe(403);
    expect(await send(helper, id, [pin(`${id}-after`, 9_000_000)])).toBe(403);
    expect(await send(marker, id, [pin(`${id}-own`, 9_000_000, 'mine')])).toBe(200);
    expect(await send(lead, id, [pin(`${id}-lead`, 9_000_000, 'desk')])).toBe(200);
  });

  it('takes what another passes on of the same log for what it is, and nothing twice', async () => {
    const { id, events } = await driveWith(false);
    expect(await send(lead, id, events)).toBe(200);
    const { body } = await lead.send<DriveView>('GET', `/api/drives/${id}`);
    expect(body.events).toHaveLength(events.length);
    expect(body.events.every((event) => event.by === ids.marker)).toBe(true);
  });
});
