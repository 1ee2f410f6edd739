import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { act, renderHook } from '@testing-library/react';
import { store } from '../../base/store';
import { AdasPage } from '../../base/testing-page';
import { categoryChosen, deskOpened, done, settlingChosen } from './desk-slice';
import { useLingering, useSettling } from './use-settling';

const log = logOf([
  [0, start()],
  [1, { type: 'pin' }, 'p'],
]);

beforeEach(() => void store.dispatch(deskOpened()));
afterEach(() => jest.useRealTimers());

it('names the pin that the next fault settles, the same object until the pin changes', () => {
  const { result, rerender } = renderHook(({ drive }) => useSettling(drive), {
    wrapper: AdasPage,
    initialProps: { drive: foldDrive(log) },
  });
  expect(result.current).toBeUndefined();
  act(() => void store.dispatch(settlingChosen('p')));
  expect(result.current).toEqual({ id: 'p', atMs: 60_000, state: 'unsettled' });
  const before = result.current;
  rerender({ drive: foldDrive(log) });
  expect(result.current).toBe(before);
  act(() => void store.dispatch(settlingChosen('gone')));
  expect(result.current).toBeUndefined();
});

it('lets a mark be seen for a moment, and for another one where a second follows', () => {
  jest.useFakeTimers();
  renderHook(() => useLingering(), { wrapper: AdasPage });
  const mark = (receipt: string) =>
    act(() => {
      store.dispatch(categoryChosen('signs'));
      store.dispatch(done(receipt));
    });
  mark('one');
  act(() => jest.advanceTimersByTime(600));
  mark('two');
  act(() => jest.advanceTimersByTime(600));
  expect(store.getState().desk.lingering).toBe('signs');
  act(() => jest.advanceTimersByTime(200));
  expect(store.getState().desk.lingering).toBeUndefined();
});
