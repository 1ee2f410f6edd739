import 'fake-indexeddb/auto';
import type { FixPiece } from '@jasperwren/contract/traces';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { metresBetween } from '@jasperwren/roads/geometry';
import { deviceDb } from '../../base/device/device-db';
import { entriesOf } from '../../base/outbox/entries';
import { pretendGeolocation } from '../../base/testing-geolocation';
import { store } from '../../base/store';
import { until } from '../../base/testing-until';
import { recordDevice, recordSimulated } from './record';
import './recording-slice';

const target = { driveId: 'd', owner: 'ada' };
let device: ReturnType<typeof pretendGeolocation>;

/** A position so many milliseconds after the first. */
const position = (ms: number, coords: Partial<GeolocationCoordinates> = {}) =>
  device.tell({ latitude: 48.1234567, longitude: -30, accuracy: 7.4, speed: 8.36, ...coords }, 1_000_000 + ms);

async function pieces(count: number): Promise<readonly FixPiece[]> {
  await until(async () => (await entriesOf('ada')).length >= count);
  return (await entriesOf('ada')).map(({ body }) => body as FixPiece);
}

beforeEach(async () => {
  await deviceDb.outbox.clear();
  device = pretendGeolocation();
});

describe('a trace of this device', () => {
  it('travels in pieces of fifteen, the rest once it is ended', async () => {
    const stop = recordDevice(target);
    for (let i = 0; i < 17; i++) position(1000 * i);
    const [first] = await pieces(1);
    expect(first!.source).toBe('device');
    expect(first!.fixes).toHaveLength(15);
    // Six decimals of a degree, whole metres of accuracy, tenths of a metre a second.
    expect(first!.fixes[0]).toEqual([1_000_000, 48.123457, -30, 7, 8.4]);
    stop();
    expect((await pieces(2))[1]!.fixes).toHaveLength(2);
    expect(device.isEnded()).toBe(true);
    expect(store.getState().recording.fixes['d']).toBe(17);
  });

  it('keeps about one position a second, and says so where accuracy or speed is not known', async () => {
    const stop = recordDevice(target);
    for (const ms of [0, 300, 800, 1000, 1100, 2000]) position(ms, { accuracy: NaN, speed: null });
    stop();
    const [{ fixes }] = (await pieces(1)) as [FixPiece];
    expect(fixes.map(([at]) => at - 1_000_000)).toEqual([0, 1000, 2000]);
    expect(fixes[0]!.slice(3)).toEqual([-1, -1]);
  });

  it('puts what has come in line when the page goes out of sight', async () => {
    const stop = recordDevice(target);
    position(0);
    Object.defineProperty(document, 'visibilityState', { configurable: true, value: 'hidden' });
    document.dispatchEvent(new Event('visibilitychange'));
    expect(await pieces(1)).toHaveLength(1);
    Object.defineProperty(document, 'visibilityState', { configurable: true, value: 'visible' });
    stop();
    expect(await entriesOf('ada')).toHaveLength(1);
  });

  it('says why there is no position', () => {
    const stop = recordDevice(target);
    device.refuse('The user said no.');
    expect(store.getState().recording.failed).toBe('The user said no.');
    position(0);
    expect(store.getState().recording.failed).toBeUndefined();
    stop();
    Object.defineProperty(navigator, 'geolocation', { configurable: true, value: undefined });
    delete (navigator as { geolocation?: unknown }).geolocation;
    recordDevice(target)();
    expect(store.getState().recording.failed).toBe('it has none');
  });
});

describe('the stand-in for a device', () => {
  it('drives the line at its pace and wanders by a few metres', async () => {
    jest.useFakeTimers({ now: 5_000_000, doNotFake: ['setTimeout', 'queueMicrotask', 'setImmediate'] });
    const line = [
      [48, -30],
      [48.01, -30],
    ] as const;
    const pace = [
      [0, 0],
      [1112, 100],
    ] as const;
    let second = 0;
    const stop = recordSimulated(target, { line, pace } as unknown as CarRoute, () => second);
    for (second = 1; second <= 20; second++) jest.advanceTimersByTime(1000);
    stop();
    jest.useRealTimers();
    const sent = (await pieces(2)).flatMap(({ fixes }) => fixes);
    expect(sent).toHaveLength(20);
    sent.forEach(([, lat, lon], i) =>
      // 11.1 metres a second to the north.
      expect(metresBetween(lat, lon, 48 + (0.01 * (i + 1)) / 100, -30)).toBeLessThan(7),
    );
  });
});
