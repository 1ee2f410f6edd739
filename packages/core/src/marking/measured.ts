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

/** "over 15 and below 30 cm". */
export function bandWords(band: Band, unit: string): string {
  const bounds = [
    band.over !== undefined && `over ${band.over}`,
    band.atLeast !== undefined && `${band.atLeast} or more`,
    band.below !== undefined && `below ${band.below}`,
  ].filter(Boolean);
  return bounds.length > 0 ? `${bounds.join(' and ')} ${unit}` : `any ${unit}`;
}
