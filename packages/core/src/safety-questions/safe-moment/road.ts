/** What can make a moment a bad one for looking away (common practice). */
export const hazardKinds = [
  'limit-change',
  'bend',
  'junction',
  'crossing',
  'large-vehicle',
  'cyclist',
  'overtaker',
] as const;
export type HazardKind = (typeof hazardKinds)[number];

/** Something fixed: where it begins, in metres from where the stretch begins, and how long it is. */
export interface PlaceHazard {
  readonly kind: 'limit-change' | 'bend' | 'junction' | 'crossing';
  readonly atM: number;
  readonly lengthM: number;
}

/**
 * Somebody moving: where at the beginning, in metres ahead of the own car (behind is negative), and how fast along
 * the road, in m/s (towards the own car is negative).
 */
export interface MovingHazard {
  readonly kind: 'large-vehicle' | 'cyclist' | 'overtaker';
  readonly atM: number;
  readonly speedMps: number;
}

export type Hazard = PlaceHazard | MovingHazard;

/** A stretch of road driven at one speed. */
export interface Scenario {
  readonly id: string;
  readonly title: string;
  /** 1: all is in sight; 2: behind shows only in the mirror; 3: several things at once. */
  readonly level: 1 | 2 | 3;
  readonly speedMps: number;
  readonly durationS: number;
  readonly hazards: readonly Hazard[];
}

/** How long a control takes, eyes on it and back, in seconds (house default). */
export const actS = 2;
/** A look in the mirror counts for this long, in seconds (house default). */
export const lookS = 5;

/** From when to when a fixed thing needs the whole attention: seconds before it, seconds past its end (house defaults). */
export const placeMargins: Readonly<
  Record<PlaceHazard['kind'], { readonly beforeS: number; readonly afterS: number }>
> = {
  'limit-change': { beforeS: 3, afterS: 2 },
  bend: { beforeS: 4, afterS: 0 },
  junction: { beforeS: 5, afterS: 1 },
  crossing: { beforeS: 5, afterS: 1 },
};

/** The same for those who are met or passed: seconds until level, seconds after (house defaults). */
export const meetingMargins: Readonly<
  Record<'large-vehicle' | 'cyclist', { readonly beforeS: number; readonly afterS: number }>
> = {
  'large-vehicle': { beforeS: 4, afterS: 1 },
  cyclist: { beforeS: 5, afterS: 2 },
};

/** An overtaker matters from this far behind until this far ahead, in metres (house defaults). */
export const overtakerM = { behind: 40, ahead: 15 } as const;

export function isPlace(hazard: Hazard): hazard is PlaceHazard {
  return hazard.kind in placeMargins;
}

/** How far ahead of the own car a hazard is at a moment, in metres; behind is negative. */
export function aheadM({ speedMps }: Scenario, hazard: Hazard, atS: number): number {
  return isPlace(hazard) ? hazard.atM - speedMps * atS : hazard.atM + (hazard.speedMps - speedMps) * atS;
}
