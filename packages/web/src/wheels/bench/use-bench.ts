import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useMemo, useSyncExternalStore } from 'react';
import { benchLoop, type BenchLoop, type BenchState } from './bench-loop';

export interface Bench extends BenchState {
  readonly loop: BenchLoop;
}

/** A vehicle that is driven by hand on a layout, as it was at most a fifth of a second ago. */
export function useBench(vehicle: Vehicle, layout: Layout): Bench {
  const loop = useMemo(() => benchLoop(vehicle, layout), [vehicle, layout]);
  const state = useSyncExternalStore(loop.subscribe, loop.calm);
  return useMemo(() => ({ ...state, loop }), [state, loop]);
}
