import type { Assumptions, MarkerSeverity, School } from '@jasperwren/core/readiness/assumptions';
import type { Calibration } from '@jasperwren/core/readiness/calibration';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import type { Judgement } from '@jasperwren/core/readiness/judgement';

/** What the school's own learners say, see `School`; maps as pairs. */
export interface SchoolFigures {
  readonly assumptions: Assumptions;
  readonly errors: School['errors'];
  readonly counted: readonly (readonly [behaviour: string, share: number])[];
  readonly outright: readonly (readonly [behaviour: string, share: number])[];
  readonly markers: readonly (readonly [accountId: string, severity: MarkerSeverity])[];
  readonly learners: number;
  readonly drives: number;
}

/** How strict a marker of the school is. */
export interface MarkerView extends MarkerSeverity {
  readonly name: string;
}

/** A real test as the history shows it. */
export interface RealResult {
  /** `YYYY-MM-DD`. */
  readonly date: string;
  readonly passed: boolean;
}

/** Everything an estimate about one learner rests on; the device works it out from this. */
export interface ReadinessInput {
  readonly evidence: readonly Evidence[];
  readonly results: readonly RealResult[];
  readonly school: SchoolFigures;
  /** When the figures of the school were fitted, RFC 3339; missing where its own say nothing yet. */
  readonly schoolMadeAt?: string;
  /** Chance that the safety questions are right on the day of the test, or today, 0 to 1. */
  readonly questions?: number;
}

/** The judgement about a learner, for lists. */
export interface ReadinessRow {
  readonly learnerId: string;
  readonly name: string;
  readonly testDate?: string;
  /** Who drove with them last. */
  readonly instructorName?: string;
  readonly word: Judgement['word'];
  readonly next: Judgement['next'];
  /** The first of its reasons; the page of the learner has them all. */
  readonly reason?: Judgement['reasons'][number];
  /** Chance of a pass, 0 to 1, with its 90 % interval. */
  readonly mean: number;
  readonly from: number;
  readonly to: number;
  readonly drives: number;
  /** When it was worked out, RFC 3339. */
  readonly madeAt: string;
}

/** What one instructor has on their hands. */
export interface InstructorLoad {
  readonly name: string;
  readonly learners: number;
  /** Drives of the last four weeks. */
  readonly drives: number;
}

export interface SchoolReadiness {
  readonly rows: readonly ReadinessRow[];
  /** Learners whose judgement is being worked out, or worked out anew: ask again soon. */
  readonly pending: number;
  readonly load: readonly InstructorLoad[];
  readonly calibration: Calibration;
  /** For lead instructors alone; empty for others. */
  readonly markers: readonly MarkerView[];
}
