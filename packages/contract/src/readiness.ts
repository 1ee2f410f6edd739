import type { Factor } from '@jasperwren/core/readiness/assumptions';
import type { Calibration, TestsHere } from '@jasperwren/core/readiness/calibration';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import type { Judgement } from '@jasperwren/core/readiness/judgement';
import type { DateAdvice } from '@jasperwren/core/readiness/outlook';
import type { Lesson } from '@jasperwren/core/readiness/practice';
import type { StandardSight } from '@jasperwren/core/readiness/shown';
import type { SchoolFigures } from '@jasperwren/core/readiness/school-figures';

/** How strict a marker of the school is. */
export interface MarkerView extends Factor {
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
  /** The moment for which it is estimated, the same on every page of a day; RFC 3339. */
  readonly on: string;
  readonly lessons: readonly Lesson[];
  readonly testDate?: string;
  readonly centre?: string;
  /** What the standards of the drives look at. */
  readonly sights: readonly StandardSight[];
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
  /** What that means for the date of the test. */
  readonly advice: DateAdvice;
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
  /** How driving tests went beside what was expected, by test centre. */
  readonly centres: readonly TestsHere[];
  /** The same by who marked most of the mock tests: for lead instructors alone, empty for others. */
  readonly testsByMarker: readonly TestsHere[];
  /** For lead instructors alone; empty for others. */
  readonly markers: readonly MarkerView[];
}
