import { spanAt, type Drive, type Span } from './drive';
import { exerciseStepKinds } from './event-kinds';
import type { ExerciseStepKind, SectionKind } from './event';

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
  return drivenBefore(drive, drive.ended?.atMs ?? nowMs);
}

/** Minutes as they are said: whole ones that were driven, in every place. */
export const wholeMinutes = (ms: number): number => Math.floor(ms / 60_000);

/** Time driven before a moment of the drive's clock, pauses left out; both in milliseconds. */
export function drivenBefore(drive: Drive, atMs: number): number {
  const { movedOffMs } = drive;
  if (movedOffMs === undefined) return 0;
  return Math.max(0, atMs - movedOffMs - pausedBetween(drive, movedOffMs, atMs));
}

/** Time driven in sections of one kind, pauses left out, in milliseconds; `nowMs` as for `drivenMs`. */
export function sectionMs(drive: Drive, section: SectionKind, nowMs: number): number {
  return drive.spans.reduce((sum, span) => sum + (span.section === section ? spanMs(drive, span, nowMs) : 0), 0);
}

function spanMs(drive: Drive, span: Span, nowMs: number): number {
  if (drive.movedOffMs === undefined) return 0;
  const toMs = span.toMs ?? nowMs;
  return Math.max(0, toMs - span.fromMs - pausedBetween(drive, span.fromMs, toMs));
}

/** The section under way at the end of the log. */
export function currentSpan(drive: Drive): Span | undefined {
  return drive.spans.at(-1);
}

/** One attempt at an exercise. */
export interface ExerciseRun {
  readonly exercise: string;
  readonly retest: boolean;
  readonly fromMs: number;
  /** Time taken, pauses left out, in milliseconds. */
  readonly timeMs: number;
  /** Moments of what was counted within it, in milliseconds of the drive's clock. */
  readonly steps: Readonly<Record<ExerciseStepKind, readonly number[]>>;
  /** When it was said to have failed, in milliseconds of the drive's clock. */
  readonly failedAtMs?: number;
}

/** Every attempt at an exercise, in order; `nowMs` as for `drivenMs`. */
export function exerciseRuns(drive: Drive, nowMs: number): readonly ExerciseRun[] {
  const within = new Map<Span, Record<ExerciseStepKind, number[]>>();
  const failed = new Map<Span, number>();
  for (const span of drive.spans)
    if (span.exercise !== undefined) within.set(span, { movement: [], shunt: [], correction: [], look: [] });
  const spanOf = (atMs: number): Span | undefined => {
    const span = spanAt(drive.spans, atMs);
    return span && atMs < (span.toMs ?? Infinity) ? span : undefined;
  };
  for (const { step, atMs } of drive.steps) {
    const span = spanOf(atMs);
    const own = span && within.get(span);
    if (own && isExerciseStep(step)) own[step].push(atMs);
  }
  for (const { atMs } of drive.failedAttempts) {
    const span = spanOf(atMs);
    if (span && !failed.has(span)) failed.set(span, atMs);
  }
  return [...within].map(([span, steps]) => {
    const failedAtMs = failed.get(span);
    return {
      exercise: span.exercise!,
      retest: span.retest ?? false,
      fromMs: span.fromMs,
      timeMs: spanMs(drive, span, nowMs),
      steps,
      ...(failedAtMs !== undefined && { failedAtMs }),
    };
  });
}

const isExerciseStep = (step: string): step is ExerciseStepKind =>
  (exerciseStepKinds as readonly string[]).includes(step);

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
