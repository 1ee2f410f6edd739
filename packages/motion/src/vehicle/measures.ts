import type { Vehicle } from './vehicle';

/** The measures that are numbers by themselves. */
export type Measure = {
  [K in keyof Vehicle]-?: Vehicle[K] extends number ? K : never;
}[keyof Vehicle];

export interface Bounds {
  readonly least: number;
  readonly most: number;
}

/** What a measure of anything on the road can be, in its own unit; outside it nothing is computed. */
export const possible: Readonly<Record<Measure, Bounds>> = {
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
