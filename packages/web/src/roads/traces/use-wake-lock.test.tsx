import { renderHook } from '@testing-library/react';
import { useWakeLock } from './use-wake-lock';

const released = jest.fn(() => Promise.resolve());
const request = jest.fn<Promise<{ readonly release: typeof released }>, [string]>(() =>
  Promise.resolve({ release: released }),
);
const settled = () => new Promise((resolve) => setTimeout(resolve));

function shown(state: 'visible' | 'hidden'): void {
  Object.defineProperty(document, 'visibilityState', { configurable: true, value: state });
  document.dispatchEvent(new Event('visibilitychange'));
}

beforeEach(() => {
  released.mockClear();
  request.mockClear();
  Object.defineProperty(navigator, 'wakeLock', { configurable: true, value: { request } });
  shown('visible');
});

it('keeps the screen on while it is wanted', async () => {
  const { rerender } = renderHook(({ wanted }) => useWakeLock(wanted), { initialProps: { wanted: false } });
  expect(request).not.toHaveBeenCalled();
  rerender({ wanted: true });
  expect(request.mock.calls).toEqual([['screen']]);
  await settled();
  rerender({ wanted: false });
  expect(released).toHaveBeenCalledTimes(1);
});

it('asks anew when the page comes back into sight', async () => {
  renderHook(() => useWakeLock(true));
  await settled();
  shown('hidden');
  expect(request).toHaveBeenCalledTimes(1);
  shown('visible');
  expect(request).toHaveBeenCalledTimes(2);
});

it('gives back a lock that comes when it is no longer wanted', async () => {
  const { unmount } = renderHook(() => useWakeLock(true));
  unmount();
  expect(released).not.toHaveBeenCalled();
  await settled();
  expect(released).toHaveBeenCalledTimes(1);
});

it('goes on without where the battery is low', async () => {
  request.mockReturnValueOnce(Promise.reject(new Error('low battery')));
  const { unmount } = renderHook(() => useWakeLock(true));
  await settled();
  unmount();
  expect(released).not.toHaveBeenCalled();
});
