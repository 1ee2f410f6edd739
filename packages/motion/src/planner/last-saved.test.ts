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

it('finds no touch where there is none', () => {
  expect(firstTouch(car, layout, way.slice(0, 5))).toBe(-1);
});
