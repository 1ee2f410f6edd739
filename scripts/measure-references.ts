// npm run references: how the planner and what a step forgives hold for twelve cars in five exercises.
import { layOut, type ExerciseCode } from '@jasperwren/motion/layout/exercises';
import { usualPlanOptions } from '@jasperwren/motion/planner/plan';
import { planExercise } from '@jasperwren/motion/planner/plan-exercise';
import { wronglyForgiven } from '@jasperwren/motion/sight/testing-references';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';

const exercises: readonly ExerciseCode[] = ['bay-reverse', 'parallel', 'angle-bay', 'straight-reverse', 'alley-dock'];

/** From a town car to a long one, with locks from 28 to 38 degrees. */
const cars = Array.from({ length: 12 }, (_, i): Vehicle => {
  const { car } = vehicleClasses;
  const share = i / 11;
  const widthM = 1.62 + 0.24 * share;
  return {
    ...car,
    wheelbaseM: 2.3 + 0.6 * share,
    widthM,
    trackM: widthM - 0.25,
    mirrorWidthM: widthM + 0.25,
    frontOverhangM: 0.7 + 0.05 * (i % 5),
    rearOverhangM: 0.5 + 0.08 * (i % 4),
    lockDeg: 28 + ((i * 7) % 11),
  };
});

let [held, steps, slowest, wrongs] = [0, 0, 0, 0];
const nowhere: string[] = [];
cars.forEach((vehicle, i) => {
  for (const code of exercises) {
    const spec = { code, side: i % 2 ? ('left' as const) : ('right' as const), space: {} };
    const from = performance.now();
    const plan = planExercise(vehicle, spec, usualPlanOptions);
    slowest = Math.max(slowest, performance.now() - from);
    if (!plan.found) {
      nowhere.push(`car ${i + 1}, ${code}`);
      continue;
    }
    const wrong = wronglyForgiven(vehicle, layOut(spec, vehicle), plan.steps);
    steps += plan.steps.length;
    wrongs += wrong.length;
    if (wrong.length === 0) held++;
    else console.log(`car ${i + 1}, ${code}: ${wrong.join('; ')}`);
  }
});
const cases = cars.length * exercises.length;
console.log(
  `${held} of ${cases} cases hold, ${steps} steps, ${wrongs} of their edges do not; the slowest plan took ${(slowest / 1000).toFixed(1)} s`,
);
if (nowhere.length > 0) console.log(`No way found: ${nowhere.join('; ')}`);
process.exitCode = held === cases ? 0 : 1;
