import type { Trailer, Vehicle } from './vehicle';

/** The measures that are numbers by themselves. */
export type Measure = {
  [K in keyof Vehicle]-?: Vehicle[K] extends number ? K : never;
}[keyof Vehicle];

export interface Bounds {
  readonly least: number;
  readonly most: number;
}

/** What a measure of anything on the road can be, in its own unit; outside it nothing is computed. */
const possible: Readonly<Record<Measure, Bounds>> = {
  wheelbaseM: { least: 1.2, most: 9 },
  trackM: { least: 0.9, most: 2.4 },
  frontOverhangM: { least: 0.2, most: 3.5 },
  rearOverhangM: { least: 0.2, most: 4.5 },
  widthM: { least: 1, most: 2.6 },
  mirrorWidthM: { least: 1, most: 3.2 },
  mirrorAheadM: { least: 0.2, most: 10 },
  tyreWidthM: { least: 0.1, most: 0.5 },
  tyreDiameterM: { least: 0.4, most: 1.2 },
  lockDeg: { least: 15, most: 60 },
  turnsLockToLock: { least: 1, most: 9 },
  sillM: { least: 0.5, most: 2.5 },
  doorHandleAheadM: { least: -1, most: 9 },
  eyeAheadM: { least: -1, most: 9 },
  eyeLeftM: { least: -1.2, most: 1.2 },
  eyeHeightM: { least: 0.7, most: 3.5 },
  seatRangeM: { least: 0, most: 0.5 },
  bonnetAheadM: { least: 0.5, most: 11 },
  bonnetHeightM: { least: 0.4, most: 2.5 },
  mirrorGlassWideM: { least: 0.08, most: 0.5 },
  mirrorGlassTallM: { least: 0.06, most: 0.6 },
  mirrorGlassHeightM: { least: 0.5, most: 3 },
  mirrorRadiusM: { least: 0.3, most: 1000 },
  mirrorDownDeg: { least: -5, most: 20 },
  pillarFootAheadM: { least: 0, most: 11 },
  pillarTopAheadM: { least: 0, most: 11 },
  doorPillarAheadM: { least: -1, most: 9 },
  pillarWideM: { least: 0.02, most: 0.4 },
  roofM: { least: 0.9, most: 4 },
};

interface OfTrailer extends Bounds {
  readonly field: keyof Trailer;
}

/** What is measured of a trailer, by its name among the measures of a vehicle, and what it can be, in metres. */
export const trailerPossible = {
  hitchBehindM: { field: 'hitchBehindM', least: 0.2, most: 4.5 },
  drawbarM: { field: 'drawbarM', least: 0.8, most: 9 },
  bodyAheadM: { field: 'bodyAheadM', least: 0.1, most: 8 },
  bodyBehindM: { field: 'bodyBehindM', least: 0.1, most: 6 },
  trailerWidthM: { field: 'widthM', least: 0.8, most: 2.6 },
  trailerTyreWidthM: { field: 'tyreWidthM', least: 0.1, most: 0.5 },
  trailerTyreDiameterM: { field: 'tyreDiameterM', least: 0.3, most: 1.2 },
} as const satisfies Readonly<Record<string, OfTrailer>>;

export type TrailerMeasure = keyof typeof trailerPossible;
export type AnyMeasure = Measure | TrailerMeasure;
export type Measures = Readonly<Partial<Record<AnyMeasure, number>>>;

export const trailerMeasures = Object.keys(trailerPossible) as readonly TrailerMeasure[];
/** Every measure that anything on the road can have. */
export const allMeasures: readonly AnyMeasure[] = [...(Object.keys(possible) as Measure[]), ...trailerMeasures];

/** Whether a measure is one of a trailer. */
export const isOfTrailer = (measure: AnyMeasure): measure is TrailerMeasure => measure in trailerPossible;

/** What a measure can be, in its own unit. */
export const boundsOf = (measure: AnyMeasure): Bounds =>
  isOfTrailer(measure) ? trailerPossible[measure] : possible[measure];

/** A measure of a vehicle; undefined for one of a trailer that it does not have. */
export const measureOf = (vehicle: Vehicle, measure: AnyMeasure): number | undefined =>
  isOfTrailer(measure) ? vehicle.trailer?.[trailerPossible[measure].field] : vehicle[measure];

/** A vehicle with what was measured of it and of its trailer in the place of what is usual. */
export function withMeasures(vehicle: Vehicle, measures: Measures): Vehicle {
  const own = Object.entries(measures).filter(([name]) => !(name in trailerPossible));
  const measured: Vehicle = { ...vehicle, ...Object.fromEntries(own) };
  if (!vehicle.trailer) return measured;
  const trailer: Record<keyof Trailer, number> = { ...vehicle.trailer };
  for (const name of trailerMeasures) {
    const value = measures[name];
    if (value !== undefined) trailer[trailerPossible[name].field] = value;
  }
  return { ...measured, trailer };
}
