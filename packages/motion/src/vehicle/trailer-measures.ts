import { possible, type Bounds, type Measure } from './measures';
import type { Trailer, Vehicle } from './vehicle';

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
