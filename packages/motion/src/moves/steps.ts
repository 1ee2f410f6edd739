import type { Vehicle } from '../vehicle/vehicle';
import { alongArc, curvatureOf, hitchAfter, type Placed } from './roll';

/** One part of a plan: the wheel is turned while the vehicle stands, then it rolls with the wheel held. */
export interface Step {
  /** Degrees of a wheel in the middle of the front axle, to the left of straight ahead. */
  readonly steerDeg: number;
  /** Metres; below 0 backwards. */
  readonly distanceM: number;
}

/** A movement is a way without a change of direction; a step of no length is none. */
export function movementsOf(steps: readonly Step[]): number {
  const moving = steps.filter(({ distanceM }) => distanceM !== 0);
  return moving.filter(({ distanceM }, i) => i === 0 || distanceM > 0 !== moving[i - 1]!.distanceM > 0).length;
}

/** Metres of way, forward and back together. */
export const wayOf = (steps: readonly Step[]): number =>
  steps.reduce((way, { distanceM }) => way + Math.abs(distanceM), 0);

/** Degrees that the front wheels are turned in all, from straight ahead. */
export const turningOf = (steps: readonly Step[]): number =>
  steps.reduce((sum, { steerDeg }, i) => sum + Math.abs(steerDeg - (steps[i - 1]?.steerDeg ?? 0)), 0);

/** One moment of a drive. */
export interface Moment extends Placed {
  /** Metres of way so far. */
  readonly wayM: number;
  /** The step it belongs to, from 0. */
  readonly step: number;
}

/**
 * Where a vehicle is along a plan: at its start, at the end of each step, and at least every so many metres between.
 * @param everyM metres between two moments at most, above 0
 */
export function driveSteps(vehicle: Vehicle, start: Placed, steps: readonly Step[], everyM = 0.05): readonly Moment[] {
  const moments: Moment[] = [{ ...start, wayM: 0, step: 0 }];
  let [at, wayM] = [start, 0];
  steps.forEach(({ steerDeg, distanceM }, step) => {
    const turned = { ...at, steerDeg };
    const curvature = curvatureOf(vehicle, steerDeg);
    const parts = Math.max(1, Math.ceil(Math.abs(distanceM) / everyM - 1e-9));
    if (at.steerDeg !== steerDeg) moments.push({ ...turned, wayM, step });
    for (let i = 1; i <= parts; i++) {
      const share = i / parts;
      // The car from where the step began, the trailer from where it was last.
      const pose = alongArc(turned.pose, curvature, distanceM * share);
      const hitch = vehicle.trailer ? hitchAfter(vehicle, at.hitch, curvature, distanceM / parts) : 0;
      at = { pose, steerDeg, hitch };
      moments.push({ ...at, wayM: wayM + Math.abs(distanceM) * share, step });
    }
    wayM += Math.abs(distanceM);
  });
  return moments;
}

/**
 * The same plan without turning the wheel while the car stands: the turn is spread over the way around the point where
 * the plan changes its steering, and begins with the movement where the direction changes.
 * @param turnM metres of way for turning the front wheels from straight ahead to full lock, above 0
 */
export function rollingSteps(vehicle: Vehicle, steps: readonly Step[], turnM: number): readonly Step[] {
  const pieceM = 0.02;
  const held: { steerDeg: number; distanceM: number }[] = [];
  let before = 0;
  for (const [i, { steerDeg, distanceM }] of steps.entries()) {
    const way = Math.abs(distanceM);
    const sign = Math.sign(distanceM);
    const next = steps[i + 1];
    const goesOn = next !== undefined && Math.sign(next.distanceM) === sign;
    const metres = (degrees: number) => (Math.abs(degrees) / vehicle.lockDeg) * turnM;
    const previous = steps[i - 1];
    const cameOn = previous !== undefined && Math.sign(previous.distanceM) === sign;
    // Half of a turn lies before the point where the plan changes, half after it; after a stop all of it.
    const from = cameOn ? (before + steerDeg) / 2 : before;
    const to = goesOn ? (steerDeg + next.steerDeg) / 2 : steerDeg;
    let [inM, outM] = [metres(steerDeg - from), metres(to - steerDeg)];
    if (inM + outM > way) [inM, outM] = [(inM * way) / (inM + outM), (outM * way) / (inM + outM)];
    const steerAt = (m: number) =>
      m < inM
        ? from + ((steerDeg - from) * m) / inM
        : m > way - outM
          ? steerDeg + ((to - steerDeg) * (m - way + outM)) / outM
          : steerDeg;
    const parts = Math.max(1, Math.ceil(way / pieceM));
    for (let part = 0; part < parts; part++)
      held.push({ steerDeg: steerAt(((part + 0.5) * way) / parts), distanceM: (sign * way) / parts });
    before = to;
  }
  return held;
}
