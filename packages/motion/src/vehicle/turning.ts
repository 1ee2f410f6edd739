import { toDegrees, toRadians } from '../geometry';
import type { Vehicle } from './vehicle';

type Axles = Pick<Vehicle, 'wheelbaseM' | 'trackM' | 'tyreWidthM'>;

/**
 * Metres from the middle of the turn to the middle of the rear axle: wheelbase / tan(steering angle).
 * Ackermann geometry, any textbook of vehicle dynamics.
 * @param steerDeg degrees of a wheel in the middle of the front axle; straight ahead gives Infinity
 */
export const turningRadius = (wheelbaseM: number, steerDeg: number): number =>
  steerDeg === 0 ? Infinity : wheelbaseM / Math.tan(toRadians(Math.abs(steerDeg)));

/** The least radius of a vehicle, of the middle of its rear axle, in metres. */
export const leastRadius = ({ wheelbaseM, lockDeg }: Vehicle): number => turningRadius(wheelbaseM, lockDeg);

/** The steering angles of both front wheels, in degrees, for that of a wheel in their middle (Ackermann). */
export function wheelAngles(
  { wheelbaseM, trackM }: Axles,
  steerDeg: number,
): { readonly left: number; readonly right: number } {
  if (steerDeg === 0) return { left: 0, right: 0 };
  const radius = wheelbaseM / Math.tan(toRadians(steerDeg));
  const angle = (offset: number) => toDegrees(Math.atan(wheelbaseM / (radius - offset)));
  return { left: angle(trackM / 2), right: angle(-trackM / 2) };
}

/** The diameter between kerbs of the circle at full lock, in metres: twice the way of the outer front tyre's outer edge. */
export function kerbToKerb(axles: Axles, lockDeg: number): number {
  const radius = turningRadius(axles.wheelbaseM, lockDeg);
  return 2 * (Math.hypot(radius + axles.trackM / 2, axles.wheelbaseM) + axles.tyreWidthM / 2);
}

/**
 * The steering angle at full lock for a circle between kerbs, in degrees; the inverse of `kerbToKerb`.
 * @returns undefined where no lock gives a circle that small
 */
export function lockForCircle(axles: Axles, circleM: number): number | undefined {
  const outer = circleM / 2 - axles.tyreWidthM / 2;
  const squared = outer * outer - axles.wheelbaseM * axles.wheelbaseM;
  if (!(outer > 0 && squared > 0)) return undefined;
  const radius = Math.sqrt(squared) - axles.trackM / 2;
  return radius > 0 ? toDegrees(Math.atan(axles.wheelbaseM / radius)) : undefined;
}

/** The diameter between walls, in metres: twice the way of the front corner of the body. */
export function wallToWall({ wheelbaseM, frontOverhangM, widthM, lockDeg }: Vehicle): number {
  return 2 * Math.hypot(turningRadius(wheelbaseM, lockDeg) + widthM / 2, wheelbaseM + frontOverhangM);
}
