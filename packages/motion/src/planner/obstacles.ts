import { distanceBetween, type Point, type Polygon, type Pose } from '../geometry';
import type { Layout } from '../layout/layout';
import { lineWidthM, markerRadiusM } from '../layout/layout';
import { standing, type Arc } from '../moves/roll';
import { bodyOf, tyresOf, type Part } from '../vehicle/parts';
import type { Vehicle } from '../vehicle/vehicle';

// Looked up once: they are asked for millions of times.
const { SQRT2, cos, hypot, max, min, sin } = Math;

/** A rectangle along the vehicle, as seen from the middle of its rear axle. */
interface Box {
  readonly back: number;
  readonly front: number;
  readonly right: number;
  readonly left: number;
}

/** A part of a vehicle: the rectangle around it, and its corners where it is turned within that, as front wheels are. */
interface Outline extends Box {
  readonly corners: Polygon;
}

/** A line that may not come nearer than so many metres. */
interface Obstacle {
  readonly fromX: number;
  readonly fromY: number;
  readonly toX: number;
  readonly toY: number;
  readonly keepM: number;
}

/**
 * Tells of a pose whether a vehicle can stand there, its trailer so many radians askew; its wheels turned by one of the angles
 * it was made for.
 */
export interface Obstacles {
  readonly isFree: (pose: Pose, steer: number, hitch?: number) => boolean;
  /** Whether it can stand at the end of each of some arcs from a pose; of the car, a trailer is not looked at. */
  readonly isFreeAlong: (from: Pose, steer: number, arcs: readonly Arc[]) => boolean;
}

const origin = { x: 0, y: 0, heading: 0 };

/**
 * A quick test for a search, exact where it comes near: first the rectangle around all parts, then the one around each, then
 * its outline. What the search finds is checked at every centimetre afterwards.
 * @param steersDeg the angles of the front wheels that it is asked about, by their index
 * @param clearanceM metres that every part keeps
 */
export function obstaclesOf(
  vehicle: Vehicle,
  layout: Layout,
  steersDeg: readonly number[],
  clearanceM: number,
): Obstacles {
  const walls: Obstacle[] = [];
  const lines: Obstacle[] = [];
  for (const { kind, x, y } of layout.markers)
    walls.push(obstacle({ x, y }, { x, y }, clearanceM + markerRadiusM[kind]));
  for (const { kind, from, to } of layout.edges)
    (kind === 'wall' ? walls : lines).push(obstacle(from, to, clearanceM + (kind === 'line' ? lineWidthM / 2 : 0)));
  const body = bodyOf(vehicle, standing(origin)).filter((part) => !isOfTrailer(part));
  const bySteer = steersDeg.map((steerDeg) =>
    shapesOf(
      body,
      tyresOf(vehicle, { pose: origin, steerDeg, hitch: 0 }).filter((part) => !isOfTrailer(part)),
    ),
  );
  const trailer = vehicle.trailer && trailerShapes(vehicle);
  const { hitchBehindM: toHitchM = 0, drawbarM: barM = 0 } = vehicle.trailer ?? {};
  const { left, right, bottom, top } = layout.area;

  function isFreeAt(x: number, y: number, heading: number, { tyres, all }: Shapes): boolean {
    if (x < left || x > right || y < bottom || y > top) return false;
    const cosine = cos(heading);
    const sine = sin(heading);
    return !touchesAny(x, y, cosine, sine, walls, all) && !touchesAny(x, y, cosine, sine, lines, tyres);
  }

  return {
    isFreeAlong({ x, y, heading }, steer, arcs) {
      const shape = bySteer[steer]!;
      for (const { chordM, half } of arcs) {
        const middle = heading + half;
        if (!isFreeAt(x + chordM * cos(middle), y + chordM * sin(middle), middle + half, shape)) return false;
      }
      return true;
    },
    isFree({ x, y, heading }, steer, hitch = 0) {
      if (!isFreeAt(x, y, heading, bySteer[steer]!)) return false;
      if (!trailer) return true;
      // Where `trailerPose` says its axle is, without an object for each of millions.
      const turned = heading - hitch;
      const behindX = x - toHitchM * cos(heading) - barM * cos(turned);
      const behindY = y - toHitchM * sin(heading) - barM * sin(turned);
      return isFreeAt(behindX, behindY, turned, trailer);
    },
  };
}

/** The tyres of a vehicle or a trailer, and all of its parts. */
interface Shapes {
  readonly tyres: Shape;
  readonly all: Shape;
}

function shapesOf(body: readonly Part[], tyres: readonly Part[]): Shapes {
  const shape = (parts: readonly Part[]): Shape => {
    const outlines = parts.map(({ outline }) => outlineOf(outline));
    return { parts: outlines, outer: around(outlines), reachM: reachOf(outlines) };
  };
  return { tyres: shape(tyres), all: shape([...body, ...tyres]) };
}

/** The trailer of a vehicle as seen from the middle of its own axle. */
function trailerShapes(vehicle: Vehicle): Shapes {
  // Where the car has to stand for that.
  const { hitchBehindM, drawbarM } = vehicle.trailer!;
  const placed = standing({ ...origin, x: hitchBehindM + drawbarM });
  return shapesOf(bodyOf(vehicle, placed).filter(isOfTrailer), tyresOf(vehicle, placed).filter(isOfTrailer));
}

const isOfTrailer = ({ name }: Part): boolean => name.startsWith('trailer');

const obstacle = (from: Point, to: Point, keepM: number): Obstacle => ({
  fromX: from.x,
  fromY: from.y,
  toX: to.x,
  toY: to.y,
  keepM,
});

/** Parts of a vehicle, the rectangle around them, and how far from the middle of the rear axle they reach. */
interface Shape {
  readonly parts: readonly Outline[];
  readonly outer: Box;
  readonly reachM: number;
}

function touchesAny(
  x: number,
  y: number,
  cosine: number,
  sine: number,
  obstacles: readonly Obstacle[],
  { parts, outer, reachM }: Shape,
): boolean {
  for (const { fromX, fromY, toX, toY, keepM } of obstacles) {
    // At its corners a rectangle with a margin reaches further than the margin.
    const reach = reachM + SQRT2 * keepM;
    const ax = fromX - x;
    const bx = toX - x;
    if ((ax > reach && bx > reach) || (ax < -reach && bx < -reach)) continue;
    const ay = fromY - y;
    const by = toY - y;
    if ((ay > reach && by > reach) || (ay < -reach && by < -reach)) continue;
    // As seen from the vehicle.
    const aAhead = ax * cosine + ay * sine;
    const aLeft = ay * cosine - ax * sine;
    const bAhead = bx * cosine + by * sine;
    const bLeft = by * cosine - bx * sine;
    if (!crosses(aAhead, aLeft, bAhead, bLeft, outer, keepM)) continue;
    for (const part of parts)
      if (
        crosses(aAhead, aLeft, bAhead, bLeft, part, keepM) &&
        distanceBetween(part.corners, lineBetween(aAhead, aLeft, bAhead, bLeft)) < keepM
      )
        return true;
  }
  return false;
}

const reachOf = (boxes: readonly Box[]): number =>
  max(...boxes.map(({ back, front, right, left }) => hypot(max(-back, front), max(-right, left))));

const lineBetween = (ax: number, ay: number, bx: number, by: number): Polygon =>
  ax === bx && ay === by
    ? [{ x: ax, y: ay }]
    : [
        { x: ax, y: ay },
        { x: bx, y: by },
      ];

function outlineOf(corners: Polygon): Outline {
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  return { back: min(...xs), front: max(...xs), right: min(...ys), left: max(...ys), corners };
}

const around = (boxes: readonly Box[]): Box => ({
  back: min(...boxes.map(({ back }) => back)),
  front: max(...boxes.map(({ front }) => front)),
  right: min(...boxes.map(({ right }) => right)),
  left: max(...boxes.map(({ left }) => left)),
});

/** Whether a line meets a rectangle that is larger by a margin on every side. */
function crosses(ax: number, ay: number, bx: number, by: number, box: Box, margin: number): boolean {
  const back = box.back - margin;
  const front = box.front + margin;
  if ((ax < back && bx < back) || (ax > front && bx > front)) return false;
  const right = box.right - margin;
  const left = box.left + margin;
  if ((ay < right && by < right) || (ay > left && by > left)) return false;
  let from = 0;
  let to = 1;
  const dx = bx - ax;
  const dy = by - ay;
  if (dx !== 0) {
    const one = (back - ax) / dx;
    const other = (front - ax) / dx;
    from = max(from, min(one, other));
    to = min(to, max(one, other));
  }
  if (dy !== 0) {
    const one = (right - ay) / dy;
    const other = (left - ay) / dy;
    from = max(from, min(one, other));
    to = min(to, max(one, other));
  }
  return from <= to;
}
