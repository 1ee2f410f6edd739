import type { PlaceRate } from '@jasperwren/core/places/hot-spots';
import type { RoadPlace } from '@jasperwren/core/places/passes';

/** What of the faults is looked at. */
export const placeFilters = ['learner', 'instructor', 'since', 'area', 'behaviour', 'severity'] as const;

/** A place with its rate and the behaviours its faults were. */
export interface PlaceOfFaults extends Omit<PlaceRate, 'place'> {
  readonly place: RoadPlace;
  readonly behaviours: readonly { readonly behaviour: string; readonly faults: number }[];
}

/** Passes of one kind of place, such as mini roundabouts turning right. */
export interface KindOfPlace extends Pick<RoadPlace, 'sort' | 'turn'> {
  readonly passes: number;
  readonly faults: number;
}

/** Where faults happen. */
export interface PlacesView {
  /** Drives with a trace, and what they passed and brought. */
  readonly drives: number;
  readonly learners: number;
  readonly passes: number;
  readonly faults: number;
  /** The places with enough passes, hot spots first, then by their rate; the first so many of them. */
  readonly places: readonly PlaceOfFaults[];
  /** Places with too few passes to say anything. */
  readonly tooFew: number;
  readonly kinds: readonly KindOfPlace[];
  /** Faults by month, `YYYY-MM`, with the passes of that month. */
  readonly months: readonly { readonly month: string; readonly passes: number; readonly faults: number }[];
}

/** A fault made at a place. */
export interface FaultAtPlace {
  readonly driveId: string;
  readonly learnerId: string;
  readonly learnerName: string;
  /** RFC 3339. */
  readonly at: string;
  readonly behaviour: string;
  readonly severity: 'counted' | 'outright';
  readonly lat: number;
  readonly lon: number;
}
