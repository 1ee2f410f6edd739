import type { Pose } from '../geometry';
import type { Vehicle } from '../vehicle/vehicle';
import type { BenchDrive } from './bench';
import { roll, standing, type Placed } from './roll';

/** A moment of a drive by its way, in metres forward and back together. */
export interface OnWay {
  readonly wayM: number;
  readonly placed: Placed;
}

/**
 * Where another vehicle would be had its steering wheel been turned as far of its lock, and had it been rolled as far, as in
 * a drive on the bench.
 * @param drive as it was kept, from its start
 */
export function sameHands(drove: Vehicle, drive: readonly BenchDrive[], other: Vehicle, start: Pose): readonly OnWay[] {
  const way: OnWay[] = [{ wayM: 0, placed: standing(start) }];
  for (let i = 1; i < drive.length; i++) {
    const [before, now] = [drive[i - 1]!, drive[i]!];
    const share = now.placed.steerDeg / drove.lockDeg;
    const turned = { ...way.at(-1)!.placed, steerDeg: share * other.lockDeg };
    way.push({ wayM: now.wayM, placed: roll(other, turned, now.direction * (now.wayM - before.wayM)) });
  }
  return way;
}

/** The last moment at or before so much way; the first where there is none. */
export function atWay<M extends { readonly wayM: number }>(way: readonly M[], wayM: number): M {
  let [low, high] = [0, way.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (way[middle]!.wayM <= wayM + 1e-9) low = middle;
    else high = middle - 1;
  }
  return way[low]!;
}
