import type { AccessCode } from '@jasperwren/contract/access';
import type { SessionView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { RouteView } from '@jasperwren/contract/driving-routes';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import type { NewShare } from '@jasperwren/contract/shares';
import { fullTest, logOf } from '@jasperwren/core/drive/testing';
import { addRoads, startTwoSchools, testClient } from '../testing';

/** What belongs to the school alone: none of it may stand in anything that a learner or a link gets. */
const words = ['tablet-of-lead', 'kept-to-ourselves', 'was-it-you', 'struck-for-this', 'answered-and-weighed'];

it('a learner, and whoever has a link, get no account, no device and no word that was not for them', async () => {
  const { server, first: lead } = await startTwoSchools();
  const { account } = (await lead.send<SessionView>('GET', '/api/session')).body;
  const learner = { name: 'Given Away', transmission: 'manual', standardId: 'tally', notes: words[1] };
  const { id: learnerId } = (await lead.send<LearnerView>('POST', '/api/learners', learner)).body;
  const [driveId, other] = ['given', 'helping-account'];
  const events = [
    ...fullTest([
      { type: 'mark', item: 'signs.lights', grade: 'driving' },
      { type: 'mark', item: 'speed.limit', grade: 'serious' },
      { type: 'note', text: words[1]!, private: true },
    ]).map((event) => (event.type === 'started' ? { ...event, learnerId, helpers: [other] } : event)),
    ...logOf([
      [40.1, { type: 'note', target: 'e1', text: words[2]! }, 'n1'],
      [40.2, { type: 'strike', target: 'e1', reason: words[3]! }, 'n2'],
      [40.3, { type: 'advice', target: 'e0', answers: {}, proposed: words[4]! }, 'n3'],
    ]),
  ].map((event) => ({ ...event, device: words[0]! }));
  expect((await lead.send('POST', `/api/drives/${driveId}/events`, { events })).status).toBe(200);
  // The road lies in the middle of an ocean; it is driven in two minutes from the start on.
  await addRoads(server, lead);
  const fixes = Array.from({ length: 120 }, (_, i) => [
    Date.UTC(2026, 4, 4, 9, 0) + i * 1000,
    48,
    -30 + (0.002 * i) / 120,
    5,
    -1,
  ]);
  await lead.send('POST', `/api/drives/${driveId}/fixes`, { pieces: [{ id: 'p', source: 'device', fixes }] });
  const [roads] = (await lead.send<{ id: string }[]>('GET', '/api/roads')).body;
  const stops = [48, 48].map((lat, i) => ({ lat, lon: -30 + i * 0.002, mode: 'directions' }));
  const route = { name: 'Harbour', roadsId: roads!.id, stops, places: [] };
  const { id: routeId } = (await lead.send<RouteView>('POST', '/api/routes', route)).body;
  const share = (await lead.send<NewShare>('POST', `/api/drives/${driveId}/shares`, { days: 7 })).body;
  const routeShare = (await lead.send<NewShare>('POST', `/api/routes/${routeId}/shares`, { days: 7 })).body;
  const { code } = (await lead.send<AccessCode>('POST', `/api/learners/${learnerId}/access`, { kind: 'code' })).body;
  const own = testClient(server.address);
  await own.takeToken('POST', '/api/me/session', { code });
  await server.settled();

  const tokens: Readonly<Record<string, string>> = { sharedRoute: routeShare.path };
  let answered = 0;
  for (const name of routeNames) {
    const { method, path, who } = routeOf(name);
    if (method !== 'GET' || (who !== 'learner' && who !== 'anybody')) continue;
    const token = (tokens[name] ?? share.path).split('/').at(-1)!;
    const address = path.replace(':token', token).replace(':shareId', share.id).replace(':routeId', routeId);
    const client = who === 'learner' ? own : testClient(server.address);
    const { status, body } = await client.send(method, address);
    if (status === 200) answered += 1;
    const text = JSON.stringify(body);
    for (const word of [...words, account.id, other, 'lead@first.example', 'Lead of first'])
      expect([name, text.includes(word)]).toEqual([name, false]);
  }
  expect(answered).toBeGreaterThan(8);
  await server.remove();
});
