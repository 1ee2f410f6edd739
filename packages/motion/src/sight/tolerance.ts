import type { Layout } from '../layout/layout';
import { touchesAlong } from '../layout/touch';
import { standing, type Placed } from '../moves/roll';
import { driveSteps, type Moment, type Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { endedByAngle } from './by-angle';
import { offPlace } from './in-place';
import { linesUp, type LinedUp } from './lines-up';

/** How much a step of a plan forgives before something is touched in it or after it, or it ends outside. */
export interface Forgives {
  /** Metres that it may be too short, and too long. */
  readonly shortM: number;
  readonly longM: number;
  /** Degrees of the front wheels that it may be steered too far to the left, and to the right; missing at full lock, and with a trailer. */
  readonly leftDeg?: number;
  readonly rightDeg?: number;
}

/** A step, with how much it forgives and what lines up as it ends, the best to teach first. */
export interface Reference extends Forgives {
  readonly level: readonly LinedUp[];
}

/** No more than this is tried, and it is found out this finely: metres, and degrees of the front wheels. */
export const [mostM, finestM] = [1, 0.01] as const;
export const [mostDeg, finestDeg] = [10, 0.1] as const;
/** Metres between two moments: nothing that is deeper than the half of it is passed by. */
const everyM = 0.01;

/** Where a vehicle is at the end of each step of a plan. */
function endsOf(vehicle: Vehicle, layout: Layout, steps: readonly Step[]): readonly Moment[] {
  const way = driveSteps(vehicle, standing(layout.start), steps, Infinity);
  return steps.map((_, index) => way.findLast(({ step }) => step === index)!);
}

/** What is changed of a step, the others as they are; with a trailer those after it are ended by its angle. */
export interface Slip {
  readonly longerM?: number;
  readonly leftDeg?: number;
}

/** Whether a plan touches nothing, and ends where it should, where one of its steps is longer by so many metres or steered otherwise. */
export function isFreeWith(
  vehicle: Vehicle,
  layout: Layout,
  steps: readonly Step[],
  index: number,
  { longerM = 0, leftDeg = 0 }: Slip,
): boolean {
  // What comes before the step is as planned.
  const start = driveSteps(vehicle, standing(layout.start), steps.slice(0, index), Infinity).at(-1)!;
  const [step, ...after] = steps.slice(index) as [Step, ...Step[]];
  const changed = {
    steerDeg: step.steerDeg + leftDeg,
    distanceM: Math.sign(step.distanceM) * (Math.abs(step.distanceM) + longerM),
  };
  const isFree = (from: Placed, driven: readonly Step[]) => {
    // What ends outside is known without asking what is touched.
    const end = driveSteps(vehicle, from, driven, Infinity).at(-1)!;
    return !offPlace(vehicle, end, layout) && !touchesAlong(vehicle, layout, driveSteps(vehicle, from, driven, everyM));
  };
  if (!vehicle.trailer) return isFree(start, [changed, ...after]);
  const end = driveSteps(vehicle, start, [changed], Infinity).at(-1)!;
  const planned = endsOf(vehicle, layout, steps).slice(index);
  const byAngle = endedByAngle(vehicle, end, after, planned);
  return byAngle !== undefined && isFree(start, [changed, ...byAngle]);
}

/** So far before the end of a step a thing must have been seen elsewhere to tell where the step ends, in metres. */
const tellingM = 0.2;

/**
 * How much longer or shorter, and how much further to the left or right, each step may be before a tyre or the body
 * touches, by driving it: to a centimetre and up to a metre, to a tenth of a degree and up to ten; every other step is driven
 * as planned. With a trailer the steps after it are ended by its angle, and only the length of a step is varied.
 */
export function references(vehicle: Vehicle, layout: Layout, steps: readonly Step[]): readonly Reference[] {
  const way = driveSteps(vehicle, standing(layout.start), steps, tellingM / 2);
  return steps.map((step, index) => {
    const end = way.findLastIndex((moment) => moment.step === index);
    const before = way.slice(0, end).findLast(({ wayM }) => wayM <= way[end]!.wayM - tellingM + 1e-9);
    const earlier = before ? linesUp(vehicle, before, layout) : [];
    // What lined up before the step ended as well does not tell its end.
    const tells = ({ thing, feature, offM }: LinedUp) => {
      const was = earlier.find((one) => one.thing === thing && one.feature === feature);
      return !was || Math.abs(was.offM) - Math.abs(offM) > tellingM / 4;
    };
    const free = (slip: Slip) => isFreeWith(vehicle, layout, steps, index, slip);
    const toLock = (left: 1 | -1) => Math.min(mostDeg, vehicle.lockDeg - left * step.steerDeg);
    const steered = (left: 1 | -1) => furthest(toLock(left), finestDeg, (degrees) => free({ leftDeg: left * degrees }));
    return {
      shortM: furthest(Math.min(mostM, Math.abs(step.distanceM)), finestM, (metres) => free({ longerM: -metres })),
      longM: furthest(mostM, finestM, (metres) => free({ longerM: metres })),
      ...(!vehicle.trailer && toLock(1) >= finestDeg && { leftDeg: steered(1) }),
      ...(!vehicle.trailer && toLock(-1) >= finestDeg && { rightDeg: steered(-1) }),
      level: linesUp(vehicle, way[end]!, layout).filter(tells),
    };
  });
}

/**
 * The most that is free with all that is less, and beyond which half as much again touches: where what touches ends again
 * further on, less is said.
 */
function furthest(most: number, finest: number, isFree: (by: number) => boolean): number {
  const parts = Math.round(1 / finest);
  const steps = Math.floor(most * parts + 1e-9);
  let free = 0;
  // What touches for less than three of the finest steps is not noticed.
  for (const by of [3, 1]) while (free + by <= steps && isFree((free + by) / parts)) free += by;
  if (free === steps) return free / parts;
  const beyond = (of: number): number => of + Math.max(1, of / 2);
  let told = free;
  while (beyond(told) > free && isFree(beyond(told) / parts)) told--;
  // What touches may be too narrow to be met so.
  return (beyond(told) > free ? told : free) / parts;
}
