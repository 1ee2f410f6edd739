import { distance, type Point } from '../geometry';
import type { Layout } from '../layout/layout';

/** How one marker is set with a tape: along the base line, then square off it, then checked. */
export interface SetPoint extends Point {
  readonly id: string;
  readonly kind: 'cone' | 'pole' | 'chalk';
  /** Metres along the base line from its first marker, and off it (to the left above 0). */
  readonly alongM: number;
  readonly offM: number;
  /** Metres from either end of the base line: the diagonals that square it up. */
  readonly toFirstM: number;
  readonly toSecondM: number;
}

/** A layout as a person with one tape sets it out. */
export interface SetOut {
  /** The two points of the base line, and the metres between them. */
  readonly base: { readonly from: string; readonly to: string; readonly lengthM: number };
  /** The other points in the order in which they are set: along the base line and back. */
  readonly points: readonly SetPoint[];
  /** The whole ground that it takes, in metres. */
  readonly lengthM: number;
  readonly widthM: number;
  readonly parts: Parts;
}

/** What to bring. */
export interface Parts {
  readonly cones: number;
  readonly poles: number;
  /** Points that are chalked. */
  readonly chalked: number;
  /** Metres of painted or taped line. */
  readonly lineM: number;
  /** The longest distance that is measured, in metres. */
  readonly tapeM: number;
}

/** Each measure may be out by so many metres; a diagonal that is out by more says that a corner is not square. */
export const toleranceM = 0.02;
export const diagonalToleranceM = 0.03;

export interface Named extends Point {
  readonly id: string;
  readonly kind: SetPoint['kind'];
}

/** The markers of a layout, and the ends of its edges where no marker stands; those are chalked, p1 and so on. */
export function pointsOf({ markers, edges, area }: Layout): readonly Named[] {
  const points: Named[] = [...markers];
  const inside = ({ x, y }: Point) => x > area.left && x < area.right && y >= area.bottom && y <= area.top;
  for (const { from, to } of edges)
    for (const end of [from, to])
      if (inside(end) && points.every((known) => distance(known, end) > 0.3))
        points.push({ ...end, id: `p${points.length - markers.length + 1}`, kind: 'chalk' });
  return points;
}

/**
 * The two markers whose line has the most others on it and the rest on one side, of those the longest; chalked points only
 * where there are no markers.
 */
function baseOf(all: readonly Named[]): readonly [Named, Named] {
  const markers = all.filter(({ kind }) => kind !== 'chalk');
  const points = markers.length > 1 ? markers : all;
  let best: { readonly ends: readonly [Named, Named]; readonly rank: readonly number[] } | undefined;
  for (const [i, a] of points.entries())
    for (const b of points.slice(i + 1)) {
      const across = points.map(({ x, y }) => ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / distance(a, b));
      const on = across.filter((metres) => Math.abs(metres) < 0.02).length;
      const oneSide = across.every((metres) => metres > -0.02) || across.every((metres) => metres < 0.02);
      const rank = [on, oneSide ? 1 : 0, distance(a, b)];
      if (!best || isHigher(rank, best.rank)) best = { ends: [a, b], rank };
    }
  return best!.ends;
}

/** Sine of the angle up to which two lines count as parallel. */
const parallel = 0.01;

/**
 * The longest painted line, by the points at its ends, where the base line of the markers runs along nothing that is there:
 * an area is set out from its edge.
 */
function baseAlong(
  { edges }: Layout,
  points: readonly Named[],
  base: readonly [Named, Named],
): readonly [Named, Named] {
  const way = ({ x, y }: Point, to: Point) => ({ x: to.x - x, y: to.y - y });
  const own = way(...base);
  const runsAlong = edges.some(({ from, to }) => {
    const edge = way(from, to);
    return Math.abs(own.x * edge.y - own.y * edge.x) < parallel * Math.hypot(own.x, own.y) * Math.hypot(edge.x, edge.y);
  });
  if (runsAlong) return base;
  const at = (end: Point) => points.find((point) => distance(point, end) < 0.01);
  const lines = edges
    .filter(({ kind }) => kind === 'line')
    .sort((a, b) => distance(b.from, b.to) - distance(a.from, a.to))
    .flatMap(({ from, to }) => {
      const [first, second] = [at(from), at(to)];
      return first && second ? [[first, second] as const] : [];
    });
  return lines[0] ?? base;
}

/** Whether of two ranks the first number that differs is higher in the first; a millimetre is no difference. */
function isHigher(one: readonly number[], other: readonly number[]): boolean {
  const at = one.findIndex((number, i) => Math.abs(number - other[i]!) > 1e-3);
  return at >= 0 && one[at]! > other[at]!;
}

/**
 * How to set a layout out with one tape: a base line, offsets from it in the order of a walk, diagonals.
 * @returns undefined where it has fewer than two points to set
 */
export function setOut(layout: Layout): SetOut | undefined {
  const points = pointsOf(layout);
  if (points.length < 2) return undefined;
  const [first, second] = baseAlong(layout, points, baseOf(points));
  const lengthM = distance(first, second);
  const along = { x: (second.x - first.x) / lengthM, y: (second.y - first.y) / lengthM };
  const rest = points
    .filter((point) => point !== first && point !== second)
    .map((point): SetPoint => {
      const [dx, dy] = [point.x - first.x, point.y - first.y];
      return {
        ...point,
        alongM: dx * along.x + dy * along.y,
        offM: dy * along.x - dx * along.y,
        toFirstM: distance(point, first),
        toSecondM: distance(point, second),
      };
    });
  // Out along the base line on its nearer side, back on the other.
  const [near, far] = [rest.filter(({ offM }) => offM >= -0.02), rest.filter(({ offM }) => offM < -0.02)];
  const order = [...near.sort((a, b) => a.alongM - b.alongM), ...far.sort((a, b) => b.alongM - a.alongM)];
  const { area, edges } = layout;
  const count = (kind: SetPoint['kind']) => points.filter((point) => point.kind === kind).length;
  return {
    base: { from: first.id, to: second.id, lengthM },
    points: order,
    lengthM: area.right - area.left,
    widthM: area.top - area.bottom,
    parts: {
      cones: count('cone'),
      poles: count('pole'),
      chalked: count('chalk'),
      lineM: edges.reduce((sum, { kind, from, to }) => sum + (kind === 'line' ? distance(from, to) : 0), 0),
      tapeM: Math.max(lengthM, ...order.flatMap(({ toFirstM, toSecondM }) => [toFirstM, toSecondM])),
    },
  };
}

/** Whether a layout fits a piece of ground either way round, and what is missing of its length and width, in metres. */
export function fits(
  { lengthM, widthM }: Pick<SetOut, 'lengthM' | 'widthM'>,
  ground: { readonly lengthM: number; readonly widthM: number },
): {
  readonly fits: boolean;
  readonly turned: boolean;
  readonly missingLengthM: number;
  readonly missingWidthM: number;
} {
  const missing = (length: number, width: number) => ({
    missingLengthM: Math.max(0, length - ground.lengthM),
    missingWidthM: Math.max(0, width - ground.widthM),
  });
  const [as, turned] = [missing(lengthM, widthM), missing(widthM, lengthM)];
  const sum = (one: typeof as) => one.missingLengthM + one.missingWidthM;
  const better = sum(turned) < sum(as);
  return { fits: Math.min(sum(as), sum(turned)) === 0, turned: better, ...(better ? turned : as) };
}
