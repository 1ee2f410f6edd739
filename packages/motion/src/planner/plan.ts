import { checkWay, type WayChecked } from '../layout/touch';
import type { Layout } from '../layout/layout';
import { standing, type Placed } from '../moves/roll';
import { driveSteps, movementsOf, turningOf, wayOf, type Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import type { NoPlan, PlanOptions } from './search';
import { searchCar } from './search-car';
import { searchTrailer } from './search-trailer';

export interface FoundPlan {
  readonly found: true;
  readonly steps: readonly Step[];
  readonly movements: number;
  readonly wayM: number;
  /** Degrees that the front wheels are turned in all. */
  readonly turningDeg: number;
  /** What the way touches, and its closest point, from exact outlines at every centimetre. */
  readonly check: WayChecked;
  readonly looked: number;
}

export type Plan = FoundPlan | NoPlan;

export const usualPlanOptions = { clearanceM: 0.1, mostMovements: 9 } as const;

/**
 * The way with the least movements that a search finds, from where a vehicle stands to the goal of a layout, keeping a
 * clearance; checked by exact outlines at every centimetre.
 * @param from where it begins, the start of the layout if nothing is said
 */
export function planWay(
  vehicle: Vehicle,
  layout: Layout,
  options: PlanOptions,
  from: Placed = standing(layout.start),
): Plan {
  const searched = vehicle.trailer
    ? searchTrailer(vehicle, layout, from, options)
    : searchCar(vehicle, { ...layout, start: from.pose }, options);
  if ('found' in searched) return searched;
  const { steps, looked } = searched;
  return {
    found: true,
    steps,
    movements: movementsOf(steps),
    wayM: wayOf(steps),
    turningDeg: turningOf(steps),
    check: checkWay(vehicle, driveSteps(vehicle, from, steps, 0.01), layout),
    looked,
  };
}
