import type { Point, Polygon } from '@jasperwren/motion/geometry';
import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Placed } from '@jasperwren/motion/moves/roll';
import { bodyOf, tyresOf, type PartName } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';

/** The part of the ground that a picture shows, in metres. */
export interface Frame {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const marginM = 0.8;

/** The ground of a layout, and whatever a vehicle covers on its way. */
export function frameOf({ area }: Layout, vehicle: Vehicle, way: readonly Placed[]): Frame {
  const corners = way.flatMap((placed) => bodyOf(vehicle, placed).flatMap(({ outline }) => outline));
  const driven = corners.length > 0;
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  // Along the aisle only what is driven on matters; across it all of the ground does.
  const left = (driven ? Math.min(...xs) - 1 : area.left) - marginM;
  const right = (driven ? Math.max(...xs) + 1 : area.right) + marginM;
  const bottom = Math.min(area.bottom, ...ys) - marginM;
  const top = Math.max(area.top, ...ys) + marginM;
  return { left, top, width: right - left, height: top - bottom };
}

const round = (metres: number) => Math.round(metres * 1000) / 1000;

/** A path through points; on paper y goes down. */
export const pathOf = (points: readonly Point[]): string =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(-y)}`).join('');

export const shapeOf = (polygon: Polygon): string => `${pathOf(polygon)}Z`;

const middle = (polygon: Polygon): Point => ({
  x: polygon.reduce((sum, { x }) => sum + x, 0) / polygon.length,
  y: polygon.reduce((sum, { y }) => sum + y, 0) / polygon.length,
});

export interface Tracks {
  readonly tyres: readonly { readonly name: PartName; readonly path: string; readonly front: boolean }[];
  readonly corners: readonly string[];
}

/** The ways of the tyres and of the corners of the body. */
export function tracksOf(vehicle: Vehicle, way: readonly Placed[]): Tracks {
  const tyres = new Map<PartName, Point[]>();
  const corners = new Map<string, Point[]>();
  const add = <K>(map: Map<K, Point[]>, key: K, point: Point) => {
    const points = map.get(key);
    if (points) points.push(point);
    else map.set(key, [point]);
  };
  for (const placed of way) {
    for (const { name, outline } of tyresOf(vehicle, placed)) add(tyres, name, middle(outline));
    for (const { name, outline } of bodyOf(vehicle, placed))
      if (!name.endsWith('mirror')) outline.forEach((corner, i) => add(corners, `${name} ${i}`, corner));
  }
  return {
    tyres: [...tyres].map(([name, points]) => ({ name, path: pathOf(points), front: name.startsWith('front') })),
    corners: [...corners.values()].map(pathOf),
  };
}
