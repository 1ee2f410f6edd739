import { wrapAngle, type Pose } from '../geometry';
import type { Goal } from '../layout/layout';
import { movementsOf, turningOf, wayOf, type Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { shortestLength } from './reeds-shepp';

export interface PlanOptions {
  /** Metres that every part keeps from what it may not touch. */
  readonly clearanceM: number;
  /** No more movements than this are tried. */
  readonly mostMovements: number;
  /** Told now and then how far the search is. */
  readonly onProgress?: (progress: PlanProgress) => void;
}

export interface PlanProgress {
  /** Positions looked at so far. */
  readonly looked: number;
  /** Ways of so many movements are being tried. */
  readonly movements: number;
  /** Where the search is. */
  readonly at: Pose;
}

export interface NoPlan {
  readonly found: false;
  /** Every position within reach was tried, or only those of so many movements, or with a trailer only ways of even bends. */
  readonly why: 'none' | 'none-of-bends' | 'too-many-movements' | 'start-blocked' | 'goal-blocked';
  readonly looked: number;
}

/** What a search found. */
export interface Searched {
  readonly steps: readonly Step[];
  readonly movements: number;
  readonly cost: number;
  readonly looked: number;
}

/** One more movement costs as much as this many metres: fewer movements always win. */
export const movementM = 400;
/** One more half lock of steering costs as much as this many metres, and so does one more step to remember. */
export const [steeringM, rememberM] = [0.3, 1] as const;

/** How many movements some steps are, and what they cost in metres: fewer movements win, then less way and steering. */
export function costOf(
  steps: readonly Step[],
  vehicle: Vehicle,
): { readonly movements: number; readonly cost: number } {
  const movements = movementsOf(steps);
  const halfLocks = (turningOf(steps) / vehicle.lockDeg) * 2;
  return { movements, cost: movements * movementM + wayOf(steps) + halfLocks * steeringM + steps.length * rememberM };
}

/** Metres of way that there are at least from a pose to a goal around a radius, as if nothing stood there. */
export const leastToGoal = (pose: Pose, goal: Goal, radiusM: number): number =>
  goal.kind === 'heading'
    ? radiusM * Math.abs(wrapAngle(goal.heading - pose.heading))
    : Math.min(...goal.poses.map((to) => shortestLength(pose, to, radiusM)));

/** Steps with the same steering and direction as one. */
export function merged(steps: readonly Step[]): readonly Step[] {
  const all: Step[] = [];
  for (const step of steps) {
    const last = all.at(-1);
    if (last && Math.abs(last.steerDeg - step.steerDeg) < 1e-9 && last.distanceM > 0 === step.distanceM > 0)
      all[all.length - 1] = { ...last, distanceM: last.distanceM + step.distanceM };
    else all.push(step);
  }
  return all;
}
