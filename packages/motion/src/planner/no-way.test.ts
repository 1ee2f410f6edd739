import type { ExerciseSpec } from '../layout/exercises';
import { vehicleClasses } from '../vehicle/classes';
import type { Vehicle } from '../vehicle/vehicle';
import { usualPlanOptions as options } from './plan';
import { planExercise, roomNeeded } from './plan-exercise';

const { car, van, rigid } = vehicleClasses;

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
