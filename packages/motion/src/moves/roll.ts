import { toRadians, wrapAngle, type Pose } from '../geometry';
import type { Vehicle } from '../vehicle/vehicle';

const { abs, asin, atan, ceil, cos, hypot, max, sin, tan } = Math;

/** A vehicle as it stands: where, its steering, and its trailer. */
export interface Placed {
  readonly pose: Pose;
  /** Degrees of a wheel in the middle of the front axle, to the left of straight ahead. */
  readonly steerDeg: number;
  /** How far the car points to the left of its trailer, in radians; 0 in a straight line. */
  readonly hitch: number;
}

/** Stands straight at a pose. */
export const standing = (pose: Pose): Placed => ({ pose, steerDeg: 0, hitch: 0 });

/** The trailer's angle is followed in steps of at most so many metres. */
const trailerStepM = 0.02;

/** An arc by its chord: how long that is, and half of the angle that is turned, in radians. */
export interface Arc {
  readonly chordM: number;
  readonly half: number;
}

/**
 * The arc of so many metres, below 0 backwards.
 * @param curvature 1 / metres, to the left
 */
export function arcOf(curvature: number, distanceM: number): Arc {
  // sin(a/2)/(a/2): for a straight way and one that is nearly so alike.
  const half = (curvature * distanceM) / 2;
  return { chordM: distanceM * (abs(half) < 1e-9 ? 1 : sin(half) / half), half };
}

/** Where a pose is at the end of an arc, exact. */
export const afterArc = ({ x, y, heading }: Pose, { chordM, half }: Arc): Pose => ({
  x: x + chordM * cos(heading + half),
  y: y + chordM * sin(heading + half),
  heading: wrapAngle(heading + 2 * half),
});

/**
 * Where a pose is after rolling along with the wheels held.
 * @param curvature 1 / metres, to the left
 * @param distanceM below 0 backwards
 */
export const alongArc = (pose: Pose, curvature: number, distanceM: number): Pose =>
  afterArc(pose, arcOf(curvature, distanceM));

/** 1 / metres of the way of the middle of the rear axle, to the left, for a steering angle in degrees. */
export const curvatureOf = ({ wheelbaseM }: Pick<Vehicle, 'wheelbaseM'>, steerDeg: number): number =>
  tan(toRadians(steerDeg)) / wheelbaseM;

/**
 * A vehicle after rolling with its wheels held where they are. The car's way is exact. The trailer's angle follows the
 * kinematic car with trailer, d(hitch)/ds = k - sin(hitch)/d + (a k/d) cos(hitch), k the car's curvature, d the drawbar, a
 * the coupling's way behind the axle (any textbook of vehicle dynamics), in steps of two centimetres of fourth order.
 * @param distanceM below 0 backwards
 */
export function roll(vehicle: Vehicle, { pose, steerDeg, hitch }: Placed, distanceM: number): Placed {
  const curvature = curvatureOf(vehicle, steerDeg);
  return {
    pose: alongArc(pose, curvature, distanceM),
    steerDeg,
    hitch: vehicle.trailer ? hitchAfter(vehicle, hitch, curvature, distanceM) : 0,
  };
}

/**
 * The angle of a trailer after rolling along with the wheels held, in radians.
 * @param curvature 1 / metres, to the left
 * @param distanceM below 0 backwards
 */
export function hitchAfter(
  { trailer }: Pick<Vehicle, 'trailer'>,
  from: number,
  curvature: number,
  distanceM: number,
): number {
  const { drawbarM, hitchBehindM } = trailer!;
  const steps = max(1, ceil(abs(distanceM) / trailerStepM));
  const ds = distanceM / steps;
  const rate = (hitch: number) =>
    curvature - sin(hitch) / drawbarM + ((hitchBehindM * curvature) / drawbarM) * cos(hitch);
  let hitch = from;
  for (let i = 0; i < steps; i++) {
    const a = rate(hitch);
    const b = rate(hitch + (ds / 2) * a);
    const c = rate(hitch + (ds / 2) * b);
    const d = rate(hitch + ds * c);
    hitch += (ds / 6) * (a + 2 * b + 2 * c + d);
  }
  return wrapAngle(hitch);
}

/**
 * The angle at which a trailer follows a steady turn, in radians, and the angle beyond which no steering brings it back
 * while reversing; undefined where the turn is tighter than the trailer can follow. In closed form: the roots of
 * k d + a k cos(h) = sin(h).
 */
export function steadyHitch({ wheelbaseM, trailer }: Vehicle, steerDeg: number): number | undefined {
  if (!trailer) return undefined;
  const curvature = curvatureOf({ wheelbaseM }, steerDeg);
  const { drawbarM, hitchBehindM } = trailer;
  // sin(h) - q cos(h) = p with p = k d, q = a k.
  const [p, q] = [curvature * drawbarM, hitchBehindM * curvature];
  const size = hypot(1, q);
  return abs(p) > size ? undefined : asin(p / size) + atan(q);
}
