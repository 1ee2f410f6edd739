import 'fake-indexeddb/auto';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, renderHook, waitFor } from '@testing-library/react';
import { deviceDb } from '../../base/device/device-db';
import { personLeft } from '../../base/person';
import { store } from '../../base/store';
import { AdasPage } from '../../base/testing-page';
import { pretendServer } from '../../base/testing-server';
import { startDrive } from './append';
import { useDriveLog, useJudgedDrive, useOpenDrive } from './use-drive';

const input = { schoolId: 's', learnerId: 'l', learnerName: 'Ola', number: 1, standard: tally, past: [] };
const begin = () => store.dispatch(startDrive(input, 'ada', false, []));
const eventsOf = (driveId: string) => store.getState().driveLogs.open[driveId]!.events;

beforeEach(async () => {
  store.dispatch(personLeft());
  await Promise.all(deviceDb.tables.map((table) => table.clear()));
});

describe('opening a mock test', () => {
  it('shows the one of this device, also after the page was loaded again and without a network', async () => {
    const server = pretendServer(() => new Error('no network'));
    try {
      const driveId = await begin();
      await waitFor(async () => expect(await deviceDb.events.count()).toBe(1));
      store.dispatch(personLeft());
      const { result } = renderHook(() => useOpenDrive(driveId), { wrapper: AdasPage });
      expect(result.current.state).toBe('loading');
      await waitFor(() => expect(result.current.state).toBe('open'));
      expect(eventsOf(driveId)).toMatchObject([{ type: 'started', by: 'ada' }]);
    } finally {
      server.stop();
    }
  });

  it('says why it cannot, and tries again when asked', async () => {
    let status = 404;
    const server = pretendServer(({ path }) =>
      path.startsWith('/api/drives/elsewhere')
        ? { status, body: { error: { code: 'missing', message: 'Mock test not found.' } } }
        : { body: [] },
    );
    try {
      const { result } = renderHook(() => useOpenDrive('elsewhere'), { wrapper: AdasPage });
      await waitFor(() => expect(result.current.state).toBe('failed'));
      const failed = result.current as Extract<typeof result.current, { readonly state: 'failed' }>;
      expect(failed.error).toMatchObject({ status: 404, message: 'Mock test not found.' });
      status = 500;
      const asked = server.heard.length;
      act(() => failed.retry());
      await waitFor(() => expect(server.heard.length).toBeGreaterThan(asked));
      await waitFor(() => expect(result.current).toMatchObject({ state: 'failed', error: { status: 500 } }));
    } finally {
      server.stop();
    }
  });
});

describe('the log of a mock test', () => {
  it('takes what is written, as the person who is signed in, and undoes it', async () => {
    const driveId = await begin();
    const { result } = renderHook(() => useDriveLog(driveId), { wrapper: AdasPage });
    await act(() => result.current.write({ type: 'mark', item: 'signs.lights', grade: 'driving' }));
    const mark = eventsOf(driveId).at(-1)!;
    expect(mark).toMatchObject({ type: 'mark', by: 'ada' });
    let undone: unknown;
    act(() => void (undone = result.current.undo()));
    expect(undone).toEqual(mark);
    expect(eventsOf(driveId).at(-1)).toMatchObject({ type: 'strike', target: mark.id, undo: true });
    act(() => void (undone = result.current.undo()));
    expect(undone).toBeUndefined();
  });

  it('is judged anew only where it changes', async () => {
    const driveId = await begin();
    const log = () => store.getState().driveLogs.open[driveId]!;
    const { result, rerender } = renderHook(() => useJudgedDrive(log()), { wrapper: AdasPage });
    const before = result.current;
    rerender();
    expect(result.current.verdict).toBe(before.verdict);
    const { result: own } = renderHook(() => useDriveLog(driveId), { wrapper: AdasPage });
    await act(() => own.current.write({ type: 'mark', item: 'signs.lights', grade: 'dangerous' }));
    rerender();
    expect(result.current.verdict).not.toBe(before.verdict);
    expect(result.current.verdict.outcome).toBe('fail');
  });
});
