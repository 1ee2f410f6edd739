import { wrapAngle, type Pose } from '../geometry';
import type { Goal } from '../layout/layout';
import { alongArc } from '../moves/roll';
import type { Bend, Gear, Held } from './bends';

const { PI, abs, cos, sin, sign } = Math;

/** A part of a way of a vehicle with its trailer: straight in line, or a bend held for so many metres. */
export type TrailerPart =
  { readonly straightM: number; readonly bend?: never } | { readonly bend: Bend; readonly holdM: number };

const inLine = [0] as const;

/** The parts of a way in which the wheels are held, in the order they are driven. */
export function heldParts(part: TrailerPart): readonly Held[] {
  if (!part.bend) return [{ steerDeg: 0, curvature: 0, distanceM: part.straightM, hitches: inLine }];
  const { bend, holdM } = part;
  const { enter, hold, leave, gear } = bend;
  return holdM > 1e-9 ? [enter, { ...hold, distanceM: gear * holdM }, leave] : [enter, leave];
}

/** Where the car is at the end of a part. */
export function afterPart(from: Pose, part: TrailerPart): Pose {
  if (!part.bend) return alongArc(from, 0, part.straightM);
  const { bend, holdM } = part;
  const { enter, hold, leave, gear } = bend;
  const entered = alongArc(from, enter.curvature, enter.distanceM);
  return alongArc(alongArc(entered, hold.curvature, gear * holdM), leave.curvature, leave.distanceM);
}

/** Metres of way of a part. */
export const metresOf = (part: TrailerPart): number =>
  part.bend ? abs(part.bend.enter.distanceM) + part.holdM + abs(part.bend.leave.distanceM) : abs(part.straightM);

/** Forwards or backwards. */
export const gearOf = (part: TrailerPart): Gear => (part.bend ? part.bend.gear : part.straightM < 0 ? -1 : 1);

/**
 * A bend held for so long that it turns the vehicle by so many radians to the left; undefined where it turns further
 * without being held at all, or to the other side.
 */
export function bendBy(bend: Bend, angle: number): TrailerPart | undefined {
  const holdM = (angle - bend.turned) / bend.turnsPerM;
  return holdM >= 0 ? { bend, holdM } : undefined;
}

/** Angles in radians that the first of two bends turns by. */
const firstTurns = [4, 7, 11, 16, 22, 30, 40, 52, 66, 80].map((degrees) => (degrees * PI) / 180);
const fewFirstTurns = firstTurns.filter((_, i) => i % 2 === 1);
/** Metres straight on between two bends. */
const [betweenM, betweenShortlyM] = [[0, 2, 5], [0]] as const;
/** Shares of what is left to go straight that are gone before the first bend. */
const splits = [0, 0.25, 0.5, 0.75, 1] as const;
/** Two ways closer to parallel than this are taken to be so, in radians. */
const parallelRad = 0.03;

/**
 * Ways from a position, the trailer in line, to a goal as if nothing stood there: straight, one bend and straight; or two bends,
 * the second bringing the vehicle where the first did not.
 * @param thorough tries more ways of two bends
 */
export function* trailerWays(
  from: Pose,
  goal: Goal,
  bends: readonly Bend[],
  thorough: boolean,
): Generator<readonly TrailerPart[]> {
  if (goal.kind === 'heading') {
    const left = wrapAngle(goal.heading - from.heading);
    for (const turn of [left, left > 0 ? left - 2 * PI : left + 2 * PI])
      for (const bend of bends) {
        const part = bendBy(bend, turn);
        if (part) yield [part];
      }
    return;
  }
  for (const to of goal.poses) {
    const turn = wrapAngle(to.heading - from.heading);
    const isParallel = abs(turn) < parallelRad;
    if (isParallel) {
      const { along, aside } = apart(from, to);
      if (abs(aside) < 1e-3 && abs(turn) < 1e-6) yield [{ straightM: along }];
    } else
      for (const bend of bends) {
        const part = bendBy(bend, turn);
        if (part) yield* withStraights(from, to, [part]);
      }
    for (const one of bends) {
      // As much askew to the other side, in the same direction of travel.
      const other = bends.find(
        ({ gear, hitch, enter }) => gear === one.gear && hitch === -one.hitch && enter.steerDeg === -one.enter.steerDeg,
      )!;
      for (const between of thorough ? betweenM : betweenShortlyM) {
        const both = (angle: number): readonly TrailerPart[] | undefined => {
          const [first, second] = [bendBy(one, angle), bendBy(other, turn - angle)];
          if (!first || !second) return undefined;
          return between > 0 ? [first, { straightM: one.gear * between }, second] : [first, second];
        };
        const side = sign(one.turnsPerM);
        if (isParallel) yield* sideways(from, to, both, side);
        else
          for (const angle of thorough ? firstTurns : fewFirstTurns) {
            const parts = both(side * angle);
            if (parts) yield* withStraights(from, to, parts);
          }
      }
    }
  }
}

/** To a pose that lies beside: how far the first bend turns decides how far aside it comes, found by halving. */
function* sideways(
  from: Pose,
  to: Pose,
  both: (angle: number) => readonly TrailerPart[] | undefined,
  side: number,
): Generator<readonly TrailerPart[]> {
  const asideAfter = (angle: number): number | undefined => {
    const parts = both(side * angle);
    return parts && apart(parts.reduce(afterPart, from), to).aside;
  };
  let before: { readonly angle: number; readonly aside: number } | undefined;
  for (const angle of firstTurns) {
    const aside = asideAfter(angle);
    if (before && aside !== undefined && before.aside * aside < 0) {
      let [low, high] = [before.angle, angle];
      for (let i = 0; i < 45; i++) {
        const middle = (low + high) / 2;
        if ((asideAfter(middle) ?? 0) * before.aside > 0) low = middle;
        else high = middle;
      }
      const found = both(side * high);
      if (found) yield* withStraights(from, to, found);
    }
    before = aside === undefined ? undefined : { angle, aside };
  }
}

/** How far a position is ahead of another and to its left, in metres, seen along the other's direction. */
function apart(from: Pose, to: Pose): { readonly along: number; readonly aside: number } {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  return {
    along: dx * cos(to.heading) + dy * sin(to.heading),
    aside: dy * cos(to.heading) - dx * sin(to.heading),
  };
}

/** The parts with as much straight before and after them as brings the vehicle to a pose that it then points along. */
function* withStraights(from: Pose, to: Pose, parts: readonly TrailerPart[]): Generator<readonly TrailerPart[]> {
  const end = parts.reduce(afterPart, from);
  const [dx, dy] = [to.x - end.x, to.y - end.y];
  const across = sin(to.heading - from.heading);
  const all = (before: number, after: number): readonly TrailerPart[] => [
    ...(abs(before) > 1e-6 ? [{ straightM: before }] : []),
    ...parts,
    ...(abs(after) > 1e-6 ? [{ straightM: after }] : []),
  ];
  if (abs(across) >= parallelRad * 0.9) {
    // before * (direction at the start) + after * (direction at the goal) = what is left.
    const before = (dx * sin(to.heading) - dy * cos(to.heading)) / across;
    const after = (dy * cos(from.heading) - dx * sin(from.heading)) / across;
    yield all(before, after);
    return;
  }
  const along = dx * cos(to.heading) + dy * sin(to.heading);
  if (abs(dy * cos(to.heading) - dx * sin(to.heading)) > 1e-3) return;
  for (const share of splits) yield all(along * share, along * (1 - share));
}
