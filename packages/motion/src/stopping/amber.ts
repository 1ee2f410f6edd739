import { brakingOn, type Road } from './road';
import { beforeBraking, type Driver } from './stopping';

/** A junction with signals, and the car that comes to it. */
export interface Amber {
  /** How long amber shows, in seconds. */
  readonly amberS: number;
  /** From the stop line to where the junction is left, and the length of the vehicle, in metres. */
  readonly junctionM: number;
  readonly vehicleM: number;
}

/** How a driver takes an amber. */
export interface Stopping {
  /** From seeing amber to braking, in seconds. */
  readonly afterS: number;
  /** How hard they then brake, in m/s2; 0 or less where the car would not come to stand. */
  readonly brakingMps2: number;
}

/** Three seconds of amber: traffic-signal practice in Great Britain; from memory. A car of 4.1 m: house default. */
export const usualAmber: Amber = { amberS: 3, junctionM: 15, vehicleM: 4.1 };
/** Firm, not harsh braking, in m/s2: common practice. */
export const firmMps2 = 3.5;

/** A driver at an amber: as quick as they are, braking firmly or as hard as the road allows. */
export const atAmber = (driver: Driver, road: Road): Stopping => ({
  afterS: beforeBraking(driver),
  brakingMps2: Math.min(firmMps2, brakingOn(road)),
});

export interface AmberZone {
  /** From here on to the stop line it is too late to stop: v t + v2 / 2a, in metres; without end where nothing stops it. */
  readonly stopM: number;
  /** From here or nearer the junction is left before red: v amber - (w + L), in metres; below 0 it is not at any place. */
  readonly clearM: number;
  /** Where neither works, or where either does; undefined where both begin at the same place. */
  readonly zone: { readonly kind: 'neither' | 'either'; readonly fromM: number; readonly toM: number } | undefined;
}

/**
 * Where before the stop line a driver can still stop at an amber, and where they can still clear the junction.
 * D. Gazis, R. Herman, A. Maradudin, "The problem of the amber signal light in traffic flow", Operations Research 8 (1960).
 */
export function amberZone(
  speedMps: number,
  { amberS, junctionM, vehicleM }: Amber,
  { afterS, brakingMps2 }: Stopping,
): AmberZone {
  const stopM = brakingMps2 > 0 ? speedMps * afterS + speedMps ** 2 / (2 * brakingMps2) : Infinity;
  const clearM = speedMps * amberS - (junctionM + vehicleM);
  const [fromM, toM] = [Math.max(0, Math.min(stopM, clearM)), Math.max(0, Math.max(stopM, clearM))];
  return {
    stopM,
    clearM,
    zone: toM - fromM < 1e-9 ? undefined : { kind: stopM > clearM ? 'neither' : 'either', fromM, toM },
  };
}

/**
 * The speeds between which no place leaves a driver without a way out, in m/s: the roots of
 * v2 / 2a + v (t - amber) + (w + L) = 0.
 * @returns undefined where there is such a place at every speed
 */
export function speedsWithoutDilemma(
  { amberS, junctionM, vehicleM }: Amber,
  { afterS, brakingMps2 }: Stopping,
): readonly [from: number, to: number] | undefined {
  if (brakingMps2 <= 0) return undefined;
  const [half, b] = [1 / (2 * brakingMps2), afterS - amberS];
  const under = b * b - 4 * half * (junctionM + vehicleM);
  if (under < 0 || b >= 0) return undefined;
  const root = Math.sqrt(under);
  return [(-b - root) / (2 * half), (-b + root) / (2 * half)];
}
