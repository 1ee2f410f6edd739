import type { ErrorBody } from '@jasperwren/contract/errors';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { DriveView, DriveSummary, EventReceipt } from '@jasperwren/contract/drives';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { addPerson, startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());

async function begun(id: string, client = first) {
  const learner = { name: id, transmission: 'manual', standardId: 'tally' };
  const { body } = await client.send<LearnerView>('POST', '/api/learners', learner);
  const events = logOf([[0, { ...start(), learnerId: body.id }]], id);
  expect((await client.send('POST', `/api/drives/${id}/events`, { events })).status).toBe(200);
  return id;
}
const pin = (drive: string, n: number) => logOf([[n + 1, { type: 'pin' }, `${drive}-p${n}`]], drive);
const send = (drive: string, events: readonly object[], client = first, clockMs?: number) =>
  client.send<EventReceipt & ErrorBody>('POST', `/api/drives/${drive}/events`, { events, ...(clockMs && { clockMs }) });

it('marks of many drives at one time: each is kept once, in its own drive, with its line of the trail', async () => {
  const drives = await Promise.all(Array.from({ length: 12 }, (_, i) => begun(`many-${i}`)));
  const sent = drives.flatMap((drive) => Array.from({ length: 5 }, (_, n) => [drive, n] as const));
  // Each twice, as over a network that loses answers.
  const answers = await Promise.all(
    [...sent, ...sent].map(([drive, n]) => send(drive, pin(drive, n), first, 1000 * (n + 1))),
  );
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200));
  for (const drive of drives) {
    const { events, clockMs } = (await first.send<DriveView>('GET', `/api/drives/${drive}`)).body;
    expect(
      events
        .filter(({ type }) => type === 'pin')
        .map(({ id }) => id)
        .sort(),
    ).toEqual([0, 1, 2, 3, 4].map((n) => `${drive}-p${n}`));
    expect(clockMs).toBeGreaterThanOrEqual(1000);
  }
  const { n } = await server.db
    .selectFrom('audit')
    .select((eb) => eb.fn.countAll<number>().as('n'))
    .where('action', '=', 'sendEvents')
    .where('subject', 'in', drives)
    .executeTakeFirstOrThrow();
  expect(Number(n)).toBe(12 + 120);
});

it('what is refused among them is refused alone, as by itself', async () => {
  const [own, theirs] = [await begun('own'), await begun('theirs', second)];
  await send(own, pin(own, 0));
  await addPerson(first, 'stranger@first.example');
  const stranger = testClient(server.address);
  await stranger.signIn('stranger@first.example');
  const other = { ...pin(own, 0)[0]!, atMs: 77 };
  const answers = await Promise.all([
    send(own, pin(own, 1)),
    send(own, [other]),
    send(theirs, pin(theirs, 1)),
    send('nowhere', pin('nowhere', 1)),
    send(own, pin(own, 2), stranger),
    send(theirs, pin(theirs, 2), second),
  ]);
  expect(answers.map(({ status, body }) => [status, status === 200 ? '' : body.error.code])).toEqual([
    [200, ''],
    [409, 'event-conflict'],
    [409, 'no-start'],
    [409, 'no-start'],
    [403, 'not-allowed'],
    [200, ''],
  ]);
  const idsOf = async (drive: string, client: TestClient) =>
    (await client.send<DriveView>('GET', `/api/drives/${drive}`)).body.events.map(({ id }) => id).sort();
  expect(await idsOf(own, first)).toEqual(['own-0', 'own-p0', 'own-p1']);
  expect(await idsOf(theirs, second)).toEqual(['theirs-0', 'theirs-p2']);
});

it('one id that is sent with two things at one time is kept with one of them', async () => {
  const drive = await begun('twice');
  const [event] = pin(drive, 0);
  const answers = await Promise.all([send(drive, [event!]), send(drive, [{ ...event!, atMs: 5 }])]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
});

it('lists show at once what was marked, and who may still add to a drive follows its end', async () => {
  const drive = await begun('ends');
  const mark = logOf([[2, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'ends-m']], drive);
  await send(drive, mark);
  const shown = async () =>
    (await first.send<readonly DriveSummary[]>('GET', '/api/drives')).body.find(({ id }) => id === drive);
  expect((await shown())?.byGrade).toEqual({ driving: 1 });
  await send(drive, logOf([[40, { type: 'ended', ending: 'completed' }, 'ends-e']], drive));
  await send(drive, logOf([[41, { type: 'note', text: 'Rain' }, 'ends-n']], drive));
  expect((await shown())?.phase).toBe('ended');
  const lines = await server.db.selectFrom('audit').select('detail').where('subject', '=', drive).execute();
  expect(lines.map(({ detail }) => detail)).toEqual(['1', '1', '1', 'after-end 1 note']);
});
