import type { FeatureKind } from '../features/features';
import type { End, Path } from '../route/router';

/** What is wished of the loops. */
export interface LoopWish {
  readonly from: End;
  readonly minutes: number;
  /** How many of each feature at least. */
  readonly wants?: Readonly<Partial<Record<FeatureKind, number>>>;
  /** Features as many as fit: what a learner finds hard. */
  readonly prefers?: readonly FeatureKind[];
  /** Features to have none of, where that can be. */
  readonly avoids?: readonly FeatureKind[];
  /** What every loop leads over: each a few ends that are passed one after the other. */
  readonly over?: readonly (readonly End[])[];
  /** How many loops. */
  readonly loops?: number;
  readonly seed: number;
}

/** A wish that a loop does not meet. */
export interface Unmet {
  readonly kind: FeatureKind;
  readonly wanted: number;
  readonly found: number;
  /** Seconds from the start to the nearest on the roads; nothing where there is none within reach. */
  readonly nearest?: number;
}

export interface Loop {
  readonly path: Path;
  /** The places it leads through, the start first and last. */
  readonly through: readonly End[];
  readonly seconds: number;
  readonly counts: Readonly<Partial<Record<FeatureKind, number>>>;
  readonly unmet: readonly Unmet[];
  /** Share of its metres on roads it has driven before. */
  readonly repeated: number;
  /** Largest share of its metres on roads of one of the loops before it. */
  readonly shared: number;
}

/** What is told and asked while loops are planned. */
export interface Planning {
  /** Share done, from 0 to 1. */
  readonly onProgress?: (share: number) => void;
  readonly shouldStop?: () => boolean;
}
