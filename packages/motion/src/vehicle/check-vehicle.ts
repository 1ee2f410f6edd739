import { kerbToKerb } from './turning';
import { allMeasures, boundsOf, measureOf, type AnyMeasure, type Bounds } from './measures';
import { lengthOf, type Vehicle, type VehicleKind } from './vehicle';

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
      readonly measure: AnyMeasure;
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
  const impossible = allMeasures.flatMap((measure): VehicleProblem[] => {
    const { least, most } = boundsOf(measure);
    const value = measureOf(vehicle, measure);
    const isWrong = value !== undefined && !(value >= least && value <= most);
    return isWrong ? [{ code: 'impossible', measure, value, least, most }] : [];
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
