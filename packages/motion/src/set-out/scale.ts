import type { Area } from '../geometry';

/** Scales that a person can measure on, as metres on the ground for one on paper. */
export const scales = [20, 50, 100, 200, 250, 500, 1000] as const;

/** Millimetres of a page that are left for a drawing: A4 upright, with its margins, the table below it. */
export const drawingMm = { width: 180, height: 120 } as const;

/** Around the ground names of points at its edge have so many millimetres. */
export const edgeMm = 5;

/** The largest scale at which an area fits a page. */
export function scaleFor({ left, right, bottom, top }: Area): number {
  const fitsAt = (scale: number) =>
    ((right - left) * 1000) / scale <= drawingMm.width - 2 * edgeMm &&
    ((top - bottom) * 1000) / scale <= drawingMm.height - 2 * edgeMm;
  return scales.find(fitsAt) ?? scales.at(-1)!;
}

/** A length for the scale bar, in metres: a round one of about a quarter of the page. */
export const barFor = (scale: number): number =>
  [1, 2, 5, 10, 20, 50].findLast((metres) => (metres * 1000) / scale <= 50) ?? 1;
