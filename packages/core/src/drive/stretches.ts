import type { DrivePhase, Pause, Span } from './drive';
import type { DriveEvent, StartedEvent } from './event';
import { orNothing, whyOf, type Why } from './why';

/** How far a drive is. */
export function phaseOf(started: boolean, waiting: boolean, ended: boolean, pauses: readonly Pause[]): DrivePhase {
  if (ended) return 'ended';
  if (!started) return 'not-started';
  if (waiting) return 'briefing';
  const last = pauses.at(-1);
  return last && last.toMs === undefined ? 'paused' : 'running';
}

/** Driving begins with the moving off; without a briefing nobody says so, and it begins with the start. */
export function movedOff(standing: readonly DriveEvent[], started: StartedEvent | undefined): number | undefined {
  const event = standing.find(({ type }) => type === 'moved-off');
  return event?.atMs ?? (started && !started.briefing ? started.atMs : undefined);
}

/** A section opened before the car moved begins as it moves. */
export function spansOf(standing: readonly DriveEvent[], fromMs: number, endMs: number | undefined): readonly Span[] {
  if (!standing.some((event) => event.type === 'started')) return [];
  // Ended before the car moved, a drive has one span without length.
  const beginMs = Math.min(fromMs, endMs ?? Infinity);
  const spans: Span[] = [{ section: 'guided', fromMs: beginMs }];
  for (const event of standing) {
    if (event.type !== 'section' || (endMs !== undefined && event.atMs >= endMs)) continue;
    const last = spans[spans.length - 1]!;
    const atMs = Math.max(beginMs, event.atMs);
    if (last.fromMs === atMs) spans.pop();
    else spans[spans.length - 1] = { ...last, toMs: atMs };
    spans.push({
      section: event.section,
      ...(event.exercise && { exercise: event.exercise }),
      ...(event.retest && { retest: true }),
      fromMs: atMs,
    });
  }
  return endMs === undefined ? spans : [...spans.slice(0, -1), { ...spans.at(-1)!, toMs: endMs }];
}

/** When the clock stood, each with its reason where one was given. */
export function pausesOf(standing: readonly DriveEvent[], endMs: number | undefined): readonly Pause[] {
  const pauses: Pause[] = [];
  // The clock stops at once; why is often said a moment later, in a note on the pause.
  const notes = new Map<string, Why | undefined>();
  for (const event of standing)
    if (event.type === 'note' && event.target && !event.private)
      notes.set(event.target, whyOf({ because: event.because, reason: event.text }));
  let open: Pause | undefined;
  for (const event of standing) {
    if (event.type !== 'pause' || (endMs !== undefined && event.atMs > endMs)) continue;
    if (event.state === 'paused') {
      open ??= { fromMs: event.atMs, ...orNothing(whyOf(event) ?? notes.get(event.id)) };
    } else if (open) {
      pauses.push({ ...open, toMs: event.atMs });
      open = undefined;
    }
  }
  if (open) pauses.push({ ...open, ...(endMs !== undefined && { toMs: endMs }) });
  return pauses;
}
