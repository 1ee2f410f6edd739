import type { ExerciseRun } from '../drive/clock';
import type { EndingCause, SectionKind } from '../drive/event';
import type { StrangeReference } from './strange';

/** What a verdict needs to know of a drive besides its marks. */
export interface Circumstances {
  readonly ending: 'completed' | 'abandoned' | 'none';
  /** Why it was broken off, where that was said. */
  readonly cause?: EndingCause | undefined;
  readonly endedMs: number;
  /** Whether the car ever moved off. */
  readonly movedOff: boolean;
  /** Whether somebody said that it was meant to be shorter than a whole test. */
  readonly short: boolean;
  /** What the log names and the standard does not have. */
  readonly strange: readonly StrangeReference[];
  readonly unsettledPins: number;
  readonly unsettledDoubles: number;
  /** Codes of the steps of the briefing that were failed. */
  readonly failedChecks: readonly string[];
  /** When the car moved off, in milliseconds of the drive's clock. */
  readonly startedMs: number;
  readonly drivenMs: number;
  readonly sectionMs: Readonly<Record<SectionKind, number>>;
  readonly runs: readonly ExerciseRun[];
  /** The moment at which a stretch from `fromMs` has lasted so long, pauses left out, all in milliseconds. */
  readonly momentAfter: (fromMs: number, lastingMs: number) => number;
}
