import { closestOf, leastGap, nearest, type Near } from '../layout/touch';
import type { Layout } from '../layout/layout';
import type { Vehicle } from '../vehicle/vehicle';
import { roll, standing, type Placed } from './roll';

/** What a driver does at one moment. */
export interface Hands {
  /** 1 lets the vehicle roll forward, -1 back, 0 stops it. */
  readonly roll: -1 | 0 | 1;
  /** The steering wheel is being turned to the left (1) or right (-1), held (0), or towards an angle, in its degrees. */
  readonly turn: -1 | 0 | 1 | { readonly toDeg: number };
}

/** A part that touched something, once until it was off it again. */
export interface BenchTouch extends Pick<Near, 'part' | 'thing' | 'kind'> {
  readonly atMs: number;
  readonly wayM: number;
}

/** A drive on the bench so far. */
export interface BenchDrive {
  readonly placed: Placed;
  readonly atMs: number;
  /** m/s, below 0 backwards. */
  readonly speedMps: number;
  readonly wayM: number;
  readonly movements: number;
  /** 1 or -1 as it rolled last; 0 before it did. */
  readonly direction: -1 | 0 | 1;
  /** How often the wheel was turned standing still, and degrees of the steering wheel since it stands. */
  readonly dry: number;
  readonly turnedStandingDeg: number;
  readonly touches: readonly BenchTouch[];
  /** What touches what now. */
  readonly touching: readonly Near[];
  readonly near: Near | undefined;
}

/** Walking pace, m/s, and how fast it is reached, m/s2. */
const [paceMps, brisknessMps2] = [0.9, 2.5];
/** How fast a driver turns the steering wheel, in its degrees a second. */
const wheelDegPerS = 300;
/** Turning the wheel further than this while standing counts; in its degrees. As the sensors of a yard see it. */
export const dryFromDeg = 20;

/** Degrees of the steering wheel from straight ahead to full lock. */
export const wheelLockDeg = ({ turnsLockToLock }: Vehicle): number => turnsLockToLock * 180;

/** Degrees of the steering wheel for an angle of the front wheels; to the left above 0. */
export const wheelOf = (vehicle: Vehicle, steerDeg: number): number =>
  (steerDeg / vehicle.lockDeg) * wheelLockDeg(vehicle);

/** A vehicle at the start of a layout, about to be driven. */
export function startBench(vehicle: Vehicle, layout: Layout): BenchDrive {
  const placed = standing(layout.start);
  return {
    placed,
    atMs: 0,
    speedMps: 0,
    wayM: 0,
    movements: 0,
    direction: 0,
    dry: 0,
    turnedStandingDeg: 0,
    touches: [],
    touching: [],
    near: leastGap(vehicle, placed, layout),
  };
}

const towards = (from: number, to: number, most: number): number =>
  Math.abs(to - from) <= most ? to : from + Math.sign(to - from) * most;

/**
 * The drive after some time in which the driver's hands stay as they are. Speed and steering change no faster than a
 * driver's do; whatever is touched does not stop the vehicle.
 * @param ms milliseconds, of which no more than 100 are taken at once
 */
export function driveBench(vehicle: Vehicle, layout: Layout, drive: BenchDrive, hands: Hands, ms: number): BenchDrive {
  const seconds = Math.min(ms, 100) / 1000;
  const speedMps = towards(drive.speedMps, hands.roll * paceMps, brisknessMps2 * seconds);
  const wheelNow = wheelOf(vehicle, drive.placed.steerDeg);
  const lock = wheelLockDeg(vehicle);
  const asked = typeof hands.turn === 'number' ? (hands.turn === 0 ? wheelNow : hands.turn * lock) : hands.turn.toDeg;
  const wheel = towards(wheelNow, Math.max(-lock, Math.min(lock, asked)), wheelDegPerS * seconds);
  const distanceM = ((drive.speedMps + speedMps) / 2) * seconds;
  const turned = { ...drive.placed, steerDeg: (wheel / lock) * vehicle.lockDeg };
  const placed = distanceM === 0 ? turned : roll(vehicle, turned, distanceM);
  const stands = distanceM === 0;
  const turnedStandingDeg = stands ? drive.turnedStandingDeg + Math.abs(wheel - wheelNow) : 0;
  const direction = stands ? drive.direction : distanceM > 0 ? 1 : -1;
  const atMs = drive.atMs + seconds * 1000;
  const wayM = drive.wayM + Math.abs(distanceM);
  const all = nearest(vehicle, placed, layout);
  const now = all.filter(({ gapM }) => gapM === 0);
  const fresh = now.filter(
    ({ part, thing }) => !drive.touching.some((before) => before.part === part && before.thing === thing),
  );
  return {
    placed,
    atMs,
    speedMps,
    wayM,
    movements: drive.movements + (direction !== drive.direction ? 1 : 0),
    direction,
    dry: drive.dry + (turnedStandingDeg > dryFromDeg && drive.turnedStandingDeg <= dryFromDeg ? 1 : 0),
    turnedStandingDeg,
    touches:
      fresh.length === 0
        ? drive.touches
        : [...drive.touches, ...fresh.map(({ part, thing, kind }) => ({ part, thing, kind, atMs, wayM }))],
    touching: now,
    near: closestOf(all),
  };
}
