import type { OnWay } from '@jasperwren/motion/moves/same-hands';
import { lastSaved } from '@jasperwren/motion/planner/last-saved';
import type { PlanOptions, PlanProgress } from '@jasperwren/motion/planner/search';
import {
  movementsByWidth,
  planGround,
  roomNeeded,
  type Ground,
  type MovementsAt,
} from '@jasperwren/motion/planner/plan-exercise';
import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Step } from '@jasperwren/motion/moves/steps';
import { followRule, whatHelps, type Rule } from '@jasperwren/motion/sight/rule-of-thumb';
import { references } from '@jasperwren/motion/sight/tolerance';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { expose } from 'comlink';

type Limits = Omit<PlanOptions, 'onProgress'>;

const tellMs = 100;

/** Passes on what comes first and then no more than one every so many milliseconds. */
function atMostEvery<T>(ms: number, tell: (value: T) => void): (value: T) => void {
  let told = -Infinity;
  return (value) => {
    if (performance.now() - told < ms) return;
    told = performance.now();
    tell(value);
  };
}

const work = {
  plan: (vehicle: Vehicle, ground: Ground, limits: Limits, onProgress: (progress: PlanProgress) => void) =>
    planGround(vehicle, ground, { ...limits, onProgress: atMostEvery(tellMs, onProgress) }),
  references: (vehicle: Vehicle, layout: Layout, steps: readonly Step[]) => references(vehicle, layout, steps),
  follow: (vehicle: Vehicle, layout: Layout, rule: Rule) => followRule(vehicle, layout, rule),
  helps: (vehicle: Vehicle, layout: Layout, rule: Rule) => whatHelps(vehicle, layout, rule),
  saved: (vehicle: Vehicle, layout: Layout, way: readonly OnWay[], touch: number, movements: number) =>
    lastSaved(vehicle, layout, way, touch, movements),
  needed: (vehicle: Vehicle, spec: ExerciseSpec, limits: Limits) => roomNeeded(vehicle, spec, limits),
  widths: (vehicle: Vehicle, widthsM: readonly number[], limits: Limits, tell: (at: MovementsAt) => void) =>
    movementsByWidth(vehicle, widthsM, limits, tell),
};
export type WheelsWork = typeof work;

expose(work);
