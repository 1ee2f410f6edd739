import { metresPerYard, speedToStopWithin, type Driver, type Surface } from './stopping';

/** How far a car goes in so many seconds, in metres: five of signalling, two behind the car ahead. */
export const wayIn = (speedMps: number, seconds: number): number => speedMps * seconds;

/** Countdown markers before a slip road stand 300, 200 and 100 yards from its start (The Highway Code; from memory). */
export const countdownYards = [300, 200, 100] as const;

/** Seconds to the slip road at each countdown marker; standing still, never. */
export const countdownSeconds = (speedMps: number): readonly number[] =>
  countdownYards.map((yards) => (yards * metresPerYard) / speedMps);

/** Pulling into or across a road. */
export interface Emerging {
  /** From deciding to moving, in seconds. */
  readonly reactionS: number;
  /** How briskly the car gets away, in m/s2. */
  readonly accelerationMps2: number;
  /** How far it goes until it is out of the way, in metres. */
  readonly wayM: number;
  /** The speed of the traffic that comes, in m/s. */
  readonly trafficMps: number;
  /** Whether the car then goes along with that traffic, and must have its speed. */
  readonly joins: boolean;
}

export interface Gap {
  /** Seconds of gap that are needed, and how far away that traffic then has to be, in metres. */
  readonly seconds: number;
  readonly metres: number;
}

/**
 * The gap in traffic that pulling out needs so that nobody has to slow down. Crossing: until the way is covered from
 * standing, sqrt(2 s / a). Joining: until the car has the traffic's speed, less the way it has covered by then.
 */
export function gapNeeded({ reactionS, accelerationMps2, wayM, trafficMps, joins }: Emerging): Gap {
  const crossing = Math.sqrt((2 * wayM) / accelerationMps2);
  if (!joins) {
    const seconds = reactionS + crossing;
    return { seconds, metres: seconds * trafficMps };
  }
  const reaching = Math.max(crossing, trafficMps / accelerationMps2);
  const covered = (Math.min(reaching, trafficMps / accelerationMps2) ** 2 * accelerationMps2) / 2;
  const metres = Math.max(crossing * trafficMps, reaching * trafficMps - covered) + reactionS * trafficMps;
  return { metres, seconds: trafficMps > 0 ? metres / trafficMps : reactionS + crossing };
}

/**
 * How far a driver sees along the middle of their lane round a bend, in metres of way: 2 R arccos(1 - m / R), the
 * horizontal sight line offset of road design.
 * @param radiusM of the way that the driver's eye takes
 * @param offsetM from that way to the hedge or wall on the inside, above 0 and less than the radius
 */
export const sightRoundBend = (radiusM: number, offsetM: number): number =>
  2 * radiusM * Math.acos(1 - offsetM / radiusM);

/**
 * The highest speed at which a driver can stop within what they see round a bend, in m/s.
 * @param half where the road is too narrow for two: the other driver needs the other half
 */
export const speedRoundBend = (
  radiusM: number,
  offsetM: number,
  half: boolean,
  driver: Driver,
  surface: Surface = 'dry',
): number => speedToStopWithin(sightRoundBend(radiusM, offsetM) / (half ? 2 : 1), driver, surface);
