import type { ExerciseRun } from '../drive/clock';
import type { EndingCause, SectionKind } from '../drive/event';

/** What a verdict needs to know of a drive besides its marks. */
export interface Circumstances {
  readonly ending: 'completed' | 'abandoned' | 'none';
  /** Why it was broken off, where that was said. */
  readonly cause?: EndingCause | undefined;
  readonly endedMs: number;
  readonly unsettledPins: number;
  readonly unsettledDoubles: number;
  /** Codes of the steps of the briefing that were failed. */
  readonly failedChecks: readonly string[];
  readonly drivenMs: number;
  readonly sectionMs: Readonly<Record<SectionKind, number>>;
  readonly runs: readonly ExerciseRun[];
  /** The moment at which a stretch from `fromMs` has lasted so long, pauses left out, all in milliseconds. */
  readonly momentAfter: (fromMs: number, lastingMs: number) => number;
}
