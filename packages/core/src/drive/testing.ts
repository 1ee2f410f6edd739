import { findTemplate } from '../marking/find-template';
import type { DriveEvent, EventBody } from './event';

export const minute = 60_000;

/** Writes logs for tests: stamps bodies with made-up ids at the given minutes. */
export function logOf(
  entries: readonly (readonly [minutes: number, body: EventBody, id?: string])[],
  device = 'tablet',
): DriveEvent[] {
  return entries.map(([minutes, body, id], seq) => ({
    ...body,
    id: id ?? `${device}-${seq}`,
    device,
    seq,
    atMs: Math.round(minutes * minute),
    wall: new Date(Date.UTC(2026, 4, 4, 9, 0) + Math.round(minutes * minute)).toISOString(),
    by: 'instructor',
  }));
}

/** An exercise begins, and the one under way ends. */
export const exerciseBegins = (exercise: string, retest = false): EventBody => ({
  type: 'section',
  section: 'exercise',
  exercise,
  ...(retest && { retest }),
});
export const exerciseEnds: EventBody = { type: 'section', section: 'guided' };

/** The start of a drive under the shipped version of a standard. */
export const start = (standardId = 'tally'): Extract<EventBody, { type: 'started' }> => ({
  type: 'started',
  learnerId: 'learner',
  standard: { id: standardId, version: findTemplate(standardId)?.version ?? 2 },
});

/** A whole test of 40 minutes with 20 of them independent and these bodies spread over it. */
export function fullTest(bodies: readonly EventBody[], standardId = 'tally'): DriveEvent[] {
  return logOf([
    [0, start(standardId)],
    [12, { type: 'section', section: 'independent' }],
    [32, { type: 'section', section: 'guided' }],
    ...bodies.map((body, i) => [1 + (37 * i) / Math.max(1, bodies.length), body, `e${i}`] as const),
    [40, { type: 'ended', ending: 'completed' }],
  ]);
}
