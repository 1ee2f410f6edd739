import type { SessionView } from '@jasperwren/contract/accounts';
import type { DriveSummary, DriveView, EventReceipt } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { NewShare } from '@jasperwren/contract/shares';
import { forLearner, isFinal } from '@jasperwren/core/debrief/for-learner';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { fullTest } from '@jasperwren/core/drive/testing';
import { anyLog, secretWord } from '@jasperwren/core/drive/testing-arbitraries';
import { parseDriveRecords } from '@jasperwren/core/formats/drive-record';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { tally } from '@jasperwren/core/marking/testing-standards';
import fc from 'fast-check';
import { startTwoSchools, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let client: TestClient;
let learnerId: string;
let accountId: string;

beforeAll(async () => {
  const started = await startTwoSchools();
  ({ server, first: client } = started);
  accountId = (await client.send<SessionView>('GET', '/api/session')).body.account.id;
  learnerId = (
    await client.send<LearnerView>('POST', '/api/learners', {
      name: 'Any Learner',
      transmission: 'manual',
      standardId: 'tally',
    })
  ).body.id;
});
afterAll(() => server.remove());

/** A log of the learner, cut into batches as bad roads would: out of order, some of them sent again. */
const anySending = anyLog
  // Who recorded an event is who sends it.
  .map((log) =>
    log.map((event): DriveEvent => ({ ...event, by: accountId, ...(event.type === 'started' && { learnerId }) })),
  )
  .chain((log) =>
    fc.record({
      log: fc.constant(log),
      batches: fc
        .tuple(fc.shuffledSubarray(log.slice(1), { minLength: log.length - 1 }), fc.integer({ min: 1, max: 7 }))
        .map(([rest, size]) => {
          const batches: DriveEvent[][] = [[log[0]!]];
          for (let i = 0; i < rest.length; i += size) batches.push(rest.slice(i, i + size));
          return batches;
        }),
      again: fc.array(fc.nat(20), { maxLength: 4 }),
    }),
  );

let drives = 0;
async function sendAll(batches: readonly (readonly DriveEvent[])[], together: boolean): Promise<string> {
  const id = `any-${drives++}`;
  const send = async (events: readonly DriveEvent[]) => {
    const { status, body } = await client.send<EventReceipt>('POST', `/api/drives/${id}/events`, { events });
    expect(status).toBe(200);
    expect(body.accepted).toEqual(events.map((event) => event.id));
  };
  const [first, ...rest] = batches;
  await send(first!);
  if (together) await Promise.all(rest.map(send));
  else for (const batch of rest) await send(batch);
  return id;
}
const get = async <T>(path: string) => {
  const { status, body } = await client.send<T>('GET', path);
  expect([path, status]).toEqual([path, 200]);
  return body;
};
const byId = (events: readonly DriveEvent[]) => [...events].sort((a, b) => (a.id < b.id ? -1 : 1));

describe('any drive, sent in any order', () => {
  it.each([false, true])(
    'is kept whole, each event once, and judged as on the device; all at once: %s',
    async (together) => {
      await fc.assert(
        fc.asyncProperty(anySending, async ({ log, batches, again }) => {
          const id = await sendAll([...batches, ...again.map((i) => batches[i % batches.length]!)], together);
          const { events, summary } = await get<DriveView>(`/api/drives/${id}`);
          expect(byId(events)).toEqual(byId(log));
          const drive = foldDrive(log);
          expect(summary.phase).toBe(drive.phase);
          expect(summary.outcome).toBe(judgeDrive(tally, drive).outcome);
          expect(summary.unsettledPins).toBe(drive.pins.filter(({ state }) => state === 'unsettled').length);
          const listed = await get<readonly DriveSummary[]>(`/api/learners/${learnerId}/drives`);
          expect(listed.find((one) => one.id === id)).toEqual(summary);
        }),
        { numRuns: 12 },
      );
    },
  );

  it('refuses an event whose id stands for another, in one batch or later, and takes nothing of it', async () => {
    const log = fullTest([{ type: 'pin' }, { type: 'prompt' }]).map((event): DriveEvent =>
      event.type === 'started' ? { ...event, learnerId } : event,
    );
    const id = await sendAll([log], false);
    const [, , , pin] = log;
    const other = { ...pin!, atMs: 7 } as DriveEvent;
    const later = await client.send(`POST`, `/api/drives/${id}/events`, {
      events: [{ ...pin!, id: 'new' }, other],
    });
    expect(later).toMatchObject({
      status: 409,
      body: {
        error: {
          code: 'event-conflict',
          message: expect.stringContaining('Event 1 of the batch has the id of one that is known'),
        },
      },
    });
    const together = await client.send('POST', `/api/drives/${id}-b/events`, { events: [...log, other] });
    expect(together).toMatchObject({
      status: 409,
      body: { error: { message: expect.stringContaining('event 3') } },
    });
    // The same content in another order of fields is the same event.
    const turned = Object.fromEntries(Object.entries(pin!).reverse());
    expect((await client.send('POST', `/api/drives/${id}/events`, { events: [turned] })).status).toBe(200);
    expect((await get<DriveView>(`/api/drives/${id}`)).events).toHaveLength(log.length);
  });

  it('is not judged, and says nothing of the learner, where it names what its standard does not have', async () => {
    const log = fullTest([{ type: 'mark', item: 'moon.landing', grade: 'driving' }]).map((event): DriveEvent =>
      event.type === 'started' ? { ...event, learnerId } : event,
    );
    const { summary } = await get<DriveView>(`/api/drives/${await sendAll([log], false)}`);
    expect(summary).toMatchObject({
      outcome: 'incomplete',
      detail: { missing: [{ kind: 'not-judged', references: [{ kind: 'item', code: 'moon.landing' }] }] },
    });
    expect(summary.evidence).toBeUndefined();
  });

  it('leaves as a record that reads back to the same verdict, without a private word', async () => {
    await fc.assert(
      fc.asyncProperty(anySending, async ({ log, batches }) => {
        const id = await sendAll(batches, false);
        const record = JSON.stringify(await get(`/api/drives/${id}/record`));
        expect(record).not.toContain(secretWord);
        const parsed = parseDriveRecords(record);
        if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
        const outcome = judgeDrive(tally, foldDrive(parsed.value[0]!.events)).outcome;
        expect(outcome).toBe(judgeDrive(tally, foldDrive(log)).outcome);
      }),
      { numRuns: 12 },
    );
  });

  it('is shared only when it is final, and then without a private word, a name or an account', async () => {
    let shared = 0;
    await fc.assert(
      fc.asyncProperty(anySending, async ({ log, batches }) => {
        const id = await sendAll(batches, false);
        const { status, body } = await client.send<NewShare>('POST', `/api/drives/${id}/shares`, { days: 1 });
        expect(status).toBe(isFinal(foldDrive(log)) ? 201 : 409);
        if (status !== 201) return;
        shared++;
        const seen = JSON.stringify(await get(`/api${body.path}`));
        for (const word of [secretWord, 'Any Learner', learnerId, '"instructor"', '"front"'])
          expect(seen).not.toContain(word);
        for (const { id: mark } of forLearner(foldDrive(log)).marks) expect(seen).toContain(`"${mark}"`);
      }),
      { numRuns: 40 },
    );
    // A run in which nothing was ever final would prove nothing.
    expect(shared).toBeGreaterThan(0);
  });
});
