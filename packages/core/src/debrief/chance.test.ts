import fc from 'fast-check';
import { chanceOfAtLeast } from './chance';

describe('the chance of so many or more', () => {
  it.each([
    // Worked by hand: sums of n over k, times p to the k, times (1 - p) to the rest.
    [1, 1, 1 / 3, 1 / 3],
    [2, 2, 1 / 3, 1 / 9],
    [1, 2, 1 / 3, 5 / 9],
    [4, 4, 1 / 3, 1 / 81],
    [4, 5, 1 / 3, 11 / 243],
    [2, 3, 1 / 2, 1 / 2],
  ])('%d of %d at %d is %d', (k, n, p, chance) => {
    expect(chanceOfAtLeast(k, n, p)).toBeCloseTo(chance, 12);
  });

  it('keeps within 0 and 1, falls as more are asked for, and knows the ends', () => {
    fc.assert(
      fc.property(fc.nat(40), fc.nat(40), fc.double({ min: 0, max: 1, noNaN: true }), (k, n, p) => {
        const chance = chanceOfAtLeast(k, n, p);
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(1);
        expect(chanceOfAtLeast(k + 1, n, p)).toBeLessThanOrEqual(chance + 1e-12);
      }),
    );
    expect(chanceOfAtLeast(0, 5, 0.2)).toBe(1);
    expect(chanceOfAtLeast(6, 5, 0.2)).toBe(0);
  });
});
