import { seenFrom, wrapAngle } from '../geometry';
import { exerciseCodes, layOut, type ExerciseSpec } from '../layout/exercises';
import { checkWay } from '../layout/touch';
import { standing } from '../moves/roll';
import { driveSteps, movementsOf } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { usualPlanOptions, type FoundPlan } from './plan';
import { planExercise } from './plan-exercise';

const towing = vehicleClasses['car-with-trailer'];
const options = usualPlanOptions;

it.each(exerciseCodes.filter((code) => code !== 'turn-in-road'))(
  'a car with its trailer, %s: touches nothing at every centimetre, and ends in place with the trailer in line',
  (code) => {
    const spec: ExerciseSpec = { code, side: 'left', space: {} };
    const plan = planExercise(towing, spec, options) as FoundPlan;
    expect(plan.found).toBe(true);
    const layout = layOut(spec, towing);
    const way = driveSteps(towing, standing(layout.start), plan.steps, 0.01);
    const { touches, closest } = checkWay(towing, way, layout);
    expect(touches).toEqual([]);
    expect(closest!.gapM).toBeGreaterThan(options.clearanceM - 0.005);
    expect(plan.movements).toBe(1);
    expect(movementsOf(plan.steps)).toBe(1);
    const { pose, hitch } = way.at(-1)!;
    const [to] = (layout.goal as Extract<typeof layout.goal, { kind: 'poses' }>).poses;
    expect(Math.abs(seenFrom(to!, pose).x)).toBeLessThan(0.01);
    expect(Math.abs(seenFrom(to!, pose).y)).toBeLessThan(0.01);
    expect(Math.abs(wrapAngle(pose.heading - to!.heading))).toBeLessThan(0.001);
    expect(Math.abs(hitch)).toBeLessThan(0.005);
    for (const { steerDeg } of plan.steps) expect(Math.abs(steerDeg)).toBeLessThanOrEqual(towing.lockDeg + 1e-9);
  },
);

it('shunts where one movement is not enough', () => {
  const spec: ExerciseSpec = { code: 'turn-in-road', side: 'right', space: {} };
  const plan = planExercise(towing, spec, options) as FoundPlan;
  expect(plan.movements).toBeGreaterThan(1);
  const layout = layOut(spec, towing);
  const way = driveSteps(towing, standing(layout.start), plan.steps, 0.01);
  expect(checkWay(towing, way, layout).touches).toEqual([]);
  expect(Math.abs(wrapAngle(way.at(-1)!.pose.heading - Math.PI))).toBeLessThan(1e-6);
});

it('says where it does not fit, and that it found none of its kind where there may be another', () => {
  const at = (spec: ExerciseSpec, clearanceM: number) => planExercise(towing, spec, { ...options, clearanceM });
  // The trailer is 1.9 m wide: in a bay of 2 m there is no clearance of 10 cm.
  expect(at({ code: 'bay-reverse', side: 'right', space: { bayM: 2 } }, 0.1)).toMatchObject({ why: 'goal-blocked' });
  expect(at({ code: 'straight-reverse', side: 'right', space: { laneM: 2.1 } }, 0.25)).toMatchObject({
    why: 'start-blocked',
  });
  // Across an aisle hardly wider than the whole is long with the trailer in the bay.
  let told = 0;
  const tight = planExercise(
    towing,
    { code: 'bay-reverse', side: 'right', space: { aisleM: 6.5 } },
    { ...options, mostMovements: 3, onProgress: () => told++ },
  );
  expect(tight).toMatchObject({ found: false, why: 'none-of-bends' });
  expect(told).toBeGreaterThan(1);
});
