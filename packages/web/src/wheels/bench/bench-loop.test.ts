import { layOut } from '@jasperwren/motion/layout/exercises';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { benchLoop } from './bench-loop';

const layout = layOut({ code: 'bay-reverse', side: 'right', space: {} }, vehicleClasses.car);

/** Frames that come when the test says so. */
function frames() {
  let waiting: ((now: number) => void) | undefined;
  let now = 0;
  Object.assign(globalThis, {
    requestAnimationFrame(next: (now: number) => void) {
      waiting = next;
      return 1;
    },
    cancelAnimationFrame() {
      waiting = undefined;
    },
  });
  return {
    isWaiting: () => waiting !== undefined,
    pass(ms: number) {
      for (const end = now + ms; now < end && waiting;) {
        now += 16;
        const next = waiting;
        waiting = undefined;
        next(now);
      }
    },
  };
}

it('moves while a key is held, comes to a stand, and rests', () => {
  const time = frames();
  const loop = benchLoop(vehicleClasses.car, layout);
  let told = 0;
  loop.subscribe(() => told++);
  expect(time.isWaiting()).toBe(false);
  loop.roll(-1);
  time.pass(1000);
  expect(loop.state().drive.wayM).toBeGreaterThan(0.5);
  expect(told).toBeGreaterThan(50);
  loop.roll(0);
  time.pass(2000);
  expect(loop.state().drive.speedMps).toBe(0);
  expect(time.isWaiting()).toBe(false);
  // Twenty moments a second are kept, sixty are shown.
  expect(loop.state().kept.length).toBeLessThan(told / 2);
});

it('begins again where it began, and stops where nobody looks any more', () => {
  const time = frames();
  const loop = benchLoop(vehicleClasses.car, layout);
  const leave = loop.subscribe(() => undefined);
  loop.turn({ toDeg: 90 });
  time.pass(1000);
  expect(loop.state().drive.dry).toBe(1);
  loop.again();
  expect(loop.state().drive).toMatchObject({ dry: 0, wayM: 0, placed: { pose: layout.start } });
  loop.roll(1);
  leave();
  expect(time.isWaiting()).toBe(false);
});

it('tells calmly at most five times a second, and at once when everything rests', () => {
  const time = frames();
  const loop = benchLoop(vehicleClasses.car, layout);
  let [last, changes] = [loop.calm(), 0];
  loop.subscribe(() => {
    if (loop.calm() !== last) changes++;
    last = loop.calm();
  });
  loop.roll(-1);
  time.pass(1000);
  expect(changes).toBeGreaterThan(3);
  expect(changes).toBeLessThanOrEqual(5);
  loop.roll(0);
  time.pass(2000);
  expect(time.isWaiting()).toBe(false);
  expect(loop.calm()).toBe(loop.state());
});
