import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { act, renderHook } from '@testing-library/react';
import { usePlay } from './use-play';

/** 100 m in ten seconds, then 50 m in ten. */
const reading = {
  metres: 150,
  pace: [
    [0, 0],
    [100, 10],
    [150, 20],
  ],
} as unknown as RouteReading;

let frames = new Map<number, FrameRequestCallback>();
let now = 0;
beforeEach(() => {
  frames = new Map();
  now = 0;
  jest.spyOn(performance, 'now').mockImplementation(() => now);
  jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => {
    frames.set(frames.size + 1, frame);
    return frames.size;
  });
  jest.spyOn(globalThis, 'cancelAnimationFrame').mockImplementation((n) => void frames.delete(n));
});
afterEach(() => jest.restoreAllMocks());

/** So many frames, so many milliseconds apart. */
function pass(count: number, everyMs: number): void {
  for (let i = 0; i < count; i++) {
    now += everyMs;
    const due = [...frames.values()];
    frames = new Map();
    act(() => due.forEach((frame) => frame(now)));
  }
}

it('drives at the pace of the roads, and stands still at the end', () => {
  const { result } = renderHook(() => usePlay(reading));
  expect(result.current).toMatchObject({ metres: 0, playing: false });
  act(() => result.current.setPlaying(true));
  pass(50, 100);
  expect(result.current.metres).toBeCloseTo(50);
  pass(100, 100);
  expect(result.current.metres).toBeCloseTo(125);
  pass(60, 100);
  expect(result.current).toMatchObject({ metres: 150, playing: false });
  pass(10, 100);
  expect(result.current.metres).toBe(150);
});

it('goes twice as fast where that is chosen, and not at all while it is stopped', () => {
  const { result } = renderHook(() => usePlay(reading));
  act(() => result.current.setTimes(2));
  act(() => result.current.setPlaying(true));
  pass(20, 100);
  expect(result.current.metres).toBeCloseTo(40);
  act(() => result.current.setPlaying(false));
  pass(20, 100);
  expect(result.current.metres).toBeCloseTo(40);
});

it('does not leap ahead where the tab slept', () => {
  const { result } = renderHook(() => usePlay(reading));
  act(() => result.current.setPlaying(true));
  pass(1, 60_000);
  expect(result.current.metres).toBeCloseTo(2.5);
});

it('goes on from where it is set, and begins anew on another route', () => {
  const { result, rerender } = renderHook(({ of }) => usePlay(of), { initialProps: { of: reading } });
  act(() => result.current.goTo(100));
  act(() => result.current.setPlaying(true));
  pass(10, 100);
  expect(result.current.metres).toBeCloseTo(105);
  rerender({ of: { ...reading } });
  expect(result.current.metres).toBe(0);
});
