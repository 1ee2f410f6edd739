import type { PlanProgress } from '@jasperwren/motion/planner/plan';
import { movementsByWidth, planExercise, roomNeeded, type MovementsAt } from '@jasperwren/motion/planner/plan-exercise';
import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { expose } from 'comlink';

interface Limits {
  readonly clearanceM: number;
  readonly mostMovements: number;
}

const work = {
  plan: (vehicle: Vehicle, spec: ExerciseSpec, limits: Limits, onProgress: (progress: PlanProgress) => void) =>
    planExercise(vehicle, spec, { ...limits, onProgress }),
  needed: (vehicle: Vehicle, spec: ExerciseSpec, limits: Limits) => roomNeeded(vehicle, spec, limits),
  widths: (vehicle: Vehicle, widthsM: readonly number[], limits: Limits, tell: (at: MovementsAt) => void) =>
    movementsByWidth(vehicle, widthsM, limits, tell),
};
export type WheelsWork = typeof work;

expose(work);
