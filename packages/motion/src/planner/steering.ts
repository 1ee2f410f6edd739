import { toDegrees } from '../geometry';
import { curvatureOf } from '../moves/roll';
import { leastRadius } from '../vehicle/turning';
import type { Vehicle } from '../vehicle/vehicle';

/** Steering angles that are tried, as parts of full lock to the left. */
export const shares = [-1, -0.5, 0, 0.5, 1] as const;
export const [fullRight, straight, fullLeft] = [0, 2, 4] as const;

/** Radii that are tried for the way from a position to the goal, as multiples of the least. */
export const radii = [1, 1.1, 1.2, 1.35, 1.5, 1.75, 2, 2.5] as const;

/** The steering angles of a search, by their index: first the shares of full lock, then both sides of each wider radius. */
export interface Steering {
  readonly anglesDeg: readonly number[];
  /** 1 / metres, to the left. */
  readonly curvatures: readonly number[];
  /** The index of a turn (1 left, 0 straight, -1 right) around one of the radii. */
  readonly indexOf: (turn: -1 | 0 | 1, nthRadius: number) => number;
}

export function steeringOf(vehicle: Vehicle): Steering {
  const least = leastRadius(vehicle);
  const angle = (radiusM: number) => toDegrees(Math.atan(vehicle.wheelbaseM / radiusM));
  const wider = radii.slice(1).flatMap((times) => [-angle(least * times), angle(least * times)]);
  const anglesDeg = [...shares.map((share) => share * vehicle.lockDeg), ...wider];
  return {
    anglesDeg,
    curvatures: anglesDeg.map((steerDeg) => curvatureOf(vehicle, steerDeg)),
    indexOf(turn, nthRadius) {
      if (turn === 0) return straight;
      if (nthRadius === 0) return turn > 0 ? fullLeft : fullRight;
      return shares.length + (nthRadius - 1) * 2 + (turn > 0 ? 1 : 0);
    },
  };
}
