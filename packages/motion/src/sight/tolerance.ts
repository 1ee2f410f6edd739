import type { Layout } from '../layout/layout';
import { leastGap } from '../layout/touch';
import { standing } from '../moves/roll';
import { driveSteps, type Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { linesUp, type LinedUp } from './lines-up';

/** How much a step of a plan forgives. */
export interface Forgives {
  /** Metres that it may be too short, and too long, before something is touched in it or after it. */
  readonly shortM: number;
  readonly longM: number;
}

/** A step, with how much it forgives and what is level with the vehicle as it ends. */
export interface Reference extends Forgives {
  readonly level: readonly LinedUp[];
}

/** No more than this is tried, and it is found out this finely, in metres. */
export const [mostM, finestM] = [1, 0.01] as const;
const everyM = 0.05;

/** Whether a plan touches nothing where one of its steps is longer by so many metres, the others as they are. */
export function isFreeWith(
  vehicle: Vehicle,
  layout: Layout,
  steps: readonly Step[],
  index: number,
  longerM: number,
): boolean {
  const changed = steps.map((step, i) =>
    i === index ? { ...step, distanceM: Math.sign(step.distanceM) * (Math.abs(step.distanceM) + longerM) } : step,
  );
  return driveSteps(vehicle, standing(layout.start), changed, everyM).every(
    (moment) => (leastGap(vehicle, moment, layout)?.gapM ?? 1) > 0,
  );
}

/**
 * How much longer or shorter each step may be before a tyre or the body touches, by driving it, to a centimetre and up to a
 * metre; every other step is driven as planned.
 */
export function references(vehicle: Vehicle, layout: Layout, steps: readonly Step[]): readonly Reference[] {
  const ends = driveSteps(vehicle, standing(layout.start), steps, Infinity);
  return steps.map((step, index) => {
    const end = ends.findLast((moment) => moment.step === index)!;
    const shortest = Math.min(mostM, Math.abs(step.distanceM));
    return {
      shortM: furthest(shortest, (metres) => isFreeWith(vehicle, layout, steps, index, -metres)),
      longM: furthest(mostM, (metres) => isFreeWith(vehicle, layout, steps, index, metres)),
      level: linesUp(vehicle, end, layout),
    };
  });
}

/** The most that is free with all that is less, in steps of 10 cm first and of a centimetre in the end. */
function furthest(most: number, isFree: (metres: number) => boolean): number {
  const mostCm = Math.floor(most * 100 + 1e-9);
  let freeCm = 0;
  for (const by of [10, 3, 1]) while (freeCm + by <= mostCm && isFree((freeCm + by) / 100)) freeCm += by;
  return freeCm / 100;
}
