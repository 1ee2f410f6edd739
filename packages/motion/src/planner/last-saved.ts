import type { Layout } from '../layout/layout';
import { touchOf } from '../layout/touch';
import type { OnWay } from '../moves/same-hands';
import type { Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { planWay } from './plan';

/** Where something was touched first along a way, by its place in it; below 0 where nothing was. */
export function firstTouch(vehicle: Vehicle, layout: Layout, way: readonly OnWay[]): number {
  const touches = touchOf(vehicle, layout);
  return way.findIndex(({ placed }) => touches(placed));
}

/** The last moment from which it would still have gone well, and how. */
export interface Saved {
  /** Its place in the way. */
  readonly index: number;
  /** Metres before the touch. */
  readonly beforeM: number;
  readonly steps: readonly Step[];
}

/** How close to the last such moment is looked, in metres, and the clearance that is kept after it. */
const [closeM, clearanceM] = [0.1, 0.02] as const;

/**
 * The last moment before a touch from which the exercise could still be ended without touching anything and without changing the
 * direction of travel more often than so many times, by halving the way before the touch: earlier it could, later it could
 * not.
 * @param movements from that moment on, at most; 1 is steering alone
 * @returns undefined where it could not even from the start
 */
export function lastSaved(
  vehicle: Vehicle,
  layout: Layout,
  way: readonly OnWay[],
  touch: number,
  movements: number,
): Saved | undefined {
  const touchM = way[touch]!.wayM;
  const planFrom = (index: number) => {
    const plan = planWay(vehicle, layout, { clearanceM, mostMovements: movements }, way[index]!.placed);
    return plan.found ? plan.steps : undefined;
  };
  let steps = planFrom(0);
  if (!steps) return undefined;
  let [saved, lost] = [0, touch];
  while (lost - saved > 1 && way[lost]!.wayM - way[saved]!.wayM > closeM) {
    const middle = (saved + lost) >> 1;
    const found = planFrom(middle);
    if (found) [saved, steps] = [middle, found];
    else lost = middle;
  }
  return { index: saved, beforeM: touchM - way[saved]!.wayM, steps };
}
