// Looked up once: the planner asks millions of times.
const { PI, cos, hypot, max, min, sin, sqrt } = Math;

/** Metres: x to the right, y upwards. Angles are radians, anticlockwise from x. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Where something stands and where it points. */
export interface Pose extends Point {
  readonly heading: number;
}

/** The corners of a convex figure in their order; one corner is a point, two are a line. */
export type Polygon = readonly Point[];

export const toRadians = (degrees: number): number => (degrees * PI) / 180;
export const toDegrees = (radians: number): number => (radians * 180) / PI;

/** The same angle from -pi (excluded) to pi. */
export function wrapAngle(angle: number): number {
  const turned = angle % (2 * PI);
  if (turned > PI) return turned - 2 * PI;
  return turned <= -PI ? turned + 2 * PI : turned;
}

/** A point that is given from a pose (ahead, to the left), on the ground. */
export function placed(pose: Pose, { x, y }: Point): Point {
  const [cosine, sine] = [cos(pose.heading), sin(pose.heading)];
  return { x: pose.x + x * cosine - y * sine, y: pose.y + x * sine + y * cosine };
}

/** A point on the ground, as seen from a pose: how far ahead (x) and to the left (y). The inverse of `placed`. */
export function seenFrom(pose: Pose, { x, y }: Point): Point {
  const [cosine, sine] = [cos(pose.heading), sin(pose.heading)];
  const [dx, dy] = [x - pose.x, y - pose.y];
  return { x: dx * cosine + dy * sine, y: dy * cosine - dx * sine };
}

export const distance = (a: Point, b: Point): number => hypot(a.x - b.x, a.y - b.y);

/** Metres from a point to a line between two points. */
export const distanceToLine = (p: Point, a: Point, b: Point): number => sqrt(squaredToLine(p, a, b));

function squaredToLine(p: Point, a: Point, b: Point): number {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const px = p.x - a.x;
  const py = p.y - a.y;
  const squared = dx * dx + dy * dy;
  const along = squared === 0 ? 0 : min(1, max(0, (px * dx + py * dy) / squared));
  const offX = px - along * dx;
  const offY = py - along * dy;
  return offX * offX + offY * offY;
}

/** Which side of the line from a to b a point is on: above 0 to the left. */
const side = (a: Point, b: Point, p: Point): number => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);

/** Whether a point lies within a convex figure or on its edge, whichever way its corners go round. */
export function isInside(polygon: Polygon, p: Point): boolean {
  if (polygon.length < 3) return false;
  let [left, right] = [false, false];
  for (let i = 0; i < polygon.length; i++) {
    const of = side(polygon[i]!, polygon[(i + 1) % polygon.length]!, p);
    if (of > 0) left = true;
    if (of < 0) right = true;
  }
  // A figure without an inside, such as a mirror of no width, has all of its line on neither side.
  return left !== right;
}

function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** How many edges a figure has; a point has one, of no length. */
const edgesOf = (polygon: Polygon): number => (polygon.length < 3 ? 1 : polygon.length);

/** Metres between two convex figures, exact; 0 where they touch or overlap. */
export function distanceBetween(a: Polygon, b: Polygon): number {
  if (isInside(a, b[0]!) || isInside(b, a[0]!)) return 0;
  let least = Infinity;
  for (let i = 0; i < edgesOf(a); i++) {
    const a1 = a[i]!;
    const a2 = a[(i + 1) % a.length]!;
    for (let j = 0; j < edgesOf(b); j++) {
      const b1 = b[j]!;
      const b2 = b[(j + 1) % b.length]!;
      if (cross(a1, a2, b1, b2)) return 0;
      least = min(
        least,
        squaredToLine(a1, b1, b2),
        squaredToLine(a2, b1, b2),
        squaredToLine(b1, a1, a2),
        squaredToLine(b2, a1, a2),
      );
    }
  }
  return sqrt(least);
}

/** A rectangle along the axes. */
export interface Area {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** The least rectangle along the axes around some corners. */
export function areaAround(corners: readonly Point[]): Area {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of corners) {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < bottom) bottom = y;
    if (y > top) top = y;
  }
  return { left, right, bottom, top };
}

/** The least rectangle along the axes around others. */
export const areaAroundAll = (all: readonly Area[]): Area => ({
  left: min(...all.map(({ left }) => left)),
  right: max(...all.map(({ right }) => right)),
  bottom: min(...all.map(({ bottom }) => bottom)),
  top: max(...all.map(({ top }) => top)),
});

/** Metres that figures within two rectangles are apart at the least; 0 or less where the rectangles meet. */
export const apartAtLeast = (a: Area, b: Area): number =>
  max(a.left - b.right, b.left - a.right, a.bottom - b.top, b.bottom - a.top);

/** The corners of a rectangle between two points ahead and two to the left of a pose. */
export function rectangle(pose: Pose, back: number, front: number, right: number, left: number): Polygon {
  return [
    placed(pose, { x: back, y: right }),
    placed(pose, { x: front, y: right }),
    placed(pose, { x: front, y: left }),
    placed(pose, { x: back, y: left }),
  ];
}
