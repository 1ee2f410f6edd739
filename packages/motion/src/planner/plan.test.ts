import { layOut, exerciseCodes, type ExerciseSpec } from '../layout/exercises';
import { checkWay } from '../layout/touch';
import { distance, seenFrom, wrapAngle } from '../geometry';
import { standing } from '../moves/roll';
import { driveSteps, movementsOf } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { rearBehindOf } from '../vehicle/vehicle';
import { usualPlanOptions, type FoundPlan } from './plan';
import { planExercise } from './plan-exercise';

const { car, van, 'car-with-trailer': towing } = vehicleClasses;
const options = usualPlanOptions;

const cases = [car, van, towing].flatMap((vehicle) =>
  exerciseCodes
    // The area to reverse in has a test of its own.
    .filter((code) => code !== 'reversing-area')
    .filter((code) => vehicle !== van || ['parallel', 'angle-bay', 'alley-dock'].includes(code))
    .map((code) => [vehicle.kind, code, vehicle] as const),
);

it.each(cases)(
  '%s, %s: what it calls a way touches nothing at every centimetre, and ends where it should',
  (_, code, vehicle) => {
    for (const side of ['right', 'left'] as const) {
      const spec: ExerciseSpec = { code, side, space: {} };
      const plan = planExercise(vehicle, spec, options) as FoundPlan;
      expect(plan.found).toBe(true);
      const layout = layOut(spec, vehicle);
      const moments = driveSteps(vehicle, standing(layout.start), plan.steps, 0.01);
      const { touches, closest } = checkWay(vehicle, moments, layout);
      expect(touches).toEqual([]);
      expect(closest!.gapM).toBeGreaterThan(options.clearanceM - 0.005);
      expect(plan.check.closest!.gapM).toBeCloseTo(closest!.gapM, 6);
      const { pose: end, hitch } = moments.at(-1)!;
      expect(Math.abs(hitch)).toBeLessThan(0.005);
      const { goal } = layout;
      if (goal.kind === 'heading') expect(Math.abs(wrapAngle(end.heading - goal.heading))).toBeLessThan(1e-6);
      else {
        // Along the bay by a hand at most, across it by a finger.
        expect(distance(end, goal.poses[0]!)).toBeLessThan(0.21);
        expect(Math.abs(seenFrom(goal.poses[0]!, end).y)).toBeLessThan(0.031);
        expect(Math.abs(wrapAngle(end.heading - goal.poses[0]!.heading))).toBeLessThan(Math.PI / 119);
      }
      expect(movementsOf(plan.steps)).toBe(plan.movements);
      for (const { steerDeg } of plan.steps) expect(Math.abs(steerDeg)).toBeLessThanOrEqual(vehicle.lockDeg + 1e-9);
    }
  },
);

it('tells how far it is, and says a start on which nothing can stand', () => {
  let told = 0;
  planExercise(car, { code: 'turn-in-road', side: 'right', space: {} }, { ...options, onProgress: () => told++ });
  expect(told).toBeGreaterThan(1);
  const plan = planExercise(car, { code: 'parallel', side: 'right', space: {} }, { ...options, clearanceM: 0.9 });
  expect(plan).toMatchObject({ found: false, why: 'start-blocked' });
});

it.each([
  ['car', car, { areaLongM: 34 }],
  ['car with its trailer', towing, {}],
] as const)(
  '%s: reverses past the pole half-way on its other side, and stops short of the barrier',
  (_, vehicle, space) => {
    const spec: ExerciseSpec = { code: 'reversing-area', side: 'left', space };
    const plan = planExercise(vehicle, spec, options) as FoundPlan;
    const layout = layOut(spec, vehicle);
    const way = driveSteps(vehicle, standing(layout.start), plan.steps, 0.02);
    expect(checkWay(vehicle, way, layout).touches).toEqual([]);
    const pole = layout.markers.find(({ id }) => id === 'B')!;
    // It came along with the pole on its left and goes back with the pole on its right.
    expect(seenFrom(layout.start, pole).y).toBeGreaterThan(0);
    const past = way.find(({ pose }) => pose.x < pole.x)!;
    expect(seenFrom(past.pose, pole).y).toBeLessThan(0);
    expect(way.at(-1)!.pose.x - rearBehindOf(vehicle)).toBeGreaterThan(0);
  },
);
