import type { SectionKind } from '../drive/event';
import type { Sourced } from './provenance';

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

/** What a limit adds up. */
export type LimitMeasure =
  | { readonly kind: 'count'; readonly grades: readonly string[] }
  | { readonly kind: 'points'; readonly grades: readonly string[] }
  | { readonly kind: 'failed-exercises' };

export type LimitEffect =
  | { readonly kind: 'fail-test' }
  | { readonly kind: 'fail-exercise' }
  /** Not automatic: the product asks, a person decides. */
  | { readonly kind: 'ask-upgrade'; readonly grade: string };

export interface Limit {
  readonly code: string;
  readonly name: string;
  readonly scope: LimitScope;
  readonly measure: LimitMeasure;
  /** The most that may be used; one more has the effect. */
  readonly allowed: Sourced;
  readonly effect: LimitEffect;
}

/** However many marks these items get, no more than `atMost` count toward the limits. */
export interface Cap {
  readonly code: string;
  readonly name: string;
  readonly items: readonly string[];
  readonly grades: readonly string[];
  readonly atMost: Sourced;
}

/** What a drive must hold before a pass can be spoken of. */
export type Requirement =
  | { readonly kind: 'driving-time'; readonly atLeastMin: Sourced }
  | { readonly kind: 'section-time'; readonly section: SectionKind; readonly atLeastMin: Sourced };

export interface Exercise {
  readonly code: string;
  readonly name: string;
  readonly timeLimitS?: Sourced;
  readonly attempts?: Sourced;
  readonly movements?: Sourced;
  readonly shunts?: Sourced;
}

/** A question of the standard's oral part. */
export interface QuestionRule {
  readonly kind: 'tell' | 'show' | 'oral';
  readonly item: string;
  readonly perTest: Sourced;
  readonly tries: Sourced;
}

/** A matter on which practitioners disagree, settled for this standard, with the reason. */
export interface StandardOption {
  readonly code: string;
  readonly name: string;
  readonly choices: readonly { readonly code: string; readonly name: string }[];
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
  /** From mildest to gravest. */
  readonly grades: readonly Grade[];
  /** In the order of a drive. */
  readonly categories: readonly Category[];
  readonly limits: readonly Limit[];
  readonly caps: readonly Cap[];
  readonly requirements: readonly Requirement[];
  readonly exercises: readonly Exercise[];
  readonly questions: readonly QuestionRule[];
  readonly options: readonly StandardOption[];
}
