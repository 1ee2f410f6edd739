import type { Layout } from '../layout/layout';
import type { Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { finestDeg, finestM, isFreeWith, mostDeg, mostM, references, type Slip } from './tolerance';

/**
 * Where what a plan is said to forgive is not what it forgives: at the stated edge of a step nothing may be touched, and half
 * as much again has to touch, as far as that is tried. None where all holds.
 */
export function wronglyForgiven(vehicle: Vehicle, layout: Layout, steps: readonly Step[]): readonly string[] {
  return references(vehicle, layout, steps).flatMap(({ shortM, longM, leftDeg, rightDeg }, i) => {
    const wrong: string[] = [];
    const holds = (what: string, is: boolean) => {
      if (!is) wrong.push(`step ${i + 1}: ${what}`);
    };
    const free = (slip: Slip) => isFreeWith(vehicle, layout, steps, i, slip);
    holds('too long', free({ longerM: longM }));
    holds('too short', free({ longerM: -shortM }));
    if (longM < mostM) holds('longer still', !free({ longerM: longM + Math.max(finestM, longM / 2) }));
    if (shortM < Math.min(mostM, Math.abs(steps[i]!.distanceM)) - finestM)
      holds('shorter still', !free({ longerM: -shortM - Math.max(finestM, shortM / 2) }));
    for (const [degrees, sign] of [
      [leftDeg, 1],
      [rightDeg, -1],
    ] as const) {
      if (degrees === undefined) continue;
      const most = Math.min(mostDeg, vehicle.lockDeg - sign * steps[i]!.steerDeg);
      holds('steered', free({ leftDeg: sign * degrees }));
      if (degrees < most - finestDeg)
        holds('steered further', !free({ leftDeg: sign * (degrees + Math.max(finestDeg, degrees / 2)) }));
    }
    return wrong;
  });
}
