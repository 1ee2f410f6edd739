import type { FeatureKind } from '@jasperwren/roads/features/features';
import { wordsOf } from '../words';

export const resource = {
  'left-turn': 'Left turns',
  'right-turn': 'Right turns',
  'give-way': 'Give way lines',
  stop: 'Stop lines',
  signals: 'Traffic lights',
  crossroads: 'Crossroads',
  staggered: 'Staggered crossroads',
  'mini-roundabout': 'Mini roundabouts',
  'roundabout-left': 'Roundabouts, left',
  'roundabout-ahead': 'Roundabouts, straight ahead',
  'roundabout-right': 'Roundabouts, right',
  'roundabout-lanes': 'Roundabouts with lanes',
  crossing: 'Pedestrian crossings',
  raised: 'Raised crossings and humps',
  'limit-change': 'Changes of speed limit',
  'dual-carriageway': 'Dual carriageways',
  'slip-road': 'Slip roads',
  'one-way': 'One-way streets',
  narrow: 'Narrow roads',
  'fast-lane': 'Single-track lanes with a high limit',
  school: 'Past a school',
  brow: 'Blind brows',
  steep: 'Steep hills',
} as const satisfies Record<FeatureKind, string>;

const t = wordsOf('road-features', resource);

/** The name of a feature of roads: "Mini roundabouts". */
export const featureName = (kind: FeatureKind): string => t(kind);
