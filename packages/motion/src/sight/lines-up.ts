import { seenFrom, type Point } from '../geometry';
import type { Layout } from '../layout/layout';
import type { Placed } from '../moves/roll';
import { frontOf, type Vehicle } from '../vehicle/vehicle';

/** What of a vehicle a driver can bring level with something on the ground. */
export const features = ['front-end', 'door-mirror', 'shoulder', 'door-handle'] as const;
export type Feature = (typeof features)[number];

/** A marker beside the vehicle that is level with a part of it. */
export interface LinedUp {
  /** The id of the marker. */
  readonly marker: string;
  readonly side: 'left' | 'right';
  readonly feature: Feature;
  /** Metres that the marker is ahead of the part; below 0 behind it. */
  readonly aheadM: number;
}

/** No further off than this a marker counts as level, in metres; and no further to the side is it looked at. */
const levelM = 0.3;
const besideM = 6;
/** How high above the ground the top of a marker is, in metres. Common practice. */
const markerHeightM = { cone: 0.45, pole: 1 } as const;

/** How far ahead of the rear axle each part is, in metres. */
const aheadOf = (vehicle: Vehicle): Readonly<Record<Feature, number>> => ({
  'front-end': frontOf(vehicle),
  'door-mirror': vehicle.mirrorAheadM,
  shoulder: vehicle.eye.aheadM,
  'door-handle': vehicle.doorHandleAheadM,
});

/**
 * Whether the driver sees the top of something beside the vehicle over the lower edge of the side window: the straight
 * line from the eye to it crosses the side of the body above that edge.
 * @param at ahead of the rear axle and to the left of the middle, in metres
 */
export function seenBeside({ eye, widthM, sillM }: Vehicle, at: Point, heightM: number): boolean {
  const out = Math.abs(at.y - eye.leftM);
  const toSide = Math.abs(Math.sign(at.y) * (widthM / 2) - eye.leftM);
  return out > toSide && eye.heightM + ((heightM - eye.heightM) * toSide) / out >= sillM;
}

/** The markers beside a vehicle that are level with a part of it and that its driver sees; the closest to level first. */
export function linesUp(vehicle: Vehicle, { pose }: Placed, { markers }: Pick<Layout, 'markers'>): readonly LinedUp[] {
  const ahead = aheadOf(vehicle);
  return markers
    .flatMap((marker) => {
      const at = seenFrom(pose, marker);
      const beside = Math.abs(at.y) > vehicle.widthM / 2 && Math.abs(at.y) < besideM;
      if (!beside || !seenBeside(vehicle, at, markerHeightM[marker.kind])) return [];
      return features
        .map((feature): LinedUp => ({
          marker: marker.id,
          side: at.y > 0 ? 'left' : 'right',
          feature,
          aheadM: at.x - ahead[feature],
        }))
        .filter(({ aheadM }) => Math.abs(aheadM) <= levelM);
    })
    .sort((a, b) => Math.abs(a.aheadM) - Math.abs(b.aheadM));
}
