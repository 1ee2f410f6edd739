import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useMemo, useSyncExternalStore } from 'react';
import { benchLoop, type BenchLoop, type BenchState } from './bench-loop';

export type Bench = BenchState & Pick<BenchLoop, 'roll' | 'turn' | 'again'>;

/** A vehicle that is driven by hand on a layout. */
export function useBench(vehicle: Vehicle, layout: Layout): Bench {
  const loop = useMemo(() => benchLoop(vehicle, layout), [vehicle, layout]);
  const state = useSyncExternalStore(loop.subscribe, loop.state);
  const { roll, turn, again } = loop;
  return useMemo(() => ({ ...state, roll, turn, again }), [state, roll, turn, again]);
}
