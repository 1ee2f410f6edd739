import { dryAndLevel, gripOn, slopeMps2, type Road } from './road';
import { beforeBraking, type Driver } from './stopping';
import { metresPerYard } from './units';

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
  /** How briskly the car gets away, in m/s2; 0 or less where it does not. */
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
 * @returns undefined where the car does not get away
 */
export function gapNeeded({ reactionS, accelerationMps2, wayM, trafficMps, joins }: Emerging): Gap | undefined {
  if (accelerationMps2 <= 0) return undefined;
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

/** The highest speed that the tyres hold round a bend on the flat of it, in m/s: sqrt(a R). */
export const gripRoundBend = (radiusM: number, road: Road): number => Math.sqrt(gripOn(road) * radiusM);

const braked = 400;

/**
 * How far a car goes from braking to standing while it is steered round a bend, in metres: what the bend takes of the tyres'
 * grip is not there for braking (the friction circle). On a level road that is R / 2 arcsin(v2 / (a R)).
 * @returns without end where it does not come to stand
 */
export function brakingRoundBend(speedMps: number, radiusM: number, road: Road): number {
  const grip = gripOn(road);
  const slope = slopeMps2(road);
  const step = speedMps / braked;
  let metres = 0;
  for (let i = 0; i < braked; i++) {
    const mps = (i + 0.5) * step;
    const left = Math.sqrt(Math.max(0, grip ** 2 - (mps ** 2 / radiusM) ** 2)) + slope;
    if (left <= 0) return Infinity;
    metres += (mps / left) * step;
  }
  return metres;
}

export interface BendSpeed {
  readonly mps: number;
  /** What keeps it there: what can be seen, or what the tyres hold. */
  readonly by: 'sight' | 'grip';
}

/**
 * The highest speed round a bend: one at which a driver can stop within what they see, and the tyres hold.
 * @param half where the road is too narrow for two: the other driver needs the other half
 */
export function speedRoundBend(
  radiusM: number,
  offsetM: number,
  half: boolean,
  driver: Driver,
  road: Road = dryAndLevel,
): BendSpeed {
  const seen = sightRoundBend(radiusM, offsetM) / (half ? 2 : 1);
  const most = gripRoundBend(radiusM, road);
  const stops = (mps: number) => mps * beforeBraking(driver) + brakingRoundBend(mps, radiusM, road) <= seen;
  if (stops(most)) return { mps: most, by: 'grip' };
  let [from, to] = [0, most];
  for (let i = 0; i < 50; i++) {
    const middle = (from + to) / 2;
    if (stops(middle)) from = middle;
    else to = middle;
  }
  return { mps: from, by: 'sight' };
}
