import { distanceBetween, placed as placedAt, rectangle, seenFrom, type Point, type Pose } from '../geometry';
import { edgeHeightM, markerHeightM, type EdgeKind, type Layout, type Marker } from '../layout/layout';
import type { Placed } from '../moves/roll';
import { trailerPose } from '../vehicle/parts';
import { frontOf, type Vehicle } from '../vehicle/vehicle';
import { eyeOf, glassOf, isOnGlass, seenOnGlass, type MirrorSide } from './mirror';
import { minus, plus, times, type Point3 } from './space3';

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

/** What a door mirror shows its driver. */
export function mirrorView(vehicle: Vehicle, placed: Placed, layout: Layout, side: MirrorSide): View {
  const glass = glassOf(vehicle, side);
  const eye = eyeOf(vehicle);
  const sees: Sees = (point) => seenOnGlass(glass, eye, point);
  const sign = side === 'left' ? 1 : -1;
  const horizon = [0, 100, 300, 800, 2000, 5000].map((out) =>
    sees({ x: -1000, y: sign * (out - 200), z: glass.middle.z }),
  );
  const own = bodies(vehicle, placed.hitch).flatMap(({ pose, back, front, half, tall }, i) => {
    const end = i === 0 ? glass.middle.x - 0.15 : front;
    const lengthwise = Array.from({ length: 13 }, (_, n) => back + ((end - back) * n) / 12);
    const face = (y: number) => [
      ...lengthwise.map((x) => sees(flat(placedAt(pose, { x, y }), 0.25))),
      ...[...lengthwise].reverse().map((x) => sees(flat(placedAt(pose, { x, y }), tall))),
    ];
    const front4 = [half, -half].map((y) => placedAt(pose, { x: front, y }));
    // Of a trailer its front shows too, where it is turned.
    const nose =
      i === 0
        ? []
        : ownShape('vehicle', 'nose', [
            ...front4.map((p) => sees(flat(p, 0.25))),
            ...[...front4].reverse().map((p) => sees(flat(p, tall))),
          ]);
    return [...nose, ...ownShape('vehicle', `side ${i}`, face(sign * half))];
  });
  return {
    left: -glass.wideM / 2,
    bottom: -glass.tallM / 2,
    wide: glass.wideM,
    tall: glass.tallM,
    shown: [
      { id: 'horizon', kind: 'horizon', points: horizon.filter((point) => point !== undefined), filled: false },
      ...ground(placed, layout, sees),
      ...own,
    ],
  };
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

/** The markers that a door mirror shows any of, and that the vehicle itself does not hide. */
export function seenInMirror(
  vehicle: Vehicle,
  { pose, hitch }: Placed,
  { markers }: Pick<Layout, 'markers'>,
  side: MirrorSide,
): readonly string[] {
  const glass = glassOf(vehicle, side);
  const eye = eyeOf(vehicle);
  return markersSeen(pose, markers, glass.middle, bodies(vehicle, hitch), (point) => {
    const on = seenOnGlass(glass, eye, point);
    return on !== undefined && isOnGlass(glass, on);
  });
}

export const looks = ['ahead', 'left', 'right'] as const;
export type Look = (typeof looks)[number];

const axes: Readonly<Record<Look, (point: Point3) => Point3>> = {
  // Depth, to the right, up.
  ahead: ({ x, y, z }) => ({ x, y: -y, z }),
  left: ({ x, y, z }) => ({ x: y, y: x, z }),
  right: ({ x, y, z }) => ({ x: -y, y: -x, z }),
};
/** Nearer to the eye than this nothing is drawn, in metres. */
const nearM = 0.08;

/** A figure cut off where it is too near to the eye. */
function cutNear(points: readonly Point3[]): readonly Point3[] {
  return points.flatMap((point, i) => {
    const next = points[(i + 1) % points.length]!;
    const crosses = point.x < nearM !== next.x < nearM;
    const cut = () => plus(point, times(minus(next, point), (nearM - point.x) / (next.x - point.x)));
    return [...(point.x >= nearM ? [point] : []), ...(crosses ? [cut()] : [])];
  });
}

/** What the driver sees ahead, or through a side window: a simple perspective, without a head that turns. */
export function eyeView(vehicle: Vehicle, placed: Placed, layout: Layout, look: Look): View {
  const eye = eyeOf(vehicle);
  const from = (point: Point3) => axes[look](minus(point, eye));
  const flatten = ({ x, y, z }: Point3): InView => ({ right: y / x, up: z / x });
  const sees: Sees = (point) => {
    const at = from(point);
    return at.x < nearM ? undefined : flatten(at);
  };
  const figure = (kind: 'vehicle' | 'mirror', id: string, points: readonly Point3[]) =>
    ownShape(kind, id, cutNear(points.map(from)).map(flatten));
  const { sillM, roofM, pillarFootAheadM, pillarTopAheadM, pillarWideM, doorPillarAheadM, rearOverhangM } = vehicle;
  const half = vehicle.widthM / 2;
  const cowl = [half, -half].map((y): Point3 => ({ x: pillarFootAheadM, y, z: sillM }));
  const bonnet = [-half * 0.86, half * 0.86].map((y): Point3 => ({
    x: vehicle.bonnetAheadM,
    y,
    z: vehicle.bonnetHeightM,
  }));
  const sides = [1, -1].flatMap((sign) => {
    const y = sign * half;
    const glass = glassOf(vehicle, sign > 0 ? 'left' : 'right');
    const corner = (right: number, up: number) =>
      plus(glass.middle, plus(times(glass.right, (right * glass.wideM) / 2), times(glass.up, (up * glass.tallM) / 2)));
    const foot = { x: pillarFootAheadM, y: y * 0.97, z: sillM };
    const top = { x: pillarTopAheadM, y: y * 0.82, z: roofM };
    const wide = { x: -pillarWideM, y: -sign * pillarWideM * 0.3, z: 0 };
    return [
      figure('vehicle', `door ${sign}`, [
        { x: -rearOverhangM, y, z: 0 },
        { x: -rearOverhangM, y, z: sillM },
        { x: pillarFootAheadM, y, z: sillM },
        { x: pillarFootAheadM, y, z: 0 },
      ]),
      figure('mirror', `mirror ${sign}`, [corner(-1.1, -1.1), corner(1.1, -1.1), corner(1.1, 1.1), corner(-1.1, 1.1)]),
      figure('vehicle', `pillar ${sign}`, [foot, top, plus(top, wide), plus(foot, wide)]),
      figure('vehicle', `door pillar ${sign}`, [
        { x: doorPillarAheadM, y, z: sillM },
        { x: doorPillarAheadM, y: y * 0.85, z: roofM },
        { x: doorPillarAheadM - 0.12, y: y * 0.85, z: roofM },
        { x: doorPillarAheadM - 0.12, y, z: sillM },
      ]),
    ].flat();
  });
  return {
    left: -1.5,
    bottom: -0.85,
    wide: 3,
    tall: 1.3,
    shown: [
      {
        id: 'horizon',
        kind: 'horizon',
        points: [
          { right: -3, up: 0 },
          { right: 3, up: 0 },
        ],
        filled: false,
      },
      ...ground(placed, layout, sees),
      ...figure('vehicle', 'bonnet', [...cowl, ...bonnet]),
      ...figure('vehicle', 'dash', [...cowl, ...[...cowl].reverse().map((point) => ({ ...point, z: 0 }))]),
      ...sides,
    ],
  };
}
