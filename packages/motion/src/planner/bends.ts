import { toDegrees, toRadians } from '../geometry';
import { keptCurvature, metresUntil } from '../moves/hitch';
import { curvatureOf, hitchAfter } from '../moves/roll';
import type { Vehicle } from '../vehicle/vehicle';

const { atan, ceil, max, min } = Math;

export type Gear = 1 | -1;

/** A part of a way with the wheels held. */
export interface Held {
  /** Degrees of the front wheels, to the left. */
  readonly steerDeg: number;
  /** 1 / metres, to the left. */
  readonly curvature: number;
  /** Below 0 backwards. */
  readonly distanceM: number;
  /** The angle of the trailer every so often along it, in radians, from its beginning to its end; one where it stays. */
  readonly hitches: readonly number[];
}

/**
 * A bend of a vehicle with its trailer from a straight line to a straight line, in one direction of travel: the trailer is
 * brought to an angle, kept there for as long as the bend is to last, and brought back.
 */
export interface Bend {
  readonly gear: Gear;
  /** The angle that the trailer is kept at, in radians; above 0 the car points to the left of it. */
  readonly hitch: number;
  readonly enter: Held;
  /** Its length is for whoever drives the bend to say. */
  readonly hold: Omit<Held, 'distanceM'>;
  readonly leave: Held;
  /** Radians to the left that it turns where nothing is held, and for each metre of way that it is held. */
  readonly turned: number;
  readonly turnsPerM: number;
}

/** The angles a trailer is kept at, in degrees, and the parts of full lock that bring it there and back. */
const hitchesDeg = [4, 8, 14, 20, 28, 36] as const;
const shares = [1, 0.5] as const;
/** No more than this part of full lock is needed to keep an angle: the rest is for correcting. */
const mostHeld = 0.85;

/**
 * The bends that a vehicle with a trailer can drive, to both sides.
 * @param everyM metres between two angles that are told of a trailer, at most
 */
export function bendsOf(vehicle: Vehicle, everyM: number): readonly Bend[] {
  const lock = curvatureOf(vehicle, vehicle.lockDeg);
  return hitchesDeg.flatMap((degrees) =>
    shares.flatMap((share) => {
      const hitch = toRadians(degrees);
      const kept = keptCurvature(vehicle, hitch);
      if (kept > lock * mostHeld) return [];
      const enter = heldUntil(vehicle, 0, hitch, min(lock, kept + share * lock), 1, everyM);
      const leave = heldUntil(vehicle, hitch, 0, max(-lock, min(kept - share * lock, -0.25 * lock)), 1, everyM);
      if (!enter || !leave) return [];
      const left: Bend = {
        gear: 1,
        hitch,
        enter,
        hold: { steerDeg: steerOf(vehicle, kept), curvature: kept, hitches: [hitch] },
        leave,
        turned: enter.curvature * enter.distanceM + leave.curvature * leave.distanceM,
        turnsPerM: kept,
      };
      const right = otherSide(left);
      return [left, right, reversed(left), reversed(right)];
    }),
  );
}

/** The angle of the front wheels for a curvature, in degrees. */
const steerOf = ({ wheelbaseM }: Vehicle, curvature: number): number => toDegrees(atan(curvature * wheelbaseM));

const mirrored = <H extends Omit<Held, 'distanceM'>>(held: H): H => ({
  ...held,
  steerDeg: -held.steerDeg,
  curvature: -held.curvature,
  hitches: held.hitches.map((hitch) => -hitch),
});

const otherSide = ({ enter, hold, leave, ...bend }: Bend): Bend => ({
  ...bend,
  hitch: -bend.hitch,
  enter: mirrored(enter),
  hold: mirrored(hold),
  leave: mirrored(leave),
  turned: -bend.turned,
  turnsPerM: -bend.turnsPerM,
});

const backwards = (held: Held): Held => ({
  ...held,
  distanceM: -held.distanceM,
  hitches: held.hitches.toReversed(),
});

/** The same bend from its end to its beginning. */
const reversed = (bend: Bend): Bend => ({
  ...bend,
  gear: -1,
  enter: backwards(bend.leave),
  leave: backwards(bend.enter),
  turned: -bend.turned,
  turnsPerM: -bend.turnsPerM,
});

/** The way with the wheels held until the trailer has come from one angle to another; undefined where it never does. */
export function heldUntil(
  vehicle: Vehicle,
  from: number,
  to: number,
  curvature: number,
  gear: Gear,
  everyM: number,
): Held | undefined {
  const metres = metresUntil(vehicle, from, to, curvature, gear);
  if (metres === undefined) return undefined;
  const parts = max(1, ceil(metres / everyM));
  const distanceM = gear * metres;
  return {
    steerDeg: steerOf(vehicle, curvature),
    curvature,
    distanceM,
    hitches: Array.from({ length: parts + 1 }, (_, i) => hitchAfter(vehicle, from, curvature, (distanceM * i) / parts)),
  };
}
