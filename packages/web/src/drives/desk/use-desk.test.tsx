import 'fake-indexeddb/auto';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, renderHook, waitFor } from '@testing-library/react';
import { settingsChanged } from '../../base/settings';
import { store } from '../../base/store';
import { AdasPage } from '../../base/testing-page';
import { personLeft } from '../../base/person';
import { startDrive } from '../log/append';
import { cellCounts } from '../log/folded';
import { deskOpened, settlingChosen } from './desk-slice';
import { giveReceipt } from './receipts';
import { useDesk } from './use-desk';

jest.mock('./receipts', () => ({ giveReceipt: jest.fn() }));
const given = jest.mocked(giveReceipt);

const input = { schoolId: 's', learnerId: 'l', learnerName: 'Ola', number: 1, standard: tally, past: [] };
const eventsOf = (driveId: string) => store.getState().driveLogs.open[driveId]!.events;

/** The desk of a drive that has just begun. */
async function desk(phase: 'running' | 'ended' = 'running') {
  const driveId = await store.dispatch(startDrive(input, 'ada', false, []));
  const hook = renderHook(() => useDesk(driveId, tally, phase), { wrapper: AdasPage });
  return { driveId, ...hook };
}

beforeEach(() => {
  store.dispatch(personLeft());
  store.dispatch(deskOpened());
  store.dispatch(settingsChanged({ receipts: true }));
  given.mockClear();
});

it('a mark goes into the log at once, with its receipt on the screen and for the ear', async () => {
  const { driveId, result } = await desk();
  act(() => result.current.mark('signs.lights', 'driving'));
  expect(eventsOf(driveId).at(-1)).toMatchObject({ type: 'mark', item: 'signs.lights', grade: 'driving', by: 'ada' });
  expect(store.getState().desk.receipt).toMatch(/^Driving fault: signs and lights, traffic lights, at 0:0\d$/);
  expect(given.mock.calls).toEqual([['taken']]);
});

it('what was done last is undone, and sounds lower', async () => {
  const { driveId, result } = await desk();
  act(() => result.current.mark('signs.lights', 'driving'));
  act(() => result.current.undo());
  expect(eventsOf(driveId).at(-1)).toMatchObject({ type: 'strike', undo: true, because: 'undone' });
  expect(foldDrive(eventsOf(driveId)).marks[0]?.struck).toBeDefined();
  expect(store.getState().desk.receipt).toBe('Undone: fault');
  act(() => result.current.undo());
  expect(store.getState().desk.receipt).toBe('Nothing to undo');
  expect(given.mock.calls).toEqual([['taken'], ['undone'], ['undone']]);
});

it('is silent where the device is set so', async () => {
  store.dispatch(settingsChanged({ receipts: false }));
  const { result } = await desk();
  act(() => result.current.mark('signs.lights', 'driving'));
  act(() => result.current.undo());
  expect(given).not.toHaveBeenCalled();
  expect(store.getState().desk.receipt).toBe('Undone: fault');
});

it('offers the same actions from mark to mark, so that little is drawn anew', async () => {
  const { result, rerender } = await desk();
  const before = result.current;
  act(() => result.current.mark('signs.lights', 'driving'));
  rerender();
  expect(result.current).toBe(before);
  act(() => void store.dispatch(settingsChanged({ receipts: false })));
  await waitFor(() => expect(result.current).not.toBe(before));
});

it('takes no mark once the test has ended, but for a pin that is being settled', async () => {
  const { driveId, result } = await desk('ended');
  const before = eventsOf(driveId).length;
  act(() => result.current.mark('signs.lights', 'driving'));
  expect(eventsOf(driveId)).toHaveLength(before);
  act(() => void store.dispatch(settlingChosen('p')));
  expect(result.current.canMark).toBe(true);
  act(() => result.current.mark('signs.lights', 'driving'));
  expect(eventsOf(driveId).at(-1)).toMatchObject({ type: 'mark', pin: 'p' });
});

it('counts what stands by item and grade, removed faults left out', () => {
  const drive = foldDrive(
    logOf([
      [0, start()],
      [1, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'a'],
      [2, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'b'],
      [3, { type: 'mark', item: 'signs.lights', grade: 'serious' }, 'c'],
      [4, { type: 'strike', target: 'b', because: 'misread' }],
    ]),
  );
  expect([...cellCounts(drive)]).toEqual([
    ['signs.lights driving', 1],
    ['signs.lights serious', 1],
  ]);
});
