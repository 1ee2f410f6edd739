import type { Drive, Span } from './drive';
import type { SectionKind, ExerciseStepKind } from './event';

/** Milliseconds between two moments during which the drive was paused. */
function pausedBetween(drive: Drive, fromMs: number, toMs: number): number {
  let sum = 0;
  for (const pause of drive.pauses) {
    const overlap = Math.min(pause.toMs ?? Infinity, toMs) - Math.max(pause.fromMs, fromMs);
    if (overlap > 0) sum += overlap;
  }
  return sum;
}

/**
 * Time driven, pauses left out, in milliseconds.
 * @param nowMs the moment to measure to, on the drive's clock; an ended drive is measured to its end
 */
export function drivenMs(drive: Drive, nowMs: number): number {
  if (stillAtTheKerb(drive)) return 0;
  return drivenBefore(drive, drive.ended?.atMs ?? nowMs);
}

const stillAtTheKerb = ({ phase }: Drive) => phase === 'not-started' || phase === 'briefing';

/** Time driven before a moment of the drive's clock, pauses left out; both in milliseconds. */
export function drivenBefore(drive: Drive, atMs: number): number {
  return Math.max(0, atMs - pausedBetween(drive, 0, atMs));
}

/** Time driven in sections of one kind, pauses left out, in milliseconds; `nowMs` as for `drivenMs`. */
export function sectionMs(drive: Drive, section: SectionKind, nowMs: number): number {
  return drive.spans.reduce((sum, span) => sum + (span.section === section ? spanMs(drive, span, nowMs) : 0), 0);
}

function spanMs(drive: Drive, span: Span, nowMs: number): number {
  if (stillAtTheKerb(drive)) return 0;
  const toMs = span.toMs ?? nowMs;
  return Math.max(0, toMs - span.fromMs - pausedBetween(drive, span.fromMs, toMs));
}

/** The section under way at the end of the log. */
export function currentSpan(drive: Drive): Span | undefined {
  return drive.spans.at(-1);
}

/** One go at an exercise. */
export interface ExerciseRun {
  readonly exercise: string;
  readonly retest: boolean;
  readonly fromMs: number;
  /** Time taken, pauses left out, in milliseconds. */
  readonly timeMs: number;
  /** Moments of what was counted within it, in milliseconds of the drive's clock. */
  readonly steps: Readonly<Record<ExerciseStepKind, readonly number[]>>;
}

/** Every go at an exercise, in order; `nowMs` as for `drivenMs`. */
export function exerciseRuns(drive: Drive, nowMs: number): readonly ExerciseRun[] {
  return drive.spans.flatMap((span) => {
    if (span.exercise === undefined) return [];
    const within = (step: ExerciseStepKind) =>
      drive.steps
        .filter((s) => s.step === step && s.atMs >= span.fromMs && s.atMs < (span.toMs ?? Infinity))
        .map((s) => s.atMs);
    return [
      {
        exercise: span.exercise,
        retest: span.retest ?? false,
        fromMs: span.fromMs,
        timeMs: spanMs(drive, span, nowMs),
        steps: {
          movement: within('movement'),
          shunt: within('shunt'),
          correction: within('correction'),
          look: within('look'),
        },
      },
    ];
  });
}

/**
 * The moment at which a stretch that began at `fromMs` has lasted `lastingMs`, pauses left out; both and the
 * answer in milliseconds of the drive's clock.
 */
export function momentAfter(drive: Drive, fromMs: number, lastingMs: number): number {
  let atMs = fromMs + lastingMs;
  for (const pause of drive.pauses) {
    if (pause.fromMs >= atMs || (pause.toMs ?? Infinity) <= fromMs) continue;
    atMs += (pause.toMs ?? pause.fromMs) - Math.max(pause.fromMs, fromMs);
  }
  return atMs;
}
