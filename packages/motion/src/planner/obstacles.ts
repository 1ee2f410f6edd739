import type { Point, Polygon, Pose } from '../geometry';
import type { Layout } from '../layout/layout';
import { lineWidthM, markerRadiusM } from '../layout/layout';
import { standing } from '../moves/roll';
import { bodyOf, tyresOf } from '../vehicle/parts';
import type { Vehicle } from '../vehicle/vehicle';

const { cos, max, min, sin } = Math;

/** A rectangle along the vehicle, as seen from the middle of its rear axle. */
interface Box {
  readonly back: number;
  readonly front: number;
  readonly right: number;
  readonly left: number;
}

/** A line that may not come nearer than so many metres. */
interface Obstacle {
  readonly from: Point;
  readonly to: Point;
  readonly keepM: number;
}

/** Tells of a pose whether a vehicle can stand there; its wheels turned by one of the angles it was made for. */
export interface Obstacles {
  readonly isFree: (pose: Pose, steer: number) => boolean;
}

const origin = { x: 0, y: 0, heading: 0 };

/**
 * A quick test for a search: every part is the rectangle around it, which errs towards caution where front wheels are
 * turned. What the search finds is checked exactly afterwards.
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
    walls.push({ from: { x, y }, to: { x, y }, keepM: clearanceM + markerRadiusM[kind] });
  for (const { kind, from, to } of layout.edges)
    (kind === 'wall' ? walls : lines).push({ from, to, keepM: clearanceM + (kind === 'line' ? lineWidthM / 2 : 0) });
  const body = bodyOf(vehicle, standing(origin))
    .filter(({ name }) => name !== 'trailer-body')
    .map(({ outline }) => boxAround(outline));
  const bySteer = steersDeg.map((steerDeg) => {
    const tyres = tyresOf(vehicle, { pose: origin, steerDeg, hitch: 0 })
      .filter(({ name }) => !name.startsWith('trailer'))
      .map(({ outline }) => boxAround(outline));
    const all = [...body, ...tyres];
    return { tyres, all, aroundTyres: around(tyres), aroundAll: around(all) };
  });
  const { area } = layout;

  return {
    isFree({ x, y, heading }, steer) {
      if (x < area.left || x > area.right || y < area.bottom || y > area.top) return false;
      const { tyres, all, aroundTyres, aroundAll } = bySteer[steer]!;
      const [cosine, sine] = [cos(heading), sin(heading)];
      return (
        !touchesAny(x, y, cosine, sine, walls, aroundAll, all) &&
        !touchesAny(x, y, cosine, sine, lines, aroundTyres, tyres)
      );
    },
  };
}

function touchesAny(
  x: number,
  y: number,
  cosine: number,
  sine: number,
  obstacles: readonly Obstacle[],
  outer: Box,
  boxes: readonly Box[],
): boolean {
  for (const { from, to, keepM } of obstacles) {
    // As seen from the vehicle.
    const [ax, ay, bx, by] = [from.x - x, from.y - y, to.x - x, to.y - y];
    const [aAhead, aLeft] = [ax * cosine + ay * sine, ay * cosine - ax * sine];
    const [bAhead, bLeft] = [bx * cosine + by * sine, by * cosine - bx * sine];
    if (!crosses(aAhead, aLeft, bAhead, bLeft, outer, keepM)) continue;
    for (const box of boxes) if (crosses(aAhead, aLeft, bAhead, bLeft, box, keepM)) return true;
  }
  return false;
}

function boxAround(outline: Polygon): Box {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  return { back: min(...xs), front: max(...xs), right: min(...ys), left: max(...ys) };
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
