import { bySchool } from '../provenance';
import type { Band, Item, Measured, Standard } from '../standard';

/** Where a band begins, by the field that says so; `open` from nothing on. */
export const beginnings = ['over', 'atLeast', 'open'] as const;
export type Beginning = (typeof beginnings)[number];

export const beginningOf = ({ over, atLeast }: Band): Beginning =>
  over !== undefined ? 'over' : atLeast !== undefined ? 'atLeast' : 'open';

/** A band that begins at a value, or anywhere. */
export function withBeginning({ over, atLeast, ...band }: Band, beginning: Beginning, value?: number): Band {
  const from = value ?? over ?? atLeast ?? 0;
  return { ...band, ...(beginning !== 'open' && { [beginning]: from }), provenance: bySchool };
}

/** A band that ends below a value; without one it goes on. */
export function withEnd({ below, ...band }: Band, to: number | undefined): Band {
  return { ...band, ...(to !== undefined && { below: to }), provenance: bySchool };
}

/** One more band: from where the last one ends, or from twice where it begins. */
export function bandAfter(bands: readonly Band[], grade: string): readonly Band[] {
  const last = bands.at(-1);
  if (!last) return [{ over: 10, grade, provenance: bySchool }];
  const from = last.over ?? last.atLeast ?? 0;
  const end = last.below ?? (from > 0 ? 2 * from : 10);
  return [...bands.slice(0, -1), withEnd(last, end), { atLeast: end, grade, provenance: bySchool }];
}

/** What a fault type is given to be measured by, to begin with. */
export const newMeasured = (quantity: string, grade: string): Measured => ({
  quantity,
  unit: 'cm',
  bands: bandAfter([], grade),
});

/** The grade that a new band brings: the first that the fault type can have. */
export const firstGrade = ({ grades }: Standard, item: Item | undefined): string =>
  item?.grades?.[0] ?? grades[0]?.code ?? '';
