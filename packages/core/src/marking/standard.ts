import type { EndingCause, ExerciseStepKind, SectionKind, StandardRef } from '../drive/event';
import type { BriefingStep } from './briefing';
import type { Course, Exercise } from './exercise';
import type { Provenance, Sourced } from './provenance';

/** How a grade is drawn; shape, colour and word follow from it. */
export type GradeSign = 'noted' | 'counted' | 'outright' | 'highest';

/** A step of severity. */
export interface Grade {
  readonly code: string;
  readonly name: string;
  readonly plural: string;
  /** One word for the head of a column. */
  readonly short: string;
  readonly sign: GradeSign;
  readonly meaning: string;
  /** Points that one mark of this grade is worth, where the standard counts points; an item may say otherwise. */
  readonly points?: Sourced;
}

export const measuredUnits = ['cm', 'm', 'km/h', 'rpm', 's'] as const;
export type MeasuredUnit = (typeof measuredUnits)[number];

/** A stretch of a measured value and the grade it brings; a bound that is missing is open. */
export interface Band {
  readonly over?: number;
  readonly atLeast?: number;
  readonly below?: number;
  readonly grade: string;
  readonly provenance: Provenance;
}

/** How a measured value is graded: by the first band that holds it, not at all where none does. */
export interface Measured {
  /** What is measured, such as "distance rolled back". */
  readonly quantity: string;
  readonly unit: MeasuredUnit;
  readonly bands: readonly Band[];
  /**
   * What counts where the value and the grade given by hand contradict each other; the value where it is missing, since
   * the bands are the standard's own rule.
   */
  readonly counts?: 'value' | 'grade';
}

/** What the sensors of a car can tell of a fault. What each is and from where on it is one: `yard/signs.ts`. */
export const sensorSigns = [
  'roll-back',
  'revs',
  'speed',
  'tone-speed',
  'late-braking',
  'clutch-first',
  'dry-steering',
  'brake-on',
  'early-brake',
  'not-in-park',
  'extra-reverse',
  'late-extra-reverse',
  'pull-forward',
  'line',
  'parked-outside',
  'pole',
  'stalled',
  'belt',
  'door',
  'leaving-order',
] as const;
export type SensorSign = (typeof sensorSigns)[number];

/** A behaviour as this standard lists and words it. */
export interface Item {
  readonly code: string;
  /** Code of the shared catalogue, by which drives under different standards compare. */
  readonly behaviour: string;
  readonly name: string;
  /** One capital letter, unique within the category. */
  readonly letter: string;
  /** Grades this item can have; all of them where it is missing. */
  readonly grades?: readonly string[];
  /** Class of error, for limits over classes. */
  readonly class?: string;
  /** The exercise this item belongs to, for limits over exercises. */
  readonly exercise?: string;
  /** Points by grade code, where they differ from the grade's. */
  readonly points?: Readonly<Record<string, Sourced>>;
  readonly measured?: Measured;
  /** The checks that make up this item, in their order. */
  readonly sequence?: readonly string[];
  /** What of it the sensors of a car can tell: in its exercise, or in the whole yard where it belongs to none. */
  readonly sensors?: readonly SensorSign[];
}

/** A class of error that cuts across the categories. */
export interface ErrorClass {
  readonly code: string;
  readonly name: string;
}

export interface Category {
  readonly code: string;
  readonly name: string;
  /** One capital letter, unique within the standard. */
  readonly letter: string;
  readonly items: readonly Item[];
}

/** What a limit looks at. Without a code it holds for each category, item, class or exercise by itself. */
export type LimitScope =
  | { readonly kind: 'test' }
  | { readonly kind: 'category'; readonly category?: string }
  | { readonly kind: 'item'; readonly item?: string }
  | { readonly kind: 'class'; readonly class?: string }
  | { readonly kind: 'exercise'; readonly exercise?: string };

/** What a limit adds up. Marks may be narrowed to some items. */
export type LimitMeasure =
  | { readonly kind: 'count'; readonly grades: readonly string[]; readonly items?: readonly string[] }
  | { readonly kind: 'points'; readonly grades: readonly string[]; readonly items?: readonly string[] }
  /** Seconds driven, of the whole test or of one attempt at an exercise, pauses left out. */
  | { readonly kind: 'time' }
  /** Attempts at an exercise. */
  | { readonly kind: 'attempts' }
  /** Attempts at an exercise that failed, as said by the instructor or by a limit that fails attempts. */
  | { readonly kind: 'failed-attempts' }
  /** Movements, or looks from outside, within one attempt at an exercise. */
  | { readonly kind: 'steps'; readonly step: ExerciseStepKind }
  | { readonly kind: 'failed-exercises' };

export type LimitEffect =
  | { readonly kind: 'fail-test' }
  | { readonly kind: 'fail-exercise' }
  /** Fails the attempt under way; whether that fails the exercise, a limit over failed attempts says. */
  | { readonly kind: 'fail-attempt' }
  /** Not automatic: the product asks, a person decides. */
  | { readonly kind: 'ask-upgrade'; readonly grade: string }
  /** Automatic, because this standard says so: each mark beyond what is allowed counts as this graver grade as well. */
  | { readonly kind: 'upgrade'; readonly grade: string };

export interface Limit {
  readonly code: string;
  readonly name: string;
  readonly scope: LimitScope;
  readonly measure: LimitMeasure;
  /** The most that may be used; one more has the effect. */
  readonly allowed: Sourced;
  readonly effect: LimitEffect;
}

/**
 * Keeps marks of these items from counting: the first `free` ones, and those beyond `atMost` counted ones. It holds
 * within each limit by itself, among the marks that this limit looks at.
 */
export interface Cap {
  readonly code: string;
  readonly name: string;
  readonly items: readonly string[];
  readonly grades: readonly string[];
  /** Whether the items share the cap or each has its own. */
  readonly over: 'together' | 'each';
  readonly free?: Sourced;
  readonly atMost?: Sourced;
}

/** What a drive must hold before a pass can be spoken of. */
export type Requirement =
  | { readonly kind: 'driving-time'; readonly atLeastMin: Sourced }
  | { readonly kind: 'section-time'; readonly section: SectionKind; readonly atLeastMin: Sourced }
  | { readonly kind: 'exercise'; readonly exercise: string };

/** What breaking a drive off amounts to. */
export interface EndingRule {
  readonly cause: EndingCause;
  readonly outcome: 'fail' | 'incomplete';
  readonly provenance: Provenance;
}

/** A question of the standard's oral part. */
export interface QuestionRule {
  readonly kind: 'tell' | 'show' | 'oral';
  readonly name: string;
  readonly item: string;
  readonly perTest: Sourced;
  readonly tries: Sourced;
}

/** What a choice of an option changes in the standard. */
export type Setting =
  | { readonly kind: 'limit'; readonly limit: string; readonly allowed: number }
  | { readonly kind: 'grades'; readonly item: string; readonly grades: readonly string[] }
  | { readonly kind: 'bands'; readonly item: string; readonly bands: readonly Band[] };

export interface Choice {
  readonly code: string;
  readonly name: string;
  readonly sets?: readonly Setting[];
}

/** A matter on which practitioners disagree, settled for this standard, with the reason. */
export interface StandardOption {
  readonly code: string;
  readonly name: string;
  readonly choices: readonly Choice[];
  readonly chosen: string;
  readonly reason: string;
}

/**
 * A marking standard as data. It holds no code: whatever a school of marking does differently is said in these
 * fields, and the evaluator knows none of the schools by name. A version never changes once a drive was marked
 * under it.
 */
export interface Standard {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly summary: string;
  readonly trafficSide: 'left' | 'right';
  readonly units: 'imperial' | 'metric';
  /** Usual length of the whole test and of its independent part. */
  readonly length: { readonly totalMin: Sourced; readonly independentMin?: Sourced };
  /** For standards that count down: what the score starts at. */
  readonly startScore?: Sourced;
  /** The standard and version this one was made from. */
  readonly basedOn?: StandardRef;
  /** What is done and asked before the car moves, in order. */
  readonly briefing?: readonly BriefingStep[];
  /** Causes that are not named leave the drive without a verdict. */
  readonly endings?: readonly EndingRule[];
  /** What a repeated exercise gets on top of its clock, in seconds. */
  readonly retestExtraS?: Sourced;
  /** From mildest to gravest. */
  readonly grades: readonly Grade[];
  /** In the order of a drive. */
  readonly categories: readonly Category[];
  readonly classes?: readonly ErrorClass[];
  readonly limits: readonly Limit[];
  readonly caps: readonly Cap[];
  readonly requirements: readonly Requirement[];
  readonly exercises: readonly Exercise[];
  /** Where the exercises make up a closed course. */
  readonly course?: Course;
  readonly questions: readonly QuestionRule[];
  readonly options: readonly StandardOption[];
}

declare const applied: unique symbol;

/** A standard whose chosen options stand in its numbers, as `effective` makes it: the one that a drive is judged by. */
export type EffectiveStandard = Standard & { readonly [applied]: true };
