/**
 * Turning round between two kerbs: the movements that the planner takes against the least by trying everything on a grid, on
 * thirty roads.
 * Run: npm run movements
 */
import { usualPlanOptions } from '../packages/motion/src/planner/plan';
import { planExercise } from '../packages/motion/src/planner/plan-exercise';
import { leastMovementsByTrying } from '../packages/motion/src/planner/testing-tries';
import { vehicleClasses } from '../packages/motion/src/vehicle/classes';

const { car, van, rigid } = vehicleClasses;
const roads = [
  [car, [5, 5.2, 5.4, 5.7, 6, 6.5, 7, 8, 9, 12]],
  [van, [7, 7.5, 8, 8.5, 9, 9.5, 10, 11, 12, 14]],
  [rigid, [8.5, 9, 9.5, 10, 11, 12, 13, 14, 16, 17.5]],
] as const;

let [equal, fewer, more, slowest] = [0, 0, 0, 0];
for (const [vehicle, widths] of roads)
  for (const roadM of widths) {
    const from = performance.now();
    const plan = planExercise(vehicle, { code: 'turn-in-road', side: 'right', space: { roadM } }, usualPlanOptions);
    const seconds = (performance.now() - from) / 1000;
    slowest = Math.max(slowest, seconds);
    const tried = leastMovementsByTrying(vehicle, roadM, usualPlanOptions.clearanceM);
    const planned = plan.found ? plan.movements : null;
    if (planned === tried) equal++;
    else if (planned !== null && (tried === null || planned < tried)) fewer++;
    else more++;
    console.log(
      `${vehicle.kind}, ${roadM} m: ${planned ?? 'none'} planned, ${tried ?? 'none'} by trying, ${seconds.toFixed(1)} s`,
    );
  }
console.log(
  `${equal} equal, ${fewer} fewer than the grid finds, ${more} more; the slowest plan took ${slowest.toFixed(1)} s`,
);
