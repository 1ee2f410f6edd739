import 'fake-indexeddb/auto';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/templates/tally';
import {
  countUnsent,
  drivesToSend,
  forgetSentDrives,
  keepDrive,
  keepUnsent,
  keptDrives,
  markSent,
  readDrive,
  unsentEvents,
  type DriveMeta,
} from './device-log';

const metaOf = (id: string, schoolId = 'ours'): DriveMeta => ({
  id,
  schoolId,
  learnerId: 'learner',
  learnerName: 'Ada',
  number: 1,
  standard: tally,
  past: [],
});
const eventsOf = (drive: string) =>
  fullTest([{ type: 'pin' }]).map((event) => ({ ...event, id: `${drive}-${event.id}` }));

async function markHere(drive: string, schoolId?: string) {
  await keepDrive(metaOf(drive, schoolId), []);
  for (const event of eventsOf(drive)) await keepUnsent(drive, event);
}

describe('the log of the device', () => {
  it('gives back what was marked, in the order of the device, until it is sent', async () => {
    await markHere('a');
    const events = await unsentEvents('a', 3);
    expect(events.map(({ seq }) => seq)).toEqual([0, 1, 2]);
    await markSent(events.map(({ id }) => id));
    expect(await unsentEvents('a', 99)).toHaveLength(eventsOf('a').length - 3);
    const kept = await readDrive('a');
    expect(kept?.events).toHaveLength(eventsOf('a').length);
    expect(kept?.meta.learnerName).toBe('Ada');
  });

  it('does not take for sent what waits here, when the server’s events are kept beside it', async () => {
    await markHere('b');
    await keepDrive(metaOf('b'), eventsOf('b').slice(0, 2));
    expect(await unsentEvents('b', 99)).toHaveLength(eventsOf('b').length);
  });

  it('sends for one school only what is that school’s', async () => {
    await markHere('theirs', 'another');
    expect(await drivesToSend('ours')).not.toContain('theirs');
    expect(await drivesToSend('another')).toEqual(['theirs']);
    expect((await keptDrives('another')).map(({ meta }) => meta.id)).toEqual(['theirs']);
  });

  it('forgets what the server has, and nothing else', async () => {
    await keepDrive(metaOf('done'), eventsOf('done'));
    const waiting = await countUnsent();
    await forgetSentDrives();
    expect(await readDrive('done')).toBeUndefined();
    expect(await readDrive('theirs')).toBeDefined();
    expect(await countUnsent()).toBe(waiting);
  });
});
