import type { Evidence } from './evidence';

/** A clean test of forty minutes on strange roads at a moment (RFC 3339), with what a test of the code says besides. */
export function cleanDrive(at: string, more: Partial<Evidence> = {}): Evidence {
  return {
    kind: 'drive',
    at,
    counts: {},
    exposure: 1,
    minutes: 40,
    independentMin: 20,
    familiarity: 'new',
    prompts: 0,
    interventions: 0,
    promptsAlone: 0,
    interventionsAlone: 0,
    cleanExercises: [],
    completed: true,
    ...more,
  };
}
