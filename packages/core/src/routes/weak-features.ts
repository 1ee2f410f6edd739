import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { AreaCount } from '../marking/areas';

/** Where on the roads the faults of an area are made. Common practice; areas that no road brings out are left out. */
const featuresOf: Readonly<Record<string, readonly FeatureKind[]>> = {
  'moving-off': ['steep'],
  mirrors: ['limit-change', 'roundabout-lanes'],
  signals: ['roundabout-ahead', 'roundabout-right'],
  position: ['one-way', 'roundabout-lanes'],
  speed: ['limit-change', 'school'],
  junctions: ['give-way', 'stop', 'crossroads'],
  roundabouts: ['mini-roundabout', 'roundabout-ahead', 'roundabout-right'],
  signs: ['signals', 'stop'],
  'fast-roads': ['dual-carriageway', 'slip-road'],
  clearance: ['narrow'],
  meeting: ['narrow'],
  crossings: ['crossing'],
};

/** An area counts as weak from so many faults on, and so many areas at most are practised on one drive. */
const leastFaults = 2;
const mostAreas = 3;

/** Areas a learner had faults in, most first, and what of the roads brings them out. */
export interface WeakFeatures {
  readonly areas: readonly { readonly name: string; readonly faults: number }[];
  readonly kinds: readonly FeatureKind[];
}

/**
 * What of the roads a learner should meet more of.
 * @param drives the faults by area of the mock tests that count, in any order
 */
export function weakFeatures(drives: readonly (readonly AreaCount[])[]): WeakFeatures {
  const faults = new Map<string, { readonly name: string; readonly faults: number }>();
  for (const { category, name, total } of drives.flat())
    faults.set(category, { name, faults: (faults.get(category)?.faults ?? 0) + total });
  const weak = [...faults]
    .filter(([area, one]) => one.faults >= leastFaults && featuresOf[area] !== undefined)
    .sort(([, a], [, b]) => b.faults - a.faults)
    .slice(0, mostAreas);
  return {
    areas: weak.map(([, one]) => one),
    kinds: [...new Set(weak.flatMap(([area]) => featuresOf[area]!))],
  };
}
