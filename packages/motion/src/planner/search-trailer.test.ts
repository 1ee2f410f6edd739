import { exerciseCodes, layOut, type ExerciseSpec } from '../layout/exercises';
import { standing } from '../moves/roll';
import { driveSteps } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { isFolded } from '../vehicle/parts';
import { usualPlanOptions } from './plan';
import { planExercise } from './plan-exercise';

const towing = vehicleClasses['car-with-trailer'];
const options = usualPlanOptions;

it.each(exerciseCodes)(
  'a car with its trailer, %s: in one movement on the usual ground, but for turning round',
  (code) => {
    const plan = planExercise(towing, { code, side: 'right', space: {} }, options);
    expect(plan).toMatchObject({ found: true, movements: code === 'turn-in-road' ? 3 : 1 });
    const spec = { code, side: 'right', space: {} } as const;
    const way = driveSteps(towing, standing(layOut(spec, towing).start), plan.found ? plan.steps : [], 0.1);
    expect(way.filter(({ hitch }) => isFolded(towing, hitch))).toEqual([]);
  },
);

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
