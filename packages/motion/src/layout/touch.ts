import { apartAtLeast, areaAround, areaAroundAll, distanceBetween, type Area, type Polygon } from '../geometry';
import type { Moment } from '../moves/steps';
import type { Placed } from '../moves/roll';
import { bodyOf, tyresOf, type Part, type PartName } from '../vehicle/parts';
import { leastRadius } from '../vehicle/turning';
import { frontOf, type Vehicle } from '../vehicle/vehicle';
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

/** What there is to touch in a layout. */
type Touchable = Pick<Layout, 'markers' | 'edges'>;

/** A marker or an edge as it lies on the ground, and the rectangle around it. */
interface Thing extends Pick<Near, 'thing' | 'kind'> {
  readonly outline: Polygon;
  /** Metres that it reaches beyond its outline: a marker's outline is its middle. */
  readonly reachM: number;
  readonly around: Area;
}

function thingsOf({ markers, edges }: Touchable): readonly Thing[] {
  const thing = (id: string, kind: Near['kind'], outline: Polygon, reachM: number): Thing => ({
    thing: id,
    kind,
    outline,
    reachM,
    around: areaAround(outline),
  });
  return [
    ...markers.map(({ id, kind, x, y }) => thing(id, kind, [{ x, y }], markerRadiusM[kind])),
    ...edges.map((edge) => thing(edge.id, edge.kind, groundOf(edge), 0)),
  ];
}

/** Parts where they are, each with the rectangle around it, and that around all of them. */
interface Placement {
  readonly parts: readonly { readonly part: Part; readonly around: Area }[];
  readonly around: Area;
}

function placementOf(all: readonly Part[]): Placement {
  const parts = all.map((part) => ({ part, around: areaAround(part.outline) }));
  return { parts, around: areaAroundAll(parts.map(({ around }) => around)) };
}

/** Lines and kerbs may be overhung: only tyres touch them. */
const isForTyres = ({ kind }: Thing): boolean => kind === 'line' || kind === 'kerb';

/**
 * Tells of every part that may not touch something how far it is from it. What is certainly further than `within` says
 * at that moment is passed over, without measuring.
 */
function eachNear(
  vehicle: Vehicle,
  placed: Placed,
  things: readonly Thing[],
  within: () => number,
  tell: (near: Near) => void,
): void {
  const tyreParts = tyresOf(vehicle, placed);
  const tyres = placementOf(tyreParts);
  const all = placementOf([...tyreParts, ...bodyOf(vehicle, placed)]);
  for (const thing of things) {
    const { parts, around: whole } = isForTyres(thing) ? tyres : all;
    const isFar = (around: Area) => apartAtLeast(around, thing.around) - thing.reachM > within();
    if (isFar(whole)) continue;
    for (const { part, around } of parts) {
      if (isFar(around)) continue;
      const gapM = Math.max(0, distanceBetween(part.outline, thing.outline) - thing.reachM);
      tell({ part: part.name, thing: thing.thing, kind: thing.kind, gapM });
    }
  }
}

/**
 * Every part that may not touch something, with the metres between them: tyres and lines or kerbs, and all parts and
 * markers or walls.
 */
export function nearest(vehicle: Vehicle, placed: Placed, layout: Touchable): readonly Near[] {
  const all: Near[] = [];
  eachNear(
    vehicle,
    placed,
    thingsOf(layout),
    () => Infinity,
    (near) => all.push(near),
  );
  return all;
}

/** The parts of the body that hang over a line or a kerb, which is no touch. */
function eachOverhang(vehicle: Vehicle, placed: Placed, things: readonly Thing[], tell: (near: Near) => void): void {
  const body = placementOf(bodyOf(vehicle, placed));
  for (const thing of things)
    if (isForTyres(thing) && apartAtLeast(body.around, thing.around) <= 0)
      for (const { part, around } of body.parts)
        if (apartAtLeast(around, thing.around) <= 0 && distanceBetween(part.outline, thing.outline) === 0)
          tell({ part: part.name, thing: thing.thing, kind: thing.kind, gapM: 0 });
}

/** The least gap of a moment; undefined where there is nothing to touch. */
export function leastGap(vehicle: Vehicle, placed: Placed, layout: Touchable): Near | undefined {
  let least: Near | undefined;
  eachNear(
    vehicle,
    placed,
    thingsOf(layout),
    () => least?.gapM ?? Infinity,
    (near) => {
      if (!least || near.gapM < least.gapM) least = near;
    },
  );
  return least;
}

/** Tells of a layout whether a vehicle touches anything of it where it stands. */
export function touchOf(vehicle: Vehicle, layout: Touchable): (placed: Placed) => boolean {
  const things = thingsOf(layout);
  return (placed) => {
    let touches = false;
    eachNear(
      vehicle,
      placed,
      things,
      () => (touches ? -Infinity : 0),
      ({ gapM }) => {
        touches ||= gapM === 0;
      },
    );
    return touches;
  };
}

/**
 * Whether a vehicle touches anything along a way, told from moments close together without looking at each: after a moment
 * that is clear, nothing is met before the furthest point of the vehicle can have covered the gap.
 * @param moments so close that nothing is passed between two of them
 */
export function touchesAlong(vehicle: Vehicle, layout: Touchable, moments: Iterable<Moment>): boolean {
  const things = thingsOf(layout);
  const swing = swingOf(vehicle);
  let clearTo = -Infinity;
  for (const moment of moments) {
    if (moment.wayM < clearTo) continue;
    let gap = lookedForM;
    eachNear(
      vehicle,
      moment,
      things,
      () => gap,
      ({ gapM }) => {
        gap = Math.min(gap, gapM);
      },
    );
    if (gap === 0) return true;
    clearTo = moment.wayM + gap / swing;
  }
  return false;
}

/** No gap beyond this is measured, in metres. */
const lookedForM = 1;

/** Metres that the fastest point of a vehicle goes, at most, for each metre of its rear axle. */
function swingOf(vehicle: Vehicle): number {
  const turn = 1 / leastRadius(vehicle);
  const reach = Math.hypot(Math.max(frontOf(vehicle), vehicle.rearOverhangM), vehicle.mirrorWidthM / 2);
  const own = 1 + reach * turn;
  const { trailer } = vehicle;
  if (!trailer) return own;
  const behind = Math.hypot(Math.max(trailer.bodyAheadM, trailer.bodyBehindM) + trailer.drawbarM, trailer.widthM / 2);
  return Math.max(own, own * (1 + behind / trailer.drawbarM));
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
export function checkWay(vehicle: Vehicle, moments: readonly Moment[], layout: Touchable): WayChecked {
  const things = thingsOf(layout);
  const touches = new Map<string, Touch>();
  const overhangs = new Map<string, Touch>();
  let closest: Touch | undefined;
  const keep = (into: Map<string, Touch>, touch: Touch) => {
    const key = `${touch.part} ${touch.thing}`;
    if (!into.has(key)) into.set(key, touch);
  };
  for (const moment of moments) {
    const { wayM, step } = moment;
    eachNear(
      vehicle,
      moment,
      things,
      () => closest?.gapM ?? Infinity,
      (near) => {
        if (closest === undefined || near.gapM < closest.gapM) closest = { ...near, wayM, step };
        if (near.gapM === 0) keep(touches, { ...near, wayM, step });
      },
    );
    eachOverhang(vehicle, moment, things, (near) => keep(overhangs, { ...near, wayM, step }));
  }
  return { closest, touches: [...touches.values()], overhangs: [...overhangs.values()] };
}
