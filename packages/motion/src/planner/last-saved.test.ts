import { layOut } from '../layout/exercises';
import { checkWay } from '../layout/touch';
import { standing } from '../moves/roll';
import { driveSteps } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { firstTouch, lastSaved } from './last-saved';

const { car } = vehicleClasses;
const spec = { code: 'angle-bay', side: 'right', space: {} } as const;
const layout = layOut(spec, car);
// Straight on, and then too late into the bay.
const way = driveSteps(
  car,
  standing(layout.start),
  [
    { steerDeg: 0, distanceM: 4.2 },
    { steerDeg: -car.lockDeg, distanceM: 6 },
  ],
  0.1,
).map((moment) => ({ placed: moment, wayM: moment.wayM }));

it('finds where something was touched first, and the last moment from which steering would still have saved it', () => {
  const touch = firstTouch(car, layout, way);
  expect(touch).toBeGreaterThan(0);
  const saved = lastSaved(car, layout, way, touch, 1)!;
  expect(saved.index).toBeLessThan(touch);
  expect(saved.beforeM).toBeCloseTo(way[touch]!.wayM - way[saved.index]!.wayM, 9);
  const driven = driveSteps(car, standing(way[saved.index]!.placed.pose), saved.steps, 0.01);
  expect(checkWay(car, driven, layout).touches).toEqual([]);
  // A hand's breadth later no steering saves it.
  const later = way.findIndex(({ wayM }) => wayM > way[saved.index]!.wayM + 0.35);
  expect(lastSaved(car, layout, way.slice(later), touch - later, 1)).toBeUndefined();
});

it('saves a trailer from the angle that it stands at', () => {
  const towing = vehicleClasses['car-with-trailer'];
  const lane = layOut({ code: 'straight-reverse', side: 'right', space: { laneM: 4 } }, towing);
  // Kept a hand's breadth of steering to the right for too long: the trailer runs off to the left.
  const off = driveSteps(towing, standing(lane.start), [{ steerDeg: -4, distanceM: -14 }], 0.1);
  const backed = off.map((moment) => ({ placed: moment, wayM: moment.wayM }));
  const touch = firstTouch(towing, lane, backed);
  expect(touch).toBeGreaterThan(0);
  const saved = lastSaved(towing, lane, backed, touch, 3)!;
  expect(saved.index).toBeLessThan(touch);
  expect(backed[saved.index]!.placed.hitch).toBeGreaterThan(0.01);
  const driven = driveSteps(towing, backed[saved.index]!.placed, saved.steps, 0.01);
  expect(checkWay(towing, driven, lane).touches).toEqual([]);
  expect(driven.at(-1)!.hitch).toBeCloseTo(0, 4);
});

it('finds no touch where there is none', () => {
  expect(firstTouch(car, layout, way.slice(0, 5))).toBe(-1);
});
