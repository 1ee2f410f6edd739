import { placed as placedAt, seenFrom, toRadians, wrapAngle, type Pose } from '@jasperwren/motion/geometry';
import { wheelLockDeg } from '@jasperwren/motion/moves/bench';
import { hitchAfter, type Placed } from '@jasperwren/motion/moves/roll';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import type { Sample } from './sample';

/** Where a car was at a moment of a run, on the ground of an exercise. */
export interface RunMoment {
  readonly atMs: number;
  readonly placed: Placed;
  /** Metres forward and back together, from the first. */
  readonly wayM: number;
}

/** The angle of a trailer, in radians, where its car came from one place to another: no sensor tells it. */
function hitchAt(vehicle: Vehicle, before: Placed, pose: Pose): number {
  if (!vehicle.trailer) return 0;
  const { x: ahead, y: left } = seenFrom(before.pose, pose);
  const distanceM = Math.sign(ahead) * Math.hypot(ahead, left);
  const turned = wrapAngle(pose.heading - before.pose.heading);
  return distanceM === 0 ? before.hitch : hitchAfter(vehicle, before.hitch, turned / distanceM, distanceM);
}

/** Nearer than this to the moment before a position says nothing new, in metres and radians. */
const [newM, newRad] = [0.02, 0.005] as const;

type Located = Sample & Required<Pick<Sample, 'x' | 'y' | 'heading'>>;
const isLocated = (sample: Sample): sample is Located =>
  sample.x !== undefined && sample.y !== undefined && sample.heading !== undefined;

/**
 * The way of a car through one exercise of a run, laid on the ground so that it begins where the exercise does. Positions
 * are those of the middle of the rear axle; a trailer begins in line and follows.
 * @param start where the vehicle begins on the ground
 * @returns nothing where the samples of the exercise do not say where the car was and where it pointed
 */
export function runTracks(
  vehicle: Vehicle,
  start: Pose,
  samples: readonly Sample[],
  zone: string,
): readonly RunMoment[] {
  const all = samples.filter((sample) => sample.zone === zone).filter(isLocated);
  const [first] = all;
  if (!first) return [];
  const began: Pose = { x: first.x, y: first.y, heading: toRadians(first.heading) };
  const lock = wheelLockDeg(vehicle);
  const moments: RunMoment[] = [];
  for (const { at, x, y, heading, steering = 0 } of all) {
    const seen = seenFrom(began, { x, y });
    const turned = toRadians(heading) - began.heading;
    const pose: Pose = { ...placedAt(start, seen), heading: wrapAngle(start.heading + turned) };
    const before = moments.at(-1);
    const metres = before ? Math.hypot(pose.x - before.placed.pose.x, pose.y - before.placed.pose.y) : 0;
    if (before && metres < newM && Math.abs(wrapAngle(pose.heading - before.placed.pose.heading)) < newRad) continue;
    const share = Math.max(-1, Math.min(1, -steering / lock));
    moments.push({
      atMs: at,
      placed: { pose, steerDeg: share * vehicle.lockDeg, hitch: before ? hitchAt(vehicle, before.placed, pose) : 0 },
      wayM: (before?.wayM ?? 0) + metres,
    });
  }
  return moments;
}
