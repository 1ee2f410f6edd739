import { act, renderHook } from '@testing-library/react';
import { painted } from './after-paint';
import { settingsChanged } from './settings';
import { store, type RootState } from './store';
import { useSettledSelector } from './use-settled-selector';

const receipts = (state: RootState) => state.settings.receipts;
const change = (on: boolean) => act(() => void store.dispatch(settingsChanged({ receipts: on })));

beforeEach(() => void store.dispatch(settingsChanged({ receipts: true })));

it('follows the store a frame later, to what it then holds, and drawn anew once', async () => {
  let drawn = 0;
  const { result } = renderHook(() => {
    drawn++;
    return useSettledSelector(receipts);
  });
  await act(painted);
  const before = drawn;
  change(false);
  change(true);
  change(false);
  // Not in the touch itself.
  expect(result.current).toBe(true);
  expect(drawn).toBe(before);
  await act(painted);
  expect(result.current).toBe(false);
  expect(drawn).toBe(before + 1);
});

it('does not miss what changes between its first picture and its listening, and lets go at its end', async () => {
  const { result, unmount } = renderHook(() => {
    const value = useSettledSelector(receipts);
    if (value) store.dispatch(settingsChanged({ receipts: false }));
    return value;
  });
  await act(painted);
  expect(result.current).toBe(false);
  unmount();
  change(true);
  await act(painted);
  expect(result.current).toBe(false);
});
