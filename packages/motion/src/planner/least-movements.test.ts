import { vehicleClasses } from '../vehicle/classes';
import { leastRadius } from '../vehicle/turning';
import type { Vehicle } from '../vehicle/vehicle';
import { usualPlanOptions as options } from './plan';
import { movementsByWidth, planExercise } from './plan-exercise';
import { leastMovementsByTrying } from './testing-tries';

const { car, van, rigid } = vehicleClasses;

const widths: readonly (readonly [Vehicle, readonly number[]])[] = [
  [car, [5.4, 6.5, 12]],
  [van, [9, 14]],
  [rigid, [10, 13, 17.5]],
];

it.each(widths.flatMap(([vehicle, all]) => all.map((width) => [vehicle.kind, width, vehicle] as const)))(
  '%s on a road of %d m: as few movements as by trying everything',
  (_, width, vehicle) => {
    const plan = planExercise(vehicle, { code: 'turn-in-road', side: 'right', space: { roadM: width } }, options);
    expect(plan.found ? plan.movements : null).toBe(leastMovementsByTrying(vehicle, width, options.clearanceM));
  },
);

it('asks for no more movements the wider the road is, and for one where the circle fits', () => {
  const told: number[] = [];
  const all = movementsByWidth(car, [5.5, 7, 9, 12.5], options, ({ widthM }) => told.push(widthM));
  expect(told).toEqual([5.5, 7, 9, 12.5]);
  const movements = all.map((one) => one.movements!);
  expect(movements).toEqual([...movements].sort((a, b) => b - a));
  expect(movements.at(-1)).toBe(1);
  expect(12.5).toBeGreaterThan(2 * leastRadius(car));
});
