import { toDegrees, wrapAngle } from '../geometry';
import { keptCurvature, metresUntil } from '../moves/hitch';
import { curvatureOf, roll, type Placed } from '../moves/roll';
import type { Moment, Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';

const { abs, atan, sign } = Math;

/** A trailer that stands less askew than this is in line, in radians. */
const inLineRad = 1e-3;

/**
 * The steps of a plan as a driver ends them who tows a trailer: by its angle to the car, and a bend by where the car points,
 * not by metres. From a place other than planned they come out a little different.
 * @param from where the vehicle stands
 * @param steps those still to be driven
 * @param planned where the vehicle would be before each of them and after the last, as planned
 * @returns undefined where the angle of a step cannot be reached any more
 */
export function endedByAngle(
  vehicle: Vehicle,
  from: Placed,
  steps: readonly Step[],
  planned: readonly Moment[],
): readonly Step[] | undefined {
  const all: Step[] = [];
  let at = from;
  const drive = (steerDeg: number, distanceM: number): void => {
    all.push({ steerDeg, distanceM });
    at = roll(vehicle, { ...at, steerDeg }, distanceM);
  };
  /** Rolls with the wheels held until the trailer stands at an angle. */
  const bringTo = (hitch: number, steerDeg: number, gear: 1 | -1): boolean => {
    if (abs(at.hitch - hitch) < 1e-9) return true;
    const metres = metresUntil(vehicle, at.hitch, hitch, curvatureOf(vehicle, steerDeg), gear);
    if (metres === undefined) return false;
    drive(steerDeg, gear * metres);
    return true;
  };
  for (const [i, { steerDeg, distanceM }] of steps.entries()) {
    const gear = distanceM < 0 ? -1 : 1;
    const [before, after] = [planned[i]!, planned[i + 1]!];
    if (abs(after.hitch - before.hitch) > inLineRad) {
      // It may be past the angle already: then it is brought back.
      const more = sign(after.hitch - before.hitch) === sign(after.hitch - at.hitch);
      if (!bringTo(after.hitch, more ? steerDeg : -sign(steerDeg || 1) * vehicle.lockDeg, gear)) return undefined;
    } else if (abs(after.hitch) > inLineRad) {
      const curvature = keptCurvature(vehicle, at.hitch);
      const metres = (gear * wrapAngle(after.pose.heading - at.pose.heading)) / curvature;
      if (metres > 0 && Number.isFinite(metres)) drive(toDegrees(atan(curvature * vehicle.wheelbaseM)), gear * metres);
    } else {
      // Backwards a trailer comes in line by steering to where the car points off it, forwards the other way.
      const steer = gear * -sign(at.hitch) * vehicle.lockDeg;
      if (abs(at.hitch) > 1e-9 && !bringTo(0, steer, gear)) return undefined;
      drive(steerDeg, distanceM);
    }
  }
  return all;
}
