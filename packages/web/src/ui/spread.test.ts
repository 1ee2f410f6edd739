import fc from 'fast-check';
import { spread } from './spread';

describe('points moved apart', () => {
  it('stay where they are while there is room', () => {
    expect(spread([10, 60, 200], 28, 300)).toEqual([10, 60, 200]);
    expect(spread([10, 12, 200], 28, 300)).toEqual([10, 38, 200]);
    expect(spread([280, 290, 300], 28, 300)).toEqual([244, 272, 300]);
  });

  it('keep their order, the line and the gap', () => {
    const places = fc
      .array(fc.integer({ min: 0, max: 1000 }), { maxLength: 60 })
      .map((all) => all.sort((a, b) => a - b));
    fc.assert(
      fc.property(places, (at) => {
        const gap = Math.min(28, at.length > 1 ? 1000 / (at.length - 1) : 28);
        const moved = spread(at, 28, 1000);
        moved.forEach((place, i) => {
          expect(place).toBeLessThanOrEqual(1000 + 1e-6);
          expect(place).toBeGreaterThanOrEqual(-1e-6);
          if (i > 0) expect(place - moved[i - 1]!).toBeGreaterThanOrEqual(gap - 1e-6);
        });
      }),
    );
  });
});
