/** Where on the road something shows: by category of the catalogue, and for what has no category. */
export const seekCodes = [
  'junctions',
  'roundabouts',
  'mirrors',
  'signals',
  'position',
  'speed',
  'signs',
  'moving-off',
  'stopping',
  'fast-roads',
  'clearance',
  'meeting',
  'crossings',
  'awareness',
  'reversing',
  'emergency-stop',
  'controls',
  'set-up',
  'checks',
  'any-road',
  'new-roads',
  'legal-place',
  'due-questions',
] as const;
export type SeekCode = (typeof seekCodes)[number];

/** What a lesson is for. */
export interface LessonGoal {
  readonly kind: 'area' | 'exercise' | 'questions' | 'mock';
  /** Area or exercise by code; empty for the others. */
  readonly code: string;
  /** What the standard calls the area or the exercise; empty for the others, a sentence in plans of earlier versions. */
  readonly name: string;
  /** What to look for on the road, a `SeekCode`; a sentence in plans of earlier versions. */
  readonly seek: string;
}
