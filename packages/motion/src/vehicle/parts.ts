import { distanceBetween, placed, toRadians, type Polygon, type Pose, rectangle } from '../geometry';
import type { Placed } from '../moves/roll';
import { wheelAngles } from './turning';
import { frontOf, type Vehicle } from './vehicle';

export const tyreNames = [
  'front-left',
  'front-right',
  'rear-left',
  'rear-right',
  'trailer-left',
  'trailer-right',
] as const;
export type TyreName = (typeof tyreNames)[number];
export const bodyNames = ['body', 'left-mirror', 'right-mirror', 'trailer-body'] as const;
export type BodyName = (typeof bodyNames)[number];
export type PartName = TyreName | BodyName;

/** A part of a vehicle as it lies over the ground. */
export interface Part<Name extends PartName = PartName> {
  readonly name: Name;
  readonly outline: Polygon;
}

/** The length of a door mirror along the vehicle, in metres. */
const mirrorLengthM = 0.2;

/** The tyres of a vehicle where it stands, its front wheels turned as they are. */
export function tyresOf(vehicle: Vehicle, { pose, steerDeg, hitch }: Placed): readonly Part<TyreName>[] {
  const { wheelbaseM, trackM, tyreWidthM, tyreDiameterM, trailer } = vehicle;
  const angles = wheelAngles(vehicle, steerDeg);
  const tyre = (
    name: TyreName,
    of: Pose,
    ahead: number,
    left: number,
    turned: number,
    width: number,
    diameter: number,
  ) => {
    const at = placed(of, { x: ahead, y: left });
    const own = { ...at, heading: of.heading + turned };
    return { name, outline: rectangle(own, -diameter / 2, diameter / 2, -width / 2, width / 2) };
  };
  const half = trackM / 2;
  const tyres = [
    tyre('front-left', pose, wheelbaseM, half, toRadians(angles.left), tyreWidthM, tyreDiameterM),
    tyre('front-right', pose, wheelbaseM, -half, toRadians(angles.right), tyreWidthM, tyreDiameterM),
    tyre('rear-left', pose, 0, half, 0, tyreWidthM, tyreDiameterM),
    tyre('rear-right', pose, 0, -half, 0, tyreWidthM, tyreDiameterM),
  ];
  if (!trailer) return tyres;
  const axle = trailerPose(vehicle, pose, hitch)!;
  const out = trailer.widthM / 2 - trailer.tyreWidthM / 2;
  return [
    ...tyres,
    tyre('trailer-left', axle, 0, out, 0, trailer.tyreWidthM, trailer.tyreDiameterM),
    tyre('trailer-right', axle, 0, -out, 0, trailer.tyreWidthM, trailer.tyreDiameterM),
  ];
}

/** What of a vehicle is not a tyre, where it stands. */
export function bodyOf(vehicle: Vehicle, { pose, hitch }: Placed): readonly Part<BodyName>[] {
  const { widthM, mirrorWidthM, mirrorAheadM, rearOverhangM, trailer } = vehicle;
  const [half, out] = [widthM / 2, mirrorWidthM / 2];
  const back = mirrorAheadM - mirrorLengthM;
  const parts: Part<BodyName>[] = [
    { name: 'body', outline: rectangle(pose, -rearOverhangM, frontOf(vehicle), -half, half) },
    { name: 'left-mirror', outline: rectangle(pose, back, mirrorAheadM, half, out) },
    { name: 'right-mirror', outline: rectangle(pose, back, mirrorAheadM, -out, -half) },
  ];
  if (!trailer) return parts;
  const axle = trailerPose(vehicle, pose, hitch)!;
  const wide = trailer.widthM / 2;
  return [
    ...parts,
    { name: 'trailer-body', outline: rectangle(axle, -trailer.bodyBehindM, trailer.bodyAheadM, -wide, wide) },
  ];
}

/** Whether a trailer at this angle, in radians, is folded so far that it lies against its car. */
export function isFolded(vehicle: Vehicle, hitch: number): boolean {
  if (!vehicle.trailer) return false;
  const parts = bodyOf(vehicle, { pose: { x: 0, y: 0, heading: 0 }, steerDeg: 0, hitch });
  const outline = (name: BodyName) => parts.find((part) => part.name === name)!.outline;
  return distanceBetween(outline('body'), outline('trailer-body')) === 0;
}

/** The bar from the coupling to the body of a trailer, as it lies over the ground; undefined without one. */
export function drawbarOf(vehicle: Vehicle, { pose, hitch }: Placed): Polygon | undefined {
  const { trailer } = vehicle;
  const axle = trailerPose(vehicle, pose, hitch);
  if (!trailer || !axle) return undefined;
  return [placed(pose, { x: -trailer.hitchBehindM, y: 0 }), placed(axle, { x: trailer.bodyAheadM, y: 0 })];
}

/** Where the middle of the trailer's axle is and where the trailer points; undefined without one. */
export function trailerPose({ trailer }: Vehicle, pose: Pose, hitch: number): Pose | undefined {
  if (!trailer) return undefined;
  const coupling = placed(pose, { x: -trailer.hitchBehindM, y: 0 });
  const heading = pose.heading - hitch;
  return { ...placed({ ...coupling, heading }, { x: -trailer.drawbarM, y: 0 }), heading };
}
