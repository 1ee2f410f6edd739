import type { Drive, Span } from './drive';
import type { SectionKind } from './event';

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
  if (drive.phase === 'not-started') return 0;
  const toMs = drive.ended?.atMs ?? nowMs;
  return Math.max(0, toMs - pausedBetween(drive, 0, toMs));
}

/** Time driven in sections of one kind, pauses left out, in milliseconds; `nowMs` as for `drivenMs`. */
export function sectionMs(drive: Drive, section: SectionKind, nowMs: number): number {
  return drive.spans.reduce((sum, span) => sum + (span.section === section ? spanMs(drive, span, nowMs) : 0), 0);
}

function spanMs(drive: Drive, span: Span, nowMs: number): number {
  const toMs = span.toMs ?? nowMs;
  return Math.max(0, toMs - span.fromMs - pausedBetween(drive, span.fromMs, toMs));
}

/** The section under way at the end of the log. */
export function currentSpan(drive: Drive): Span | undefined {
  return drive.spans.at(-1);
}
