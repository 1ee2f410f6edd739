/** Where a number of a standard comes from, so that nobody mistakes a default for a rule. */
export interface Provenance {
  readonly kind: 'published' | 'common practice' | 'from memory' | 'house default' | 'set by the school';
  /** The publication, or the reason for a default. */
  readonly source?: string;
}

/** A number of the trade together with its provenance. */
export interface Sourced {
  readonly value: number;
  readonly provenance: Provenance;
}

export const published = (value: number, source: string): Sourced => ({
  value,
  provenance: { kind: 'published', source },
});
export const commonPractice = (value: number, source?: string): Sourced => ({
  value,
  provenance: { kind: 'common practice', ...(source && { source }) },
});
export const fromMemory = (value: number, source: string): Sourced => ({
  value,
  provenance: { kind: 'from memory', source },
});
export const houseDefault = (value: number, source: string): Sourced => ({
  value,
  provenance: { kind: 'house default', source },
});

export const bySchool: Provenance = { kind: 'set by the school' };

/** A number that a school has set itself. */
export const setBySchool = (value: number): Sourced => ({ value, provenance: bySchool });
