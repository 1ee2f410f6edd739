import { act, renderHook } from '@testing-library/react';
import { pretendGeolocation } from '../../base/testing-geolocation';
import type { Feed, usePosition as UsePosition } from './use-position';

const device = pretendGeolocation();

// The device is asked as the file is loaded.
const { usePosition } = jest.requireActual<{ readonly usePosition: typeof UsePosition }>('./use-position');

/** 1,112 m to the north in a hundred seconds. */
const route = {
  line: [
    [48, -30],
    [48.01, -30],
  ],
  pace: [
    [0, 0],
    [1112, 100],
  ],
} as const;

const at = (latitude: number, more: Partial<GeolocationCoordinates> = {}) =>
  act(() => device.tell({ latitude, longitude: -30, heading: 0, speed: 10, ...more }));

const position = (feed: Feed, seconds = 0) =>
  renderHook((props) => usePosition(route, props.feed, props.seconds), { initialProps: { feed, seconds } });

it('knows no place where the instructor touches on, and the pace of the roads for the stand-in', () => {
  const { result, rerender } = position('touch', 50);
  expect(result.current).toEqual({ along: undefined, failed: undefined });
  rerender({ feed: 'simulated', seconds: 50 });
  expect(result.current.along).toEqual({ metres: 556, away: 0 });
});

it('follows the device along the route, with where it heads once it moves', () => {
  const { result, unmount } = position('device');
  expect(result.current).toEqual({ along: undefined, car: undefined, failed: undefined });
  at(48.005);
  expect(result.current.along!.metres).toBeCloseTo(556, 0);
  expect(result.current.car).toEqual({ lat: 48.005, lon: -30, heading: 0 });
  // A car that stands does not know where it is heading.
  at(48.005, { speed: 0.4 });
  expect(result.current.car).not.toHaveProperty('heading');
  at(48.006, { heading: NaN });
  expect(result.current.car).not.toHaveProperty('heading');
  unmount();
  expect(device.isEnded()).toBe(true);
});

it('says why there is no position, until there is one again', () => {
  const { result } = position('device');
  act(() => device.refuse('No permission.'));
  expect(result.current.failed).toBe('No permission.');
  at(48.001);
  expect(result.current.failed).toBeUndefined();
});
