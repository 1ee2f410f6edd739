import type { SectionKind } from '@jasperwren/core/drive/event';
import { wordsOf } from './words';

export const resource = {
  guided: 'With directions',
  independent: 'Independent driving',
  exercise: 'Exercise',
  left: 'left',
  right: 'right',
} as const;

const t = wordsOf('names', resource);

/** How the learner drives: told where to go, alone, or within an exercise. */
export const sectionName = (section: SectionKind): string => t(section);

/** The side of the road that traffic keeps to, within a sentence. */
export const sideName = (side: 'left' | 'right'): string => t(side);
