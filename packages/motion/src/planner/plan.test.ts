import { layOut, exerciseCodes, type ExerciseSpec } from '../layout/exercises';
import { checkWay } from '../layout/touch';
import { distance, seenFrom, wrapAngle } from '../geometry';
import { standing } from '../moves/roll';
import { driveSteps, movementsOf } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { leastRadius } from '../vehicle/turning';
import { rearBehindOf, type Vehicle } from '../vehicle/vehicle';
import { usualPlanOptions, type FoundPlan } from './plan';
import { movementsByWidth, planExercise, roomNeeded } from './plan-exercise';
import { leastMovementsByTrying } from './testing-tries';

const { car, van, rigid, 'car-with-trailer': towing } = vehicleClasses;
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

const impossible: readonly (readonly [string, Vehicle, ExerciseSpec, number])[] = [
  // The tyres are 1.7 m wide over all; with 10 cm on either side and lines of 10 cm that asks for 2 m.
  ['bay too narrow for its tyres', car, { code: 'bay-reverse', side: 'right', space: { bayM: 1.95 } }, 0.1],
  ['bay too narrow for the clearance', car, { code: 'bay-reverse', side: 'left', space: { bayM: 2.3 } }, 0.3],
  ['bay too short for the clearance', car, { code: 'alley-dock', side: 'right', space: { depthM: 4.1 } }, 0.4],
  ['driving in, too narrow', van, { code: 'bay-forward', side: 'right', space: { bayM: 2.05 } }, 0.1],
  ['angle bay too narrow', van, { code: 'angle-bay', side: 'left', space: { bayM: 2.1 } }, 0.1],
  // A car of 4.05 m, with 10 cm at either end, is 4.25 m.
  ['gap shorter than the car with its clearance', car, { code: 'parallel', side: 'right', space: { gapM: 4.2 } }, 0.1],
  ['gap with a hand to spare at either end', van, { code: 'parallel', side: 'left', space: { gapM: 5.4 } }, 0.1],
  // Square to the road the wheels take up the wheelbase and a tyre.
  ['road narrower than the wheels are long', car, { code: 'turn-in-road', side: 'right', space: { roadM: 3.2 } }, 0.1],
  [
    'road narrower than the wheels of a lorry are long',
    rigid,
    { code: 'turn-in-road', side: 'right', space: { roadM: 5.4 } },
    0.1,
  ],
  [
    'lane narrower than the clearance asks',
    car,
    { code: 'straight-reverse', side: 'right', space: { laneM: 2.1 } },
    0.25,
  ],
];

it.each(impossible)('finds no way: %s', (_, vehicle, spec, clearanceM) => {
  expect(planExercise(vehicle, spec, { ...options, clearanceM }).found).toBe(false);
});

it('says how much more road would do, and that less does not', () => {
  const spec: ExerciseSpec = { code: 'parallel', side: 'right', space: { gapM: 4.2 } };
  const needed = roomNeeded(car, spec, { ...options, mostMovements: 4 })!;
  expect(needed).toMatchObject({ measure: 'gapM', haveM: 4.2 });
  const at = (gapM: number) => planExercise(car, { ...spec, space: { gapM } }, { ...options, mostMovements: 4 }).found;
  expect(at(needed.needM)).toBe(true);
  expect(at(needed.needM - 0.05)).toBe(false);
});

it('asks for no more movements the wider the road is, and for one where the circle fits', () => {
  const told: number[] = [];
  const all = movementsByWidth(car, [5.5, 7, 9, 12.5], options, ({ widthM }) => told.push(widthM));
  expect(told).toEqual([5.5, 7, 9, 12.5]);
  const movements = all.map((one) => one.movements!);
  expect(movements).toEqual([...movements].sort((a, b) => b - a));
  expect(movements.at(-1)).toBe(1);
  expect(12.5).toBeGreaterThan(2 * leastRadius(car));
});

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
