import type { Provenance } from './provenance';

/** What a car does in an exercise. */
export const manoeuvres = ['slope', 'quick-stop', 'bay-forward', 'bay-reverse', 'turn', 'corner'] as const;
export type Manoeuvre = (typeof manoeuvres)[number];

/** What starts the clock of an exercise, once the car is in its part of the yard. */
export const clockTriggers = ['entry', 'right-indicator', 'left-indicator', 'reverse-gear', 'rolling'] as const;
export type ClockTrigger = (typeof clockTriggers)[number];

/** A look that is expected in an exercise. */
export interface ExpectedLook {
  readonly code: string;
  readonly name: string;
  /** The item to mark where it is missed. */
  readonly item: string;
}

/** A set exercise. Its clock, attempts and movements are limits. */
export interface Exercise {
  readonly code: string;
  readonly name: string;
  /** What the learner is to do, in a sentence or two. */
  readonly task?: string;
  /** How long it usually takes, in seconds: advice beside its clock, which nothing depends on. */
  readonly usual?: { readonly fromS: number; readonly toS: number; readonly provenance: Provenance };
  /** When its clock starts. */
  readonly clockStarts?: string;
  /** Codes of the items it can bring, besides those that name it as theirs; the likeliest first. */
  readonly items?: readonly string[];
  readonly manoeuvre?: Manoeuvre;
  /** The side it is driven to, where it is asked on both. */
  readonly side?: 'left' | 'right';
  /** What is read aloud before it. */
  readonly script?: string;
  /** What starts its clock, as sensors can tell it. */
  readonly startsAt?: ClockTrigger;
  /** What ends it. */
  readonly endsWhen?: string;
  /** The looks it asks for, in their order. */
  readonly looks?: readonly ExpectedLook[];
  /** Codes of the exercises of which one comes next; the one that follows in the list where it is missing. */
  readonly next?: readonly string[];
}

/** What an exercise of a standard is called; its code where the standard has none such. */
export const exerciseName = ({ exercises }: { readonly exercises: readonly Exercise[] }, code: string): string =>
  exercises.find((exercise) => exercise.code === code)?.name ?? code;

/** The steps of leaving a car. */
export const leavingSteps = ['parking-brake', 'gear', 'engine', 'belt', 'door'] as const;
export type LeavingStep = (typeof leavingSteps)[number];

/** A closed course: the exercises of its standard are driven one after another. */
export interface Course {
  /** The order in which the car is left at the end, and the item to mark where it is left otherwise. */
  readonly leaving?: { readonly order: readonly LeavingStep[]; readonly item: string };
}
