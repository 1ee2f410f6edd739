import type { Layout } from '@jasperwren/motion/layout/layout';
import type { BenchDrive } from '@jasperwren/motion/moves/bench';
import { sameHands } from '@jasperwren/motion/moves/same-hands';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import type { Vehicle, VehicleKind } from '@jasperwren/motion/vehicle/vehicle';
import type { GhostDrive } from './Ghost';

/** What is shown beside a drive: nothing, the drive before, or another vehicle driven by the same hands. */
export type Beside = 'none' | 'before' | VehicleKind;

interface Drives {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly kept: readonly BenchDrive[];
  readonly before: readonly BenchDrive[] | undefined;
}

/** The drive to show beside another; undefined where there is none. */
export function ghostOf(beside: Beside, { vehicle, layout, kept, before }: Drives): GhostDrive | undefined {
  if (beside === 'none') return undefined;
  if (beside === 'before') return before && { vehicle, way: before };
  const other = vehicleClasses[beside];
  return { vehicle: other, way: sameHands(vehicle, kept, other, layout.start) };
}
