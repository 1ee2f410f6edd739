import { wrapAngle, type Pose } from '../geometry';
import type { Goal } from '../layout/layout';
import { waysBetween } from './reeds-shepp';
import { fullLeft, fullRight, radii, type Steering } from './steering';

const { PI, abs } = Math;

/** A part of a way, with the index of its steering. */
export interface DirectPart {
  readonly steer: number;
  /** Metres; below 0 backwards. */
  readonly distanceM: number;
}

/** A way from a position to the goal as if nothing stood there. */
export interface DirectWay {
  readonly lengthM: number;
  /** How often it changes direction, and whether it begins forwards (1) or backwards (-1). */
  readonly changes: number;
  readonly begins: 1 | -1;
  readonly parts: () => readonly DirectPart[];
}

/** Further round than this nobody turns to face the other way, in radians. */
const mostTurned = 1.2 * PI;

/**
 * Ways from a position to a goal: to a pose those of Reeds and Shepp, around each of the radii asked for; to a heading one
 * arc at full lock.
 * @param leastRadiusM the least radius of the vehicle
 * @param nthRadii which of the radii, by their index
 */
export function* directWays(
  from: Pose,
  goal: Goal,
  leastRadiusM: number,
  steering: Steering,
  nthRadii: readonly number[],
): Generator<DirectWay> {
  if (goal.kind === 'heading') {
    const left = wrapAngle(goal.heading - from.heading);
    for (const steer of [fullRight, fullLeft])
      for (const turned of [left, left > 0 ? left - 2 * PI : left + 2 * PI]) {
        if (abs(turned) >= mostTurned) continue;
        const distanceM = turned / steering.curvatures[steer]!;
        yield {
          lengthM: abs(distanceM),
          changes: 0,
          begins: distanceM < 0 ? -1 : 1,
          parts: () => [{ steer, distanceM }],
        };
      }
    return;
  }
  for (const to of goal.poses)
    for (const nth of nthRadii) {
      const radiusM = leastRadiusM * radii[nth]!;
      for (const { pieces, length, changes, begins } of waysBetween(from, to, radiusM))
        yield {
          lengthM: length * radiusM,
          changes,
          begins,
          parts: () =>
            pieces().map((piece) => ({
              steer: steering.indexOf(piece.turn, nth),
              distanceM: piece.length * radiusM,
            })),
        };
    }
}
