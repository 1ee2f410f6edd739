import 'fake-indexeddb/auto';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { api } from '../../base/api';
import { deviceDb, type DriveMeta } from '../../base/device/device-db';
import { personLeft } from '../../base/person';
import { store } from '../../base/store';
import { pretendServer } from '../../base/testing-server';
import { keepDrive, keepUnsent, readDrive } from './device-log';
import { learnFromServer, openDrive } from './open-drive';

const all = fullTest([{ type: 'pin' }, { type: 'mark', item: 'signs.lights', grade: 'driving' }]);
const meta: DriveMeta = {
  id: 'd',
  schoolId: 's',
  owner: 'ada',
  learnerId: 'l',
  learnerName: 'Ada',
  number: 3,
  standard: tally,
  past: [],
};
const summary = { id: 'd', learnerId: 'l', learnerName: 'Ada' };
const earlier = ['a', 'b', 'd', 'later'].map((id, i) => ({ id, byItem: { 'signs.lights': { driving: i } } }));

let away = false;
let known = all;
const server = pretendServer(({ path }) => {
  if (away) return new TypeError('no network');
  if (path === '/api/drives/d') return { body: { summary, standard: tally, events: known } };
  if (path.startsWith('/api/drives/d/news'))
    return { body: path.endsWith(`=${known.length}`) ? null : { events: known } };
  if (path === '/api/learners/l/drives') return { body: earlier };
  return {
    status: 404,
    body: { error: { code: 'no-drive', message: 'Mock test not found. It may have been removed.' } },
  };
});
afterAll(() => {
  store.dispatch(api.util.resetApiState());
  server.stop();
});
beforeEach(async () => {
  away = false;
  known = all;
  store.dispatch(personLeft());
  store.dispatch(api.util.resetApiState());
  server.forget();
  await Promise.all(deviceDb.tables.map((table) => table.clear()));
});

const open = (id = 'd', owner = 'ada') => store.dispatch(openDrive(id, 's', owner));
const log = () => store.getState().driveLogs.open['d'];

describe('opening a drive', () => {
  it('fetches what this device does not have, with its number and the faults of the drives before, and keeps it', async () => {
    expect(await open()).toBeUndefined();
    expect(log()?.events).toEqual(all);
    expect(log()?.unsent).toEqual([]);
    expect(log()?.meta).toMatchObject({ number: 3, owner: 'ada', past: [earlier[0]!.byItem, earlier[1]!.byItem] });
    expect((await readDrive('ada', 'd'))?.events).toHaveLength(all.length);
  });

  it('takes it from this device without a network, with what was not sent', async () => {
    await keepDrive(meta, all.slice(0, 2));
    await keepUnsent('d', { ...all[2]!, by: 'ada' });
    away = true;
    expect(await open()).toBeUndefined();
    expect(log()?.events).toHaveLength(3);
    expect(log()?.unsent).toEqual([all[2]!.id]);
  });

  it('says why it cannot: it is not there, or nothing can be reached', async () => {
    expect(await open('nowhere')).toMatchObject({ status: 404, code: 'no-drive' });
    away = true;
    expect(await open()).toMatchObject({ status: 0, code: 'unreachable' });
    expect(log()).toBeUndefined();
  });

  it('opens nothing that another person has on this device', async () => {
    await keepDrive(meta, all);
    away = true;
    expect(await open('d', 'bo')).toMatchObject({ code: 'unreachable' });
  });
});

describe('what other devices have sent', () => {
  it('is learnt once, and takes nothing away that was not sent', async () => {
    known = all.slice(0, 2);
    await open();
    known = all;
    await store.dispatch(learnFromServer('d'));
    expect(
      log()
        ?.events.map(({ id }) => id)
        .sort(),
    ).toEqual(all.map(({ id }) => id).sort());
    server.forget();
    await store.dispatch(learnFromServer('d'));
    expect(server.paths()).toEqual([`GET /api/drives/d/news?known=${all.length}`]);
    expect(log()?.events).toHaveLength(all.length);
  });

  it('changes nothing where the server is away', async () => {
    await open();
    away = true;
    await store.dispatch(learnFromServer('d'));
    expect(log()?.events).toEqual(all);
  });
});
