import { distanceBetween } from '../geometry';
import type { Moment } from '../moves/steps';
import type { Placed } from '../moves/roll';
import { bodyOf, tyresOf, type Part, type PartName } from '../vehicle/parts';
import type { Vehicle } from '../vehicle/vehicle';
import { groundOf, markerRadiusM, type Edge, type Layout, type Marker } from './layout';

/** A part of the vehicle and something of the layout, and how far they are from one another. */
export interface Near {
  readonly part: PartName;
  /** The id of a marker or an edge. */
  readonly thing: string;
  readonly kind: Marker['kind'] | Edge['kind'];
  /** Metres; 0 where they touch. */
  readonly gapM: number;
}

/**
 * Every part that may not touch something, with the metres between them: tyres and lines or kerbs, and all parts and
 * markers or walls.
 */
export function nearest(
  vehicle: Vehicle,
  placed: Placed,
  { markers, edges }: Pick<Layout, 'markers' | 'edges'>,
): readonly Near[] {
  const tyres = tyresOf(vehicle, placed);
  const all: readonly Part[] = [...tyres, ...bodyOf(vehicle, placed)];
  return [
    ...markers.flatMap(({ id, kind, x, y }) =>
      all.map(({ name, outline }): Near => ({
        part: name,
        thing: id,
        kind,
        gapM: Math.max(0, distanceBetween(outline, [{ x, y }]) - markerRadiusM[kind]),
      })),
    ),
    ...edges.flatMap((edge) => {
      const ground = groundOf(edge);
      return (edge.kind === 'wall' ? all : tyres).map(({ name, outline }): Near => ({
        part: name,
        thing: edge.id,
        kind: edge.kind,
        gapM: distanceBetween(outline, ground),
      }));
    }),
  ];
}

/** Parts of the body that hang over a line or a kerb, which is no touch. */
export function overhanging(vehicle: Vehicle, placed: Placed, { edges }: Pick<Layout, 'edges'>): readonly Near[] {
  const body = bodyOf(vehicle, placed);
  return edges.flatMap((edge) =>
    edge.kind === 'wall'
      ? []
      : body
          .filter(({ outline }) => distanceBetween(outline, groundOf(edge)) === 0)
          .map(({ name }): Near => ({ part: name, thing: edge.id, kind: edge.kind, gapM: 0 })),
  );
}

/** The least gap of a moment; undefined where there is nothing to touch. */
export function leastGap(
  vehicle: Vehicle,
  placed: Placed,
  layout: Pick<Layout, 'markers' | 'edges'>,
): Near | undefined {
  return closestOf(nearest(vehicle, placed, layout));
}

/** The one of them with the least gap. */
export const closestOf = (all: readonly Near[]): Near | undefined =>
  all.reduce<Near | undefined>((least, near) => (least && least.gapM <= near.gapM ? least : near), undefined);

/** A touch along a drive, from when it began. */
export interface Touch extends Near {
  /** Metres of way. */
  readonly wayM: number;
  readonly step: number;
}

export interface WayChecked {
  /** The closest that anything came, with where; undefined where there is nothing to touch. */
  readonly closest: Touch | undefined;
  /** Each part and thing that touched, once. */
  readonly touches: readonly Touch[];
  readonly overhangs: readonly Touch[];
}

/** What a vehicle touches, and how close it comes, along a drive. */
export function checkWay(
  vehicle: Vehicle,
  moments: readonly Moment[],
  layout: Pick<Layout, 'markers' | 'edges'>,
): WayChecked {
  const touches = new Map<string, Touch>();
  const overhangs = new Map<string, Touch>();
  let closest: Touch | undefined;
  const keep = (into: Map<string, Touch>, touch: Touch) => {
    const key = `${touch.part} ${touch.thing}`;
    if (!into.has(key)) into.set(key, touch);
  };
  for (const moment of moments) {
    const { wayM, step } = moment;
    for (const near of nearest(vehicle, moment, layout)) {
      if (closest === undefined || near.gapM < closest.gapM) closest = { ...near, wayM, step };
      if (near.gapM === 0) keep(touches, { ...near, wayM, step });
    }
    for (const near of overhanging(vehicle, moment, layout)) keep(overhangs, { ...near, wayM, step });
  }
  return { closest, touches: [...touches.values()], overhangs: [...overhangs.values()] };
}
