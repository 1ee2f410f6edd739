import type { PlanOptions, PlanProgress } from '@jasperwren/motion/planner/plan';
import { movementsByWidth, planExercise, roomNeeded, type MovementsAt } from '@jasperwren/motion/planner/plan-exercise';
import { layOut, type ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Step } from '@jasperwren/motion/moves/steps';
import { references } from '@jasperwren/motion/sight/tolerance';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { expose } from 'comlink';

type Limits = Omit<PlanOptions, 'onProgress'>;

const work = {
  plan: (vehicle: Vehicle, spec: ExerciseSpec, limits: Limits, onProgress: (progress: PlanProgress) => void) =>
    planExercise(vehicle, spec, { ...limits, onProgress }),
  references: (vehicle: Vehicle, spec: ExerciseSpec, steps: readonly Step[]) =>
    references(vehicle, layOut(spec, vehicle), steps),
  needed: (vehicle: Vehicle, spec: ExerciseSpec, limits: Limits) => roomNeeded(vehicle, spec, limits),
  widths: (vehicle: Vehicle, widthsM: readonly number[], limits: Limits, tell: (at: MovementsAt) => void) =>
    movementsByWidth(vehicle, widthsM, limits, tell),
};
export type WheelsWork = typeof work;

expose(work);
