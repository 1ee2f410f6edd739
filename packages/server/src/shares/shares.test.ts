import type { LearnerView } from '@jasperwren/contract/learners';
import type { NewShare, SharedDebrief, ShareView } from '@jasperwren/contract/shares';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { fullTest } from '@jasperwren/core/drive/testing';
import { startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;
const stranger = () => testClient(server.address);

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());

let drives = 0;
async function newDrive(change: (events: readonly DriveEvent[]) => readonly DriveEvent[] = (all) => all) {
  const { body } = await first.send<LearnerView>('POST', '/api/learners', {
    name: 'Bram Someone',
    transmission: 'manual',
    standardId: 'tally',
  });
  const id = `shared-${drives++}`;
  const events = fullTest([
    { type: 'mark', item: 'signs.lights', grade: 'driving' },
    { type: 'note', text: 'Rain', private: false },
    { type: 'note', text: 'Only for us', private: true },
  ]).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId: body.id } : event),
    id: `${id}${event.id}`,
  }));
  expect((await first.send('POST', `/api/drives/${id}/events`, { events: change(events) })).status).toBe(200);
  return id;
}
const share = (driveId: string, days: unknown = 14, client = first) =>
  client.send<NewShare>('POST', `/api/drives/${driveId}/shares`, { days });
const tokenOf = (made: NewShare) => made.path.replace('/shared/', '');
const read = (token: string) => stranger().send<SharedDebrief>('GET', `/api/shared/${token}`);

describe('a link to a debrief', () => {
  it('is read without a sign-in and shows nothing private', async () => {
    const driveId = await newDrive();
    const { body: made } = await share(driveId);
    const { status, body, headers } = await read(tokenOf(made));
    expect(status).toBe(200);
    expect(headers.get('x-robots-tag')).toBe('noindex');
    expect(body).toMatchObject({ firstName: 'Bram', school: 'first' });
    expect(body.drive.marks).toHaveLength(1);
    const text = JSON.stringify(body);
    expect(text).toContain('Rain');
    for (const word of ['Only for us', 'Someone', 'Lead of first']) expect(text).not.toContain(word);
  });

  it('ends when it is taken back, and when its days are over', async () => {
    const driveId = await newDrive();
    const { body: made } = await share(driveId);
    expect((await first.send('DELETE', `/api/drives/${driveId}/shares/${made.id}`)).status).toBe(204);
    expect((await read(tokenOf(made))).status).toBe(404);
    expect((await first.send('DELETE', `/api/drives/${driveId}/shares/${made.id}`)).status).toBe(404);

    const { body: other } = await share(driveId, 1);
    expect((await read(tokenOf(other))).status).toBe(200);
    await server.db
      .updateTable('shares')
      .set({ expires_at: '2026-01-01T00:00:00.000Z' })
      .where('id', '=', other.id)
      .execute();
    expect((await read(tokenOf(other))).status).toBe(404);
    const { body: all } = await first.send<ShareView[]>('GET', `/api/drives/${driveId}/shares`);
    expect(all).toHaveLength(2);
    expect(all.filter(({ revokedAt }) => revokedAt)).toHaveLength(1);
  });

  it('cannot be read out of the database', async () => {
    const { body: made } = await share(await newDrive());
    const rows = await server.db.selectFrom('shares').selectAll().execute();
    expect(JSON.stringify(rows)).not.toContain(tokenOf(made));
  });

  it.each([0, 91, 1.5, 'long', null])('refuses %s days', async (days) => {
    expect((await share(await newDrive(), days)).status).toBe(422);
  });

  it('waits until the drive has ended', async () => {
    const driveId = await newDrive((events) => events.slice(0, -1));
    const { status, body } = await share(driveId);
    expect([status, (body as unknown as { error: { code: string } }).error.code]).toEqual([409, 'not-final']);
  });

  it('is made, seen and taken back by its own school alone', async () => {
    const driveId = await newDrive();
    const { body: made } = await share(driveId);
    expect((await share(driveId, 14, second)).status).toBe(404);
    expect((await second.send<ShareView[]>('GET', `/api/drives/${driveId}/shares`)).body).toEqual([]);
    expect((await second.send('DELETE', `/api/drives/${driveId}/shares/${made.id}`)).status).toBe(404);
    expect((await stranger().send('GET', `/api/drives/${driveId}/shares`)).status).toBe(401);
  });
});
