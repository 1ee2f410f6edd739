import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { ChecksView } from './safety-questions';

/** What a learner sees of themselves. */
export interface MeView extends ChecksView {
  /** Changes with every learner; names no account of the school. */
  readonly learnerId: string;
  readonly firstName: string;
  readonly school: string;
  readonly testDate?: string;
  readonly standard: EffectiveStandard;
  readonly vehicleId?: string;
  /** What was agreed to work on at the last debrief, in words. */
  readonly workOn: readonly string[];
  readonly csrfToken: string;
}

/** A route that can be rehearsed, until a moment. */
export interface MyRoute {
  readonly id: string;
  readonly name: string;
  readonly expiresAt: string;
}

/** A debrief that was shared with a learner and can still be read. */
export interface MyDebrief {
  readonly id: string;
  readonly startedAt: string;
  readonly expiresAt: string;
  readonly outcome: string;
}
