import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { deviceDb, type DriveMeta } from '../../base/device/device-db';
import { entriesOf, nextOf, takeOut } from '../../base/outbox/entries';
import { forgetErased, forgetSent } from '../../base/device/forget';
import { laneOfDrive, laneOfReviews } from '../../base/device/lanes';
import { keepDrive, keepUnsent, keptDrives, readDrive, sentAmong } from './device-log';

const metaOf = (id: string, owner = 'ada', learnerId = 'learner'): DriveMeta => ({
  id,
  schoolId: 'ours',
  owner,
  learnerId,
  learnerName: 'Ada',
  number: 1,
  standard: tally,
  past: [],
});
const eventsOf = (drive: string, by = 'ada') =>
  fullTest([{ type: 'pin' }]).map((event) => ({ ...event, by, id: `${drive}-${event.id}` }));

async function markHere(drive: string, owner = 'ada', learnerId = 'learner') {
  await keepDrive(metaOf(drive, owner, learnerId), []);
  for (const event of eventsOf(drive, owner)) await keepUnsent(drive, event);
}
const waiting = async (drive: string, owner = 'ada') =>
  (await nextOf(owner, laneOfDrive(drive), 999)).map(({ id }) => id);

beforeEach(async () => {
  await Promise.all(deviceDb.tables.map((table) => table.clear()));
});

describe('the log of the device', () => {
  it('gives back what was marked, in the order of the device, until it is sent', async () => {
    await markHere('a');
    expect(await waiting('a')).toEqual(eventsOf('a').map(({ id }) => id));
    const first = (await waiting('a')).slice(0, 3);
    await takeOut(first);
    expect(await waiting('a')).toHaveLength(eventsOf('a').length - 3);
    expect(await sentAmong((await readDrive('ada', 'a'))!.events.map(({ id }) => id))).toEqual(first.sort());
    const kept = await readDrive('ada', 'a');
    expect(kept?.events).toHaveLength(eventsOf('a').length);
    expect(kept?.unsent).toHaveLength(eventsOf('a').length - 3);
    expect(kept?.meta.learnerName).toBe('Ada');
  });

  it('does not take for sent what waits here, when the server’s events are kept beside it', async () => {
    await markHere('b');
    await keepDrive(metaOf('b'), eventsOf('b').slice(0, 2));
    expect(await waiting('b')).toHaveLength(eventsOf('b').length);
  });

  it('shows and sends nobody’s drives but those of whoever is signed in', async () => {
    await markHere('theirs', 'bo');
    expect(await readDrive('ada', 'theirs')).toBeUndefined();
    expect(await keptDrives('ada')).toEqual([]);
    expect(await entriesOf('ada')).toEqual([]);
    expect((await keptDrives('bo')).map(({ meta }) => meta.id)).toEqual(['theirs']);
  });

  it('forgets what the server has, of everybody, and nothing else', async () => {
    await markHere('theirs', 'bo');
    await keepDrive(metaOf('done'), eventsOf('done'));
    await forgetSent();
    expect(await readDrive('ada', 'done')).toBeUndefined();
    expect(await readDrive('bo', 'theirs')).toBeDefined();
    expect(await waiting('theirs', 'bo')).toHaveLength(eventsOf('theirs').length);
  });

  it('forgets a learner who was erased, with what still waited, and nobody else', async () => {
    await markHere('gone', 'ada', 'erased');
    await markHere('stays');
    await deviceDb.reviews.add({ id: 'r', lane: laneOfReviews('erased'), review: {} as never });
    await forgetErased(['erased'], []);
    expect(await readDrive('ada', 'gone')).toBeUndefined();
    expect(await waiting('gone')).toEqual([]);
    expect(await deviceDb.reviews.count()).toBe(0);
    expect(JSON.stringify(await deviceDb.events.toArray())).not.toContain('gone');
    expect(await waiting('stays')).toHaveLength(eventsOf('stays').length);
  });
});

describe('the database of an older release', () => {
  it('brings what was not sent into the outbox', async () => {
    deviceDb.close();
    await Dexie.delete('jasperwren');
    const old = new Dexie('jasperwren');
    old.version(1).stores({ drives: 'id', events: 'id, driveId, [driveId+sent], sent' });
    const [start, ...rest] = eventsOf('old');
    await old
      .table('events')
      .bulkAdd([
        { id: start!.id, driveId: 'old', event: start, sent: 1 },
        ...rest.map((event) => ({ id: event.id, driveId: 'old', event, sent: 0 })).reverse(),
      ]);
    old.close();
    await deviceDb.open();
    expect(await waiting('old')).toEqual(rest.map(({ id }) => id));
  });
});
