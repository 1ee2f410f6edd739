import { distanceBetween, distanceToLine, placed as placedAt, seenFrom, type Point } from '../geometry';
import { edgeHeightM, markerHeightM, type EdgeKind, type Layout, type Marker } from '../layout/layout';
import type { Placed } from '../moves/roll';
import { frontOf, type Vehicle } from '../vehicle/vehicle';
import { eyeOf, glassOf, mirrorSides, type MirrorSide } from './mirror';
import { minus, plus, times, type Point3 } from './space3';

/** What of a vehicle a driver can bring level with a marker beside it. */
export const levelFeatures = ['front-end', 'door-mirror', 'shoulder', 'door-handle'] as const;
export type LevelFeature = (typeof levelFeatures)[number];

/** What a driver can line up with something on the ground. */
export type Feature = LevelFeature | 'mirror-edge' | 'bonnet-edge' | 'pillar-gap';

/** Something on the ground that lines up with a part of the vehicle. */
export interface LinedUp {
  /** The id of a marker or an edge. */
  readonly thing: string;
  readonly kind: Marker['kind'] | EdgeKind;
  readonly feature: Feature;
  /** Missing straight ahead. */
  readonly side?: MirrorSide;
  /** Metres that it is off: ahead of the part above 0, or beside where the part covers the ground. */
  readonly offM: number;
}

/** No further off than this something lines up, in metres; and no further to the side is it looked at. */
export const levelM = 0.3;
const edgeM = 0.15;
const besideM = 6;

/** How far ahead of the rear axle each part is, in metres. */
const aheadOf = (vehicle: Vehicle): Readonly<Record<LevelFeature, number>> => ({
  'front-end': frontOf(vehicle),
  'door-mirror': vehicle.mirrorAheadM,
  shoulder: vehicle.eyeAheadM,
  'door-handle': vehicle.doorHandleAheadM,
});

/**
 * Metres that a marker is ahead of a part of the vehicle, wherever it is beside it.
 */
export const aheadOfPart = (vehicle: Vehicle, { pose }: Placed, feature: LevelFeature, marker: Point): number =>
  seenFrom(pose, marker).x - aheadOf(vehicle)[feature];

/**
 * Whether the driver sees the top of something beside the vehicle over the lower edge of the side window: the straight
 * line from the eye to it crosses the side of the body above that edge.
 * @param at ahead of the rear axle and to the left of the middle, in metres
 */
export function seenBeside({ eyeLeftM, eyeHeightM, widthM, sillM }: Vehicle, at: Point, heightM: number): boolean {
  const out = Math.abs(at.y - eyeLeftM);
  const toSide = Math.abs(Math.sign(at.y) * (widthM / 2) - eyeLeftM);
  return out > toSide && eyeHeightM + ((heightM - eyeHeightM) * toSide) / out >= sillM;
}

/** Where the straight line from the eye past a point meets the ground; undefined where it does not. */
function groundPast(eye: Point3, past: Point3): Point | undefined {
  const way = minus(past, eye);
  return way.z < -1e-6 ? plus(eye, times(way, -eye.z / way.z)) : undefined;
}

/** The place on the ground that the lower edge of a door mirror just covers, where the window does not hide it. */
export function underMirror(vehicle: Vehicle, side: MirrorSide): Point | undefined {
  const { middle, up, tallM } = glassOf(vehicle, side);
  const eye = eyeOf(vehicle);
  const at = groundPast(eye, minus(middle, times(up, tallM / 2)));
  return at && seenBeside(vehicle, at, 0) ? at : undefined;
}

/** The place on the ground that the upper edge of the bonnet just covers, straight ahead of the eye. */
export const underBonnet = ({ bonnetAheadM, bonnetHeightM, ...vehicle }: Vehicle): Point | undefined =>
  groundPast(eyeOf({ bonnetAheadM, bonnetHeightM, ...vehicle }), {
    x: bonnetAheadM,
    y: vehicle.eyeLeftM,
    z: bonnetHeightM,
  });

/** The directions between the front pillar and the mirror, in radians to the left of ahead, from the eye. */
function pillarGap(vehicle: Vehicle, side: MirrorSide): readonly [number, number] {
  const sign = side === 'left' ? 1 : -1;
  const eye = eyeOf(vehicle);
  const half = vehicle.widthM / 2;
  const to = (x: number, y: number) => Math.atan2(y - eye.y, x - eye.x);
  const pillar = to(
    (vehicle.pillarFootAheadM + vehicle.pillarTopAheadM) / 2 - vehicle.pillarWideM / 2,
    sign * half * 0.9,
  );
  const { middle, wideM } = glassOf(vehicle, side);
  const mirror = to(middle.x, middle.y - (sign * wideM) / 2);
  return sign > 0 ? [pillar, mirror] : [mirror, pillar];
}

interface Standing extends Point {
  readonly id: string;
  readonly kind: LinedUp['kind'];
  readonly heightM: number;
}

/** The markers, and the ends of walls and parked cars that the driver sees past whatever else stands there. */
function standingThings({ markers, edges }: Pick<Layout, 'markers' | 'edges'>, eye: Point): readonly Standing[] {
  const walls = edges.filter(({ kind }) => kind === 'wall');
  const ends = walls
    .map(({ id, from }): Standing => ({ ...from, id, kind: 'wall', heightM: edgeHeightM.wall }))
    // From just before it, so that the faces that meet in it do not hide it.
    .filter(({ x, y }) => {
      const before = { x: x + (eye.x - x) * 0.01, y: y + (eye.y - y) * 0.01 };
      return walls.every(({ from, to }) => distanceBetween([eye, before], [from, to]) > 0);
    });
  return [...markers.map((marker) => ({ ...marker, heightM: markerHeightM[marker.kind] })), ...ends];
}

/** Whatever lines up for the driver of a vehicle where it stands, the closest first. */
export function linesUp(
  vehicle: Vehicle,
  placed: Placed,
  { markers, edges }: Pick<Layout, 'markers' | 'edges'>,
): readonly LinedUp[] {
  const eye = eyeOf(vehicle);
  const level = standingThings({ markers, edges }, placedAt(placed.pose, eye)).flatMap((marker) => {
    const at = seenFrom(placed.pose, marker);
    const beside = Math.abs(at.y) > vehicle.widthM / 2 && Math.abs(at.y) < besideM;
    if (!beside || !seenBeside(vehicle, at, marker.heightM)) return [];
    const side: MirrorSide = at.y > 0 ? 'left' : 'right';
    const [from, to] = pillarGap(vehicle, side);
    const direction = Math.atan2(at.y - eye.y, at.x - eye.x);
    const common = { thing: marker.id, kind: marker.kind, side };
    return [
      ...levelFeatures.map((feature): LinedUp => ({
        ...common,
        feature,
        offM: aheadOfPart(vehicle, placed, feature, marker),
      })),
      ...(direction > from && direction < to && at.x < besideM
        ? [
            {
              ...common,
              feature: 'pillar-gap' as const,
              offM: (direction - (from + to) / 2) * Math.hypot(at.x - eye.x, at.y - eye.y),
            },
          ]
        : []),
    ].filter(({ offM }) => Math.abs(offM) <= levelM);
  });
  const covered = [
    ...mirrorSides.map((side) => ({ feature: 'mirror-edge' as const, side, at: underMirror(vehicle, side) })),
    { feature: 'bonnet-edge' as const, at: underBonnet(vehicle) },
  ].flatMap(({ at, ...of }) => {
    if (!at) return [];
    const onGround = placedAt(placed.pose, at);
    return edges
      .filter(({ kind }) => kind !== 'wall')
      .map(({ id, kind, from, to }): LinedUp => ({ ...of, thing: id, kind, offM: distanceToLine(onGround, from, to) }))
      .filter(({ offM }) => offM <= edgeM);
  });
  return [...level, ...covered].sort((a, b) => Math.abs(a.offM) - Math.abs(b.offM));
}
