import { brakingOn, dryAndLevel, type Road } from './road';

export interface Driver {
  /** From seeing to braking, in seconds. */
  readonly reactionS: number;
  /** Seconds between the clutch and the brake where the clutch goes down first; 0 where the brake does. */
  readonly clutchFirstS: number;
}

/** From seeing to the brakes biting, in seconds. */
export const beforeBraking = ({ reactionS, clutchFirstS }: Driver): number => reactionS + clutchFirstS;

export interface Stop {
  readonly thinkingM: number;
  /** What pressing the clutch first adds: the car rolls freely for that long. */
  readonly clutchM: number;
  readonly brakingM: number;
  readonly totalM: number;
  /** From seeing to standing, in seconds. */
  readonly seconds: number;
}

/**
 * How far a car goes from seeing a reason to stop until it stands: v t + v2 / 2a.
 * @param speedMps metres per second, 0 or more
 * @returns undefined where it does not come to stand: a slope steeper than the tyres hold
 */
export function stoppingDistance(
  speedMps: number,
  { reactionS, clutchFirstS }: Driver,
  road: Road = dryAndLevel,
): Stop | undefined {
  const braking = brakingOn(road);
  if (braking <= 0) return undefined;
  const [thinkingM, clutchM] = [speedMps * reactionS, speedMps * clutchFirstS];
  const brakingM = speedMps ** 2 / (2 * braking);
  return {
    thinkingM,
    clutchM,
    brakingM,
    totalM: thinkingM + clutchM + brakingM,
    seconds: reactionS + clutchFirstS + speedMps / braking,
  };
}

/** The speed at which a car that began to brake from another still goes after so many metres, in m/s; 0 where it stands. */
export function speedAfter(speedMps: number, metres: number, driver: Driver, road: Road = dryAndLevel): number {
  const braked = metres - speedMps * beforeBraking(driver);
  if (braked <= 0) return speedMps;
  return Math.sqrt(Math.max(0, speedMps ** 2 - 2 * braked * brakingOn(road)));
}

/**
 * The highest speed from which a car stops within so many metres, in m/s: the positive root of v2 / 2a + v t = d; 0 where
 * it does not come to stand from any.
 */
export function speedToStopWithin(metres: number, driver: Driver, road: Road = dryAndLevel): number {
  const braking = brakingOn(road);
  if (braking <= 0) return 0;
  const t = beforeBraking(driver);
  return braking * (Math.sqrt(t * t + (2 * metres) / braking) - t);
}

/** A stop in whole units of a length, rounded part by part: the sum is that of the parts which are shown beside it. */
export function inWhole({ thinkingM, clutchM, brakingM }: Stop, metresPerUnit: number) {
  const [thinking, clutch, braking] = [thinkingM, clutchM, brakingM].map((metres) =>
    Math.round(metres / metresPerUnit),
  ) as [number, number, number];
  return { thinking, clutch, braking, total: thinking + clutch + braking };
}
