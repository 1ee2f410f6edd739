import { metresPerFoot, mpsPerMph } from './units';

/** Standard gravity, in m/s2. */
export const gravityMps2 = 9.80665;

/**
 * How much longer braking takes than on a dry road. Wet: at least double (The Highway Code, rule 227; from memory).
 * Ice: up to ten times (rule 230; from memory). Worn tyres in the wet: half as much again as wet, house default.
 */
export const surfaces = { dry: 1, wet: 2, 'wet-worn': 3, ice: 10 } as const;
export type Surface = keyof typeof surfaces;

export interface Road {
  readonly surface: Surface;
  /** Metres up in a hundred metres along; below 0 it goes down. */
  readonly slopePercent: number;
}

export const dryAndLevel: Road = { surface: 'dry', slopePercent: 0 };

/**
 * The table of stopping distances in The Highway Code (Great Britain), rule 126, as its figures in feet follow from the speed
 * in mph: thinking as many feet as mph, braking the square of it by 20; from memory. As a time and as a deceleration:
 * 0.682 s and 6.56 m/s2.
 */
export const tableReactionS = metresPerFoot / mpsPerMph;
export const tableBrakingMps2 = (10 * mpsPerMph ** 2) / metresPerFoot;

/** What the tyres can give on a level road before they slide, in m/s2, for braking and for bends alike. */
export const gripOn = ({ surface }: Road): number => tableBrakingMps2 / surfaces[surface];

/** What the slope adds to braking, in m/s2: uphill more, downhill less than nothing. */
export const slopeMps2 = ({ slopePercent }: Road): number => gravityMps2 * Math.sin(Math.atan(slopePercent / 100));

/** How hard a car brakes there at most, in m/s2; 0 or less where it goes on sliding down. */
export const brakingOn = (road: Road): number => gripOn(road) + slopeMps2(road);

/** How briskly a car gets away on a level, dry road: ordinary pulling away, in m/s2; house default. */
export const usualAwayMps2 = 2;
/** The part of the weight that stands on the driven wheels; house default. */
const onDrivenWheels = 0.5;

/**
 * How briskly a car gets away there, in m/s2: as its driver would, but no more than the driven wheels can give, and the slope
 * taken off. 0 or less where it does not get away at all.
 */
export const awayOn = (road: Road, wishedMps2: number): number =>
  Math.min(wishedMps2, gripOn(road) * onDrivenWheels) - slopeMps2(road);
