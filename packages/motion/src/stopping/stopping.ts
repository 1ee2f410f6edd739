/** Metres per second of a mile and a kilometre an hour. */
export const mpsPerMph = 0.44704;
export const mpsPerKmh = 1 / 3.6;
/** Metres of a yard. */
export const metresPerYard = 0.9144;

/**
 * From seeing to braking, in seconds, and how hard a car brakes on a dry road, in m/s2: the figures behind the table of
 * stopping distances in The Highway Code (Great Britain), rule 126; from memory.
 */
export const tableReactionS = 0.67;
export const tableBrakingMps2 = 6.57;

/**
 * How much longer braking takes than on a dry road. Wet: at least double (The Highway Code, rule 227; from memory).
 * Ice: up to ten times (rule 230; from memory). Worn tyres in the wet: half as much again as wet, common practice.
 */
export const surfaces = { dry: 1, wet: 2, 'wet-worn': 3, ice: 10 } as const;
export type Surface = keyof typeof surfaces;

export interface Driver {
  /** From seeing to braking, in seconds. */
  readonly reactionS: number;
  /** Seconds between the clutch and the brake where the clutch goes down first; 0 where the brake does. */
  readonly clutchFirstS: number;
}

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
 * @param brakingMps2 how hard it brakes on a dry road, above 0
 */
export function stoppingDistance(
  speedMps: number,
  { reactionS, clutchFirstS }: Driver,
  surface: Surface = 'dry',
  brakingMps2: number = tableBrakingMps2,
): Stop {
  const braking = brakingMps2 / surfaces[surface];
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
export function speedAfter(
  speedMps: number,
  metres: number,
  driver: Driver,
  surface: Surface = 'dry',
  brakingMps2: number = tableBrakingMps2,
): number {
  const { thinkingM, clutchM } = stoppingDistance(speedMps, driver, surface, brakingMps2);
  const braked = metres - thinkingM - clutchM;
  if (braked <= 0) return speedMps;
  return Math.sqrt(Math.max(0, speedMps ** 2 - (2 * braked * brakingMps2) / surfaces[surface]));
}

/**
 * The highest speed from which a car stops within so many metres, in m/s: the positive root of v2 / 2a + v t = d.
 */
export function speedToStopWithin(
  metres: number,
  { reactionS, clutchFirstS }: Driver,
  surface: Surface = 'dry',
  brakingMps2: number = tableBrakingMps2,
): number {
  const braking = brakingMps2 / surfaces[surface];
  const t = reactionS + clutchFirstS;
  return braking * (Math.sqrt(t * t + (2 * metres) / braking) - t);
}
