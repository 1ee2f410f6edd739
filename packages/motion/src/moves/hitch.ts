import type { Vehicle } from '../vehicle/vehicle';
import { hitchAfter } from './roll';

const { abs, cos, sin } = Math;

type Towing = Pick<Vehicle, 'trailer'>;

/** The curvature that keeps a trailer at an angle, 1 / metres to the left: sin(h) = k (d + a cos(h)), see `steadyHitch`. */
export function keptCurvature({ trailer }: Towing, hitch: number): number {
  const { drawbarM, hitchBehindM } = trailer!;
  return sin(hitch) / (drawbarM + hitchBehindM * cos(hitch));
}

/** No longer way than this brings a trailer to an angle, in metres, and it is found in steps of so many. */
const [mostWayM, stepM] = [12, 0.02] as const;
/** No way is looked for with a trailer further askew than this, in radians; where it meets its car `isFolded` says. */
const mostAskewRad = 2;

/**
 * Metres with the wheels held until a trailer has come from one angle to another, in radians.
 * @param curvature 1 / metres, to the left
 * @param gear 1 forwards, -1 backwards
 * @returns undefined where it does not within 12 m
 */
export function metresUntil(
  vehicle: Towing,
  from: number,
  to: number,
  curvature: number,
  gear: 1 | -1,
): number | undefined {
  const side = from < to ? 1 : -1;
  const isPast = (hitch: number): boolean => (hitch - to) * side >= 0;
  let hitch = from;
  for (let way = 0; way < mostWayM; way += stepM) {
    const next = hitchAfter(vehicle, hitch, curvature, gear * stepM);
    if (abs(next) > mostAskewRad) return undefined;
    if (isPast(next)) {
      let [short, long] = [way, way + stepM];
      // As exactly as numbers go: what is left of an angle grows while reversing.
      for (let i = 0; i < 50; i++) {
        const middle = (short + long) / 2;
        if (isPast(hitchAfter(vehicle, from, curvature, gear * middle))) long = middle;
        else short = middle;
      }
      return long;
    }
    hitch = next;
  }
  return undefined;
}
