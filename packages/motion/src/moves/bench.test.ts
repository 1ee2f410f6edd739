import fc from 'fast-check';
import { layOut } from '../layout/exercises';
import { vehicleClasses } from '../vehicle/classes';
import { driveBench, startBench, wheelLockDeg, wheelOf, type BenchDrive, type Hands } from './bench';

const car = vehicleClasses.car;
const layout = layOut({ code: 'bay-reverse', side: 'right', space: {} }, car);
const tick = 20;

const hold = (drive: BenchDrive, hands: Hands, ms: number): BenchDrive => {
  let now = drive;
  for (let at = 0; at < ms; at += tick) now = driveBench(car, layout, now, hands, tick);
  return now;
};
const still: Hands = { roll: 0, turn: 0 };

it('counts a movement for each way without a change of direction', () => {
  let drive = startBench(car, layout);
  expect(drive.movements).toBe(0);
  drive = hold(drive, { roll: 1, turn: 0 }, 1000);
  drive = hold(drive, still, 800);
  drive = hold(drive, { roll: 1, turn: 0 }, 400);
  expect(drive.movements).toBe(1);
  drive = hold(drive, { roll: -1, turn: 0 }, 2000);
  expect(drive.movements).toBe(2);
});

it('counts the wheel turned standing still once until the car rolls, and not while it rolls', () => {
  let drive = hold(startBench(car, layout), { roll: 0, turn: 1 }, 600);
  expect(drive.dry).toBe(1);
  drive = hold(drive, { roll: 0, turn: -1 }, 600);
  expect(drive.dry).toBe(1);
  drive = hold(drive, { roll: -1, turn: 1 }, 600);
  expect(drive.dry).toBe(1);
  drive = hold(hold(drive, still, 1000), { roll: 0, turn: -1 }, 500);
  expect(drive.dry).toBe(2);
});

it('turns the wheel no further than its lock, and to an angle that is asked for', () => {
  expect(wheelOf(car, hold(startBench(car, layout), { roll: 0, turn: 1 }, 9000).placed.steerDeg)).toBeCloseTo(
    wheelLockDeg(car),
    9,
  );
  const asked = hold(startBench(car, layout), { roll: 0, turn: { toDeg: -90 } }, 3000);
  expect(wheelOf(car, asked.placed.steerDeg)).toBeCloseTo(-90, 9);
});

it('tells a touch once until the part is off it again', () => {
  const wall = { id: 'w', kind: 'wall' as const, from: { x: 10, y: -9 }, to: { x: 10, y: 9 } };
  const ahead = { ...layout, start: { x: 6, y: 0, heading: 0 }, edges: [wall], markers: [] };
  let drive = startBench(car, ahead);
  const go = (roll: -1 | 1, ms: number) => {
    for (let at = 0; at < ms; at += tick) drive = driveBench(car, ahead, drive, { roll, turn: 0 }, tick);
  };
  go(1, 1000);
  expect(drive.touches.map(({ part }) => part)).toEqual(['body']);
  go(-1, 2500);
  expect(drive.near!.gapM).toBeGreaterThan(0);
  go(1, 3000);
  expect(drive.touches.filter(({ part }) => part === 'body')).toHaveLength(2);
});

it('goes the same way in short and in long steps of time where the wheel is held', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 100 }), (step) => {
      let [long, short] = [startBench(car, layout), startBench(car, layout)];
      const hands: Hands = { roll: -1, turn: 0 };
      for (let at = 0; at < 2000; at += 100) long = driveBench(car, layout, long, hands, 100);
      for (let at = 0; at < 2000; at += step) short = driveBench(car, layout, short, hands, Math.min(step, 2000 - at));
      expect(short.placed.pose.x).toBeCloseTo(long.placed.pose.x, 1);
    }),
    { numRuns: 20 },
  );
});
