import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import type { DriveMeta } from '../../base/device/device-db';
import { personLeft } from '../../base/person';
import { driveLogsReducer, driveOpened, eventAdded, eventsLearnt, eventsSent, storageRefused } from './drive-logs';

const meta: DriveMeta = {
  id: 'a',
  schoolId: 'ours',
  owner: 'ada',
  learnerId: 'learner',
  learnerName: 'Ada',
  number: 1,
  standard: tally,
  past: [],
};
const [first, second, third] = fullTest([]);
const after = (...actions: Parameters<typeof driveLogsReducer>[1][]) =>
  actions.reduce((state, action) => driveLogsReducer(state, action), driveLogsReducer(undefined, { type: 'begun' }));
const opened = driveOpened({ meta, events: [first!], unsent: [first!.id] });

describe('the drives open on a page', () => {
  it('hold what was marked, and what the server has not got', () => {
    const state = after(opened, eventAdded({ driveId: 'a', event: second! }));
    expect(state.open['a']?.events).toEqual([first, second]);
    expect(state.open['a']?.unsent).toEqual([first!.id, second!.id]);
    expect(driveLogsReducer(state, eventsSent({ driveId: 'a', ids: [first!.id] })).open['a']?.unsent).toEqual([
      second!.id,
    ]);
  });

  it('learn each event of the server once', () => {
    const state = after(opened, eventsLearnt({ driveId: 'a', events: [first!, third!], onServer: true }));
    expect(state.open['a']?.events).toEqual([first, third]);
    expect(driveLogsReducer(state, eventsLearnt({ driveId: 'a', events: [third!], onServer: true }))).toBe(state);
  });

  it('take for sent what the server has, and for unsent what another tab wrote', () => {
    const told = after(opened, eventsLearnt({ driveId: 'a', events: [second!], onServer: false }));
    expect(told.open['a']?.unsent).toEqual([first!.id, second!.id]);
    const sent = driveLogsReducer(told, eventsLearnt({ driveId: 'a', events: [first!, second!], onServer: true }));
    expect(sent.open['a']?.unsent).toEqual([]);
    expect(sent.open['a']?.events).toEqual([first, second]);
  });

  it('do not mind news of drives that are not open', () => {
    const state = after(opened);
    expect(driveLogsReducer(state, eventAdded({ driveId: 'b', event: second! }))).toBe(state);
    expect(driveLogsReducer(state, eventsSent({ driveId: 'b', ids: ['x'] }))).toBe(state);
    expect(driveLogsReducer(state, eventsLearnt({ driveId: 'b', events: [second!], onServer: true }))).toBe(state);
  });

  it('remember a storage that refused, and forget everything with a sign-out', () => {
    const refused = after(opened, storageRefused());
    expect(refused.storageFailed).toBe(true);
    expect(driveLogsReducer(refused, personLeft())).toEqual({ open: {}, storageFailed: false });
  });
});
