import type { ExerciseRun } from '../drive/clock';
import type { SectionKind } from '../drive/event';

/** What a verdict needs to know of a drive besides its marks. */
export interface Circumstances {
  readonly ending: 'completed' | 'abandoned' | 'none';
  readonly unsettledPins: number;
  readonly drivenMs: number;
  readonly sectionMs: Readonly<Record<SectionKind, number>>;
  readonly runs: readonly ExerciseRun[];
  /** The moment at which a stretch from `fromMs` has lasted so long, pauses left out, all in milliseconds. */
  readonly momentAfter: (fromMs: number, lastingMs: number) => number;
}
