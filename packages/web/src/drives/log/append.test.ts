import 'fake-indexeddb/auto';
import type { EventBody } from '@jasperwren/core/drive/event';
import { tally } from '@jasperwren/core/marking/testing-standards';
import fc from 'fast-check';
import { deviceDb } from '../../base/device/device-db';
import { laneOfDrive } from '../../base/device/lanes';
import { entriesOf } from '../../base/outbox/entries';
import { personLeft } from '../../base/person';
import { store } from '../../base/store';
import { append, startDrive } from './append';
import { readDrive } from './device-log';

const input = { schoolId: 's', learnerId: 'l', learnerName: 'Ada', number: 1, standard: tally, past: [] };
const begin = (briefing = false, helpers: readonly string[] = []) =>
  store.dispatch(startDrive(input, 'ada', briefing, helpers));
const eventsOf = (driveId: string) => store.getState().driveLogs.open[driveId]!.events;
const pin: EventBody = { type: 'pin' };

// A device that promises nothing about its storage.
beforeAll(() => void Object.assign(globalThis, { navigator: {} }));
beforeEach(async () => {
  store.dispatch(personLeft());
  await Promise.all(deviceDb.tables.map((table) => table.clear()));
});
afterEach(() => jest.restoreAllMocks());

describe('a drive that begins on this device', () => {
  it('says under which version of which standard, by whom, and who helps', async () => {
    const driveId = await begin(true, ['bo']);
    expect(eventsOf(driveId)).toMatchObject([
      {
        type: 'started',
        by: 'ada',
        seq: 0,
        atMs: 0,
        learnerId: 'l',
        standard: { id: tally.id, version: tally.version },
        briefing: true,
        helpers: ['bo'],
      },
    ]);
  });

  it('leaves out what does not hold', async () => {
    const [started] = eventsOf(await begin());
    expect(started).not.toHaveProperty('briefing');
    expect(started).not.toHaveProperty('helpers');
  });

  it('stands still through the briefing, and starts its clock when the car moves', async () => {
    const page = jest.spyOn(performance, 'now').mockReturnValue(5_000);
    const driveId = await begin(true);
    page.mockReturnValue(6_000);
    await store.dispatch(append(driveId, { type: 'check', check: 'eyesight', result: 'done' }, 'ada'));
    page.mockReturnValue(9_000);
    await store.dispatch(append(driveId, { type: 'moved-off' }, 'ada'));
    page.mockReturnValue(9_030);
    await store.dispatch(append(driveId, pin, 'ada'));
    expect(eventsOf(driveId).map(({ atMs }) => atMs)).toEqual([0, 0, 0, 30]);
  });
});

describe('an event', () => {
  it('is on the screen before it is kept', async () => {
    const driveId = await begin();
    const writing = store.dispatch(append(driveId, pin, 'ada'));
    expect(eventsOf(driveId).at(-1)?.type).toBe('pin');
    expect((await readDrive('ada', driveId))?.events).toHaveLength(1);
    await writing;
    expect((await readDrive('ada', driveId))?.events).toHaveLength(2);
  });

  it('is kept and waits to be sent in the order in which it was made, however fast they come', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 12 }), async (n) => {
        const driveId = await begin();
        await Promise.all(Array.from({ length: n }, () => store.dispatch(append(driveId, pin, 'ada'))));
        const made = eventsOf(driveId);
        expect(made.map(({ seq }) => seq)).toEqual(made.map((_, i) => i));
        const waiting = (await entriesOf('ada')).filter(({ lane }) => lane === laneOfDrive(driveId));
        expect(waiting.map(({ id }) => id)).toEqual(made.map(({ id }) => id));
      }),
      { numRuns: 8 },
    );
  });

  it('waits to be sent all the same where the device keeps nothing, and the page says so', async () => {
    const driveId = await begin();
    jest.spyOn(deviceDb, 'transaction').mockRejectedValue(new DOMException('Denied', 'SecurityError'));
    const event = await store.dispatch(append(driveId, pin, 'ada'));
    expect(store.getState().driveLogs.storageFailed).toBe(true);
    expect((await entriesOf('ada')).map(({ id }) => id)).toContain(event!.id);
  });

  it('of a drive that is not open is not made', async () => {
    expect(await store.dispatch(append('elsewhere', pin, 'ada'))).toBeUndefined();
    expect(await entriesOf('ada')).toEqual([]);
  });
});
