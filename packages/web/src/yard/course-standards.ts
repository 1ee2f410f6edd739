import type { EffectiveStandard } from '@jasperwren/core/marking/standard';

/** The standards with a course in a yard. */
export const courseStandards = (standards: readonly EffectiveStandard[]): readonly EffectiveStandard[] =>
  standards.filter(({ course }) => course);
