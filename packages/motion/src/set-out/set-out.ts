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

/** The tape that a school has, in metres; house default. */
export const usualTapeM = 30;

/**
 * What a distance can be measured to on the ground by hand, in metres: 2 cm, a millimetre more for each metre beyond 20, and
 * 1 cm for each time that the tape is laid anew; house default.
 */
export const toleranceFor = (metres: number): number =>
  0.02 + 0.001 * Math.max(0, metres - 20) + 0.01 * (tapesFor(metres) - 1);

/** What a diagonal of that length may be out before it says that a corner is not square, in metres; house default. */
export const diagonalToleranceFor = (metres: number): number => 1.5 * toleranceFor(metres);

/** How often the tape is laid for a distance. */
export const tapesFor = (metres: number): number => Math.max(1, Math.ceil(metres / usualTapeM - 1e-9));

export interface Named extends Point {
  readonly id: string;
  readonly kind: SetPoint['kind'];
}

/**
 * The markers of a layout, and the ends of its edges but where a marker stands on one; those are chalked, p1 and so on. A
 * marker beside the end of a line is not that end: both are set.
 */
export function pointsOf({ markers, edges, area }: Layout): readonly Named[] {
  const points: Named[] = [...markers];
  const inside = ({ x, y }: Point) => x > area.left && x < area.right && y >= area.bottom && y <= area.top;
  for (const { from, to } of edges)
    for (const end of [from, to])
      if (inside(end) && points.every((known) => distance(known, end) > 0.01))
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

/** Sine of the angle up to which two lines count as parallel, and metres from a marker to the line it stands beside. */
const parallel = 0.01;
const besideM = 0.3;

/**
 * The painted line that the base line of the markers stands beside, by the points at its ends: cones stand off their line, and
 * a tape lies on it. Where the markers run along nothing that is there, the longest line: an area is set out from its edge.
 */
function baseAlong(
  { edges }: Layout,
  points: readonly Named[],
  base: readonly [Named, Named],
): readonly [Named, Named] {
  const own = { x: base[1].x - base[0].x, y: base[1].y - base[0].y };
  const length = Math.hypot(own.x, own.y);
  const off = ({ x, y }: Point) => Math.abs(own.x * (y - base[0].y) - own.y * (x - base[0].x)) / length;
  const isAlong = ({ from, to }: Layout['edges'][number]) =>
    Math.abs(own.x * (to.y - from.y) - own.y * (to.x - from.x)) < parallel * length * distance(from, to);
  const at = (end: Point) => points.find((point) => distance(point, end) < 0.01);
  const ends = (wanted: (edge: Layout['edges'][number]) => boolean) =>
    edges
      .filter((edge) => edge.kind === 'line' && wanted(edge))
      .sort((a, b) => distance(b.from, b.to) - distance(a.from, a.to))
      .flatMap(({ from, to }) => {
        const [first, second] = [at(from), at(to)];
        return first && second ? [[first, second] as const] : [];
      })[0];
  const beside = ends((edge) => isAlong(edge) && off(edge.from) < besideM && off(edge.to) < besideM);
  return beside ?? (edges.some(isAlong) ? base : (ends(() => true) ?? base));
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
