import { kerbToKerb } from './turning';
import { lengthOf, type Vehicle, type VehicleKind } from './vehicle';

/** The measures that are numbers by themselves. */
export type Measure = {
  [K in keyof Vehicle]-?: Vehicle[K] extends number ? K : never;
}[keyof Vehicle];

interface Bounds {
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

/** What is usual for a class, in metres. Common practice. */
const usual: Readonly<Record<VehicleKind, { readonly circle: Bounds; readonly length: Bounds }>> = {
  car: { circle: { least: 9, most: 12 }, length: { least: 3.4, most: 5 } },
  'car-with-trailer': { circle: { least: 9, most: 12.5 }, length: { least: 3.8, most: 5.2 } },
  van: { circle: { least: 10.5, most: 15 }, length: { least: 4.2, most: 7.4 } },
  rigid: { circle: { least: 11, most: 22 }, length: { least: 5.5, most: 12 } },
};

/** What is wrong with the measures of a vehicle, or strange about them. */
export type VehicleProblem =
  | {
      readonly code: 'impossible';
      readonly measure: Measure;
      readonly value: number;
      readonly least: number;
      readonly most: number;
    }
  | { readonly code: 'narrower-than-tyres' | 'mirrors-narrower' | 'mirrors-outside' | 'handle-outside' }
  | { readonly code: 'eye-outside' | 'mirrors-behind-eye' | 'trailer-missing' | 'trailer-short' }
  | {
      readonly code: 'unusual-circle' | 'unusual-length';
      readonly value: number;
      readonly least: number;
      readonly most: number;
    };

const strange = new Set<VehicleProblem['code']>(['unusual-circle', 'unusual-length']);

/** Whether a vehicle can be computed with although somebody should look again. */
export const isOnlyStrange = ({ code }: VehicleProblem): boolean => strange.has(code);

/** All that is wrong or strange about the measures of a vehicle; what is wrong first. */
export function checkVehicle(vehicle: Vehicle): readonly VehicleProblem[] {
  const impossible = (Object.keys(possible) as Measure[]).flatMap((measure): VehicleProblem[] => {
    const [value, bounds] = [vehicle[measure], possible[measure]];
    return value >= bounds.least && value <= bounds.most ? [] : [{ code: 'impossible', measure, value, ...bounds }];
  });
  if (impossible.length > 0) return impossible;
  const { widthM, trackM, tyreWidthM, mirrorWidthM, mirrorAheadM, doorHandleAheadM, trailer } = vehicle;
  const front = vehicle.wheelbaseM + vehicle.frontOverhangM;
  const along = (aheadM: number) => aheadM > -vehicle.rearOverhangM && aheadM < front;
  const wrong: VehicleProblem[] = [];
  if (trackM + tyreWidthM > widthM + 0.02) wrong.push({ code: 'narrower-than-tyres' });
  if (mirrorWidthM < widthM) wrong.push({ code: 'mirrors-narrower' });
  if (!along(mirrorAheadM)) wrong.push({ code: 'mirrors-outside' });
  if (!along(doorHandleAheadM)) wrong.push({ code: 'handle-outside' });
  const { eyeAheadM, eyeLeftM, eyeHeightM, sillM, roofM } = vehicle;
  if (!along(eyeAheadM) || Math.abs(eyeLeftM) > widthM / 2 || eyeHeightM < sillM || eyeHeightM > roofM)
    wrong.push({ code: 'eye-outside' });
  else if (mirrorAheadM < eyeAheadM + 0.2) wrong.push({ code: 'mirrors-behind-eye' });
  if ((vehicle.kind === 'car-with-trailer') !== (trailer !== undefined)) wrong.push({ code: 'trailer-missing' });
  if (trailer && !(trailer.drawbarM > 0.5 && trailer.bodyAheadM < trailer.drawbarM && trailer.hitchBehindM >= 0))
    wrong.push({ code: 'trailer-short' });
  if (wrong.length > 0) return wrong;
  const { circle, length } = usual[vehicle.kind];
  const [circleM, lengthM] = [kerbToKerb(vehicle, vehicle.lockDeg), lengthOf(vehicle)];
  const outside = (value: number, { least, most }: Bounds) => value < least || value > most;
  return [
    ...(outside(circleM, circle) ? [{ code: 'unusual-circle' as const, value: circleM, ...circle }] : []),
    ...(outside(lengthM, length) ? [{ code: 'unusual-length' as const, value: lengthM, ...length }] : []),
  ];
}
