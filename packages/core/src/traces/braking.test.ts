import { harshBrakings } from './braking';

const at = (speeds: readonly (number | undefined)[], everyMs = 1000) =>
  speeds.map((speed, i) => ({ at: i * everyMs, lat: 48, lon: -30, ...(speed !== undefined && { speed }) }));

describe('braking hard', () => {
  it('is found where the device measured speeds, once for each time', () => {
    const found = harshBrakings(at([14, 14, 8, 2.5, 0, 0, 0, 0, 0, 10, 5, 5]));
    expect(found.map((one) => [one.at, one.rate])).toEqual([
      [1000, 6],
      [9000, 5],
    ]);
    // 1.96 times the error of a difference of two speeds.
    expect(found[0]!.within).toBeCloseTo(1.96 * Math.sqrt(2) * 0.25, 9);
  });

  it('is not found where it may as well have been gentle, nor where no speed was measured or long ago', () => {
    expect(harshBrakings(at([14, 10, 10]))).toEqual([]);
    expect(harshBrakings(at([14, undefined, 2]))).toEqual([]);
    expect(harshBrakings(at([14, 2], 4000))).toEqual([]);
    expect(harshBrakings([])).toEqual([]);
  });
});
