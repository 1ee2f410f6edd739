import { hasMoved, summaryOf } from './moved';
import { cleanDrive } from './testing-learners';

const drive = (counted: number, marker = 'a') =>
  cleanDrive('2026-05-01T09:00:00Z', { marker, counts: { 'signs.lights': { counted, outright: 0 } } });
const school = (faults: readonly number[]) => faults.map((count) => [drive(count)]);
const hundred = Array.from({ length: 100 }, (_, i) => i % 5);

describe('the figures of a school', () => {
  it('are summed up by drives, faults a drive and who marked', () => {
    const { learners, drives, faults, markers } = summaryOf([[drive(1), drive(3, 'b')], [], [drive(2)]]);
    expect([learners, drives, markers]).toEqual([2, 3, 2]);
    // Of 1, 2 and 3: mean 2, standard deviation 1, its error 1 / root of 3 (common statistics).
    expect(faults.counted.mean).toBe(2);
    expect(faults.counted.error).toBeCloseTo(1 / Math.sqrt(3), 12);
    expect(faults.outright).toEqual({ mean: 0, error: 0 });
  });

  it('have not moved by one drive of many, and have by one of few', () => {
    expect(hasMoved(summaryOf(school(hundred)), summaryOf(school([...hundred, 4])))).toBe(false);
    expect(hasMoved(summaryOf(school([1, 2])), summaryOf(school([1, 2, 2])))).toBe(true);
    expect(hasMoved(summaryOf([]), summaryOf(school([1])))).toBe(true);
    expect(hasMoved(summaryOf([]), summaryOf([]))).toBe(false);
  });

  it('have moved once the mean went by more than half of its standard error', () => {
    const fitted = summaryOf(school(hundred));
    // Standard deviation of 0 to 4 twenty times each: the root of 200 / 99.
    const error = Math.sqrt(200 / 99 / 100);
    const withMean = (mean: number) => ({ ...fitted, faults: { ...fitted.faults, counted: { mean, error } } });
    expect(hasMoved(fitted, withMean(2 + 0.49 * error))).toBe(false);
    expect(hasMoved(fitted, withMean(2 + 0.51 * error))).toBe(true);
    expect(hasMoved(fitted, withMean(2 - 0.51 * error))).toBe(true);
  });

  it('have moved with a quarter more drives or fewer, and with another marker', () => {
    const fitted = summaryOf(school(hundred));
    expect([74, 75, 125, 126].map((drives) => hasMoved(fitted, { ...fitted, drives }))).toEqual([
      true,
      false,
      false,
      true,
    ]);
    expect(hasMoved(fitted, { ...fitted, markers: 2 })).toBe(true);
  });
});
