import { distanceBetween, rectangle, seenFrom, type Point, type Pose } from '../geometry';
import { edgeHeightM, markerHeightM, type EdgeKind, type Layout, type Marker } from '../layout/layout';
import type { Placed } from '../moves/roll';
import { trailerPose } from '../vehicle/parts';
import { frontOf, type Vehicle } from '../vehicle/vehicle';
import type { Point3 } from './space3';

/** A place in a picture, to the right of its middle and above it: metres on a mirror, tangents of angles for the eye. */
export interface InView {
  readonly right: number;
  readonly up: number;
}

/** Something that a picture shows, in the order in which it is drawn. */
export interface Shown {
  readonly id: string;
  readonly kind: EdgeKind | Marker['kind'] | 'horizon' | 'vehicle' | 'mirror';
  readonly points: readonly InView[];
  /** Whether it is a figure with an inside. */
  readonly filled: boolean;
}

/** What is seen: as wide and tall as it is, from its lower left corner. */
export interface View {
  readonly left: number;
  readonly bottom: number;
  readonly wide: number;
  readonly tall: number;
  readonly shown: readonly Shown[];
}

const [everyM, farM] = [0.25, 60] as const;
export const flat = ({ x, y }: Point, z: number): Point3 => ({ x, y, z });

/** Points along a line on the ground, as the vehicle has them: close together near it, further apart far from it. */
function along(from: Point, to: Point): readonly Point[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const points: Point[] = [];
  for (let at = 0; ;) {
    const point = { x: from.x + ((to.x - from.x) * at) / length, y: from.y + ((to.y - from.y) * at) / length };
    const away = Math.hypot(point.x, point.y);
    if (away < farM) points.push(point);
    if (at >= length) return points;
    at = Math.min(length, at + Math.max(everyM, away / 20));
  }
}

export type Sees = (point: Point3) => InView | undefined;

/** The pieces of a line that are seen, one after the other. */
function pieces(points: readonly Point3[], sees: Sees): readonly (readonly InView[])[] {
  const all: InView[][] = [[]];
  for (const point of points) {
    const at = sees(point);
    if (at) all.at(-1)!.push(at);
    else if (all.at(-1)!.length > 0) all.push([]);
  }
  return all.filter(({ length }) => length > 1);
}

/** What stands and lies on the ground, the furthest first. */
export function ground(
  { pose }: Placed,
  { edges, markers }: Pick<Layout, 'edges' | 'markers'>,
  sees: Sees,
): readonly Shown[] {
  const things = [
    ...edges.map(({ id, kind, from, to }) => {
      const foot = along(seenFrom(pose, from), seenFrom(pose, to));
      const tall = edgeHeightM[kind];
      const lines = pieces(
        foot.map((point) => flat(point, 0)),
        sees,
      );
      const tops = pieces(foot.map((point) => flat(point, tall)).reverse(), sees);
      const filled = tall > 0 && lines.length === 1 && tops.length === 1;
      return {
        away: Math.max(0, ...foot.map(({ x, y }) => Math.hypot(x, y))),
        shown: (filled ? [[...lines[0]!, ...tops[0]!]] : lines).map((points): Shown => ({ id, kind, points, filled })),
      };
    }),
    ...markers.map((marker) => {
      const at = seenFrom(pose, marker);
      const points = pieces([flat(at, 0), flat(at, markerHeightM[marker.kind])], sees);
      return {
        away: Math.hypot(at.x, at.y),
        shown: points.map((line): Shown => ({ id: marker.id, kind: marker.kind, points: line, filled: false })),
      };
    }),
  ];
  return things.sort((a, b) => b.away - a.away).flatMap(({ shown }) => shown);
}

export const ownShape = (
  kind: 'vehicle' | 'mirror',
  id: string,
  points: readonly (InView | undefined)[],
): readonly Shown[] => {
  const seen = points.filter((point) => point !== undefined);
  return seen.length > 2 ? [{ id, kind, points: seen, filled: true }] : [];
};

/** The corners on the ground of what can hide things behind a mirror: the vehicle and its trailer, each from its own axle. */
export function bodies(vehicle: Vehicle, hitch: number) {
  const here: Pose = { x: 0, y: 0, heading: 0 };
  const { trailer, widthM, rearOverhangM } = vehicle;
  const own = { pose: here, back: -rearOverhangM, front: frontOf(vehicle), half: widthM / 2, tall: vehicle.roofM };
  if (!trailer) return [own];
  const pose = trailerPose(vehicle, here, hitch)!;
  return [
    own,
    { pose, back: -trailer.bodyBehindM, front: trailer.bodyAheadM, half: trailer.widthM / 2, tall: own.tall },
  ];
}

/** The markers that a mirror shows any of, and that none of the bodies hides from its glass. */
export function markersSeen(
  pose: Pose,
  markers: readonly Marker[],
  glass: Point3,
  hiding: ReturnType<typeof bodies>,
  shows: (point: Point3) => boolean,
): readonly string[] {
  const hides = hiding.map(({ pose: own, back, front, half }) => rectangle(own, back, front, -half, half));
  return markers
    .filter((marker) => {
      const at = seenFrom(pose, marker);
      if (hides.some((body) => distanceBetween([glass, at], body) === 0)) return false;
      return [0, 0.25, 0.5, 0.75, 1].some((share) => shows(flat(at, share * markerHeightM[marker.kind])));
    })
    .map(({ id }) => id);
}
