import { isOfTrailer, measureOf, type AnyMeasure, type TrailerMeasure } from '@jasperwren/motion/vehicle/measures';
import { frontOf, type Vehicle } from '@jasperwren/motion/vehicle/vehicle';

/** A place in a picture of a vehicle: metres ahead of its rear axle, and above the ground or to the left. */
export interface At {
  readonly x: number;
  readonly y: number;
}

/** Where the tape goes for a measure: seen from the side or from above. */
export interface MeasureLine {
  readonly view: 'side' | 'top';
  readonly from: At;
  readonly to: At;
}

/** From where to where a measure is taken; undefined for what no tape measures. */
export function measureLine(vehicle: Vehicle, measure: AnyMeasure): MeasureLine | undefined {
  const front = frontOf(vehicle);
  const value = measureOf(vehicle, measure);
  if (value === undefined) return undefined;
  if (isOfTrailer(measure)) return trailerLine(vehicle, measure, value);
  const along = (from: number, to: number, height: number): MeasureLine => ({
    view: 'side',
    from: { x: from, y: height },
    to: { x: to, y: height },
  });
  const up = (x: number): MeasureLine => ({ view: 'side', from: { x, y: 0 }, to: { x, y: value } });
  const across = (x: number, right: number, left: number): MeasureLine => ({
    view: 'top',
    from: { x, y: right },
    to: { x, y: left },
  });
  const axleHeight = vehicle.tyreDiameterM / 2;
  switch (measure) {
    case 'wheelbaseM':
      return along(0, value, axleHeight);
    case 'frontOverhangM':
      return along(vehicle.wheelbaseM, front, axleHeight);
    case 'rearOverhangM':
      return along(-value, 0, axleHeight);
    case 'trackM':
      return across(vehicle.wheelbaseM, -value / 2, value / 2);
    case 'widthM':
      return across(-vehicle.rearOverhangM, -value / 2, value / 2);
    case 'mirrorWidthM':
      return across(vehicle.mirrorAheadM, -value / 2, value / 2);
    case 'tyreWidthM': {
      const middle = vehicle.trackM / 2;
      return across(0, middle - value / 2, middle + value / 2);
    }
    case 'eyeLeftM':
      return across(vehicle.eyeAheadM, 0, value);
    case 'mirrorGlassWideM': {
      const outer = vehicle.mirrorWidthM / 2;
      return across(vehicle.mirrorAheadM, outer - value, outer);
    }
    case 'mirrorAheadM':
      return along(0, value, vehicle.mirrorGlassHeightM);
    case 'doorHandleAheadM':
      return along(0, value, vehicle.sillM - 0.1);
    case 'eyeAheadM':
      return along(0, value, vehicle.eyeHeightM);
    case 'bonnetAheadM':
      return along(0, value, vehicle.bonnetHeightM);
    case 'pillarFootAheadM':
    case 'doorPillarAheadM':
      return along(0, value, vehicle.sillM);
    case 'pillarTopAheadM':
      return along(0, value, vehicle.roofM);
    case 'pillarWideM':
      return along(vehicle.pillarFootAheadM - value, vehicle.pillarFootAheadM, vehicle.sillM);
    case 'seatRangeM':
      return along(vehicle.eyeAheadM - value / 2, vehicle.eyeAheadM + value / 2, vehicle.sillM - 0.3);
    case 'tyreDiameterM':
      return up(0);
    case 'sillM':
      return up(vehicle.doorHandleAheadM);
    case 'eyeHeightM':
      return up(vehicle.eyeAheadM);
    case 'bonnetHeightM':
      return up(vehicle.bonnetAheadM);
    case 'mirrorGlassHeightM':
      return up(vehicle.mirrorAheadM);
    case 'roofM':
      return up(vehicle.pillarTopAheadM);
    case 'mirrorGlassTallM': {
      const low = vehicle.mirrorGlassHeightM - value / 2;
      return {
        view: 'side',
        from: { x: vehicle.mirrorAheadM, y: low },
        to: { x: vehicle.mirrorAheadM, y: low + value },
      };
    }
    default:
      return undefined;
  }
}

/** The same behind the vehicle, with the trailer in line: from above, so that nothing of it is hidden. */
function trailerLine({ trailer }: Vehicle, measure: TrailerMeasure, value: number): MeasureLine {
  const { hitchBehindM, drawbarM, bodyBehindM, widthM, tyreWidthM } = trailer!;
  const axle = -hitchBehindM - drawbarM;
  const line = (from: At, to: At): MeasureLine => ({ view: 'top', from, to });
  const along = (from: number, to: number) => line({ x: from, y: 0 }, { x: to, y: 0 });
  const across = (x: number, right: number, left: number) => line({ x, y: right }, { x, y: left });
  switch (measure) {
    case 'hitchBehindM':
      return along(-value, 0);
    case 'drawbarM':
      return along(axle, -hitchBehindM);
    case 'bodyAheadM':
      return along(axle, axle + value);
    case 'bodyBehindM':
      return along(axle - value, axle);
    case 'trailerWidthM':
      return across(axle - bodyBehindM, -value / 2, value / 2);
    case 'trailerTyreWidthM':
      return across(axle, widthM / 2 - tyreWidthM, widthM / 2);
    case 'trailerTyreDiameterM': {
      const side = widthM / 2 - tyreWidthM / 2;
      return line({ x: axle - value / 2, y: side }, { x: axle + value / 2, y: side });
    }
  }
}
