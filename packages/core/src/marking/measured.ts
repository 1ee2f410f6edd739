import type { Band, Measured } from './standard';

/**
 * The code of the grade that a measured value brings, or undefined where it brings none.
 * @param value in the unit of `measured`
 */
export function gradeOfValue(measured: Measured, value: number): string | undefined {
  return measured.bands.find((band) => holds(band, value))?.grade;
}

function holds({ over, atLeast, below }: Band, value: number): boolean {
  return (
    (over === undefined || value > over) &&
    (atLeast === undefined || value >= atLeast) &&
    (below === undefined || value < below)
  );
}
