import { speedsOf, speedStretches, standsOf, type Times } from './speed';

/** A car that drives at these speeds in m/s, each for so many seconds, with a place every second. */
function driven(...legs: readonly (readonly [speed: number, seconds: number])[]): Times {
  const times: (readonly [number, number])[] = [[0, 0]];
  for (const [speed, seconds] of legs)
    for (let s = 0; s < seconds; s++) {
      const [at, metres] = times.at(-1)!;
      times.push([at + 1000, metres + speed]);
    }
  return times;
}

describe('speeds', () => {
  it('are those that were driven, with the error of a line through noisy places', () => {
    const speeds = speedsOf(driven([10, 40]), 5);
    const middle = speeds.find(({ at }) => at === 20_000)!;
    expect(middle.kmh).toBeCloseTo(36, 9);
    // 1.96 sigma / sqrt(sum of squared seconds, 60 over nine seconds): common practice of least squares.
    expect(middle.within).toBeCloseTo((1.96 * 5 * 3.6) / Math.sqrt(60), 9);
  });

  it('are not said across a gap', () => {
    const times: Times = [...driven([10, 8]), [60_000, 600], [61_000, 610]];
    expect(speedsOf(times, 3).every(({ at }) => at < 60_000)).toBe(true);
  });
});

describe('stretches over the limit', () => {
  const speeds = speedsOf(driven([13, 30], [18, 20], [13, 30]), 2);
  const limits = [[0, 48.3]] as const;

  it('are found where even the lower end of the range is above it', () => {
    const [over, ...others] = speedStretches(speeds, limits, limits, []);
    expect(others).toEqual([]);
    expect(over).toMatchObject({ kind: 'over', limit: 48.3, kmh: expect.closeTo(64.8, 1) as number });
    expect(over!.seconds).toBeGreaterThan(14);
    expect(over!.seconds).toBeLessThan(24);
  });

  it('are not called so where the device may be off by as much', () => {
    expect(speedStretches(speedsOf(driven([13, 30], [14, 20]), 15), limits, limits, [])).toEqual([]);
  });
});

it('says where a car crept with nothing in sight, and not before a junction', () => {
  const speeds = speedsOf(driven([6, 60]), 2);
  const limits = [[0, 80]] as const;
  expect(speedStretches(speeds, limits, limits, []).map(({ kind }) => kind)).toEqual(['under']);
  // On a narrow lane it is the usual pace.
  expect(speedStretches(speeds, limits, [[0, 30]], [])).toEqual([]);
  expect(speedStretches(speeds, limits, limits, [60, 180, 300])).toEqual([]);
});

it('finds where a car stood and for how long', () => {
  const stands = standsOf(speedsOf(driven([10, 30], [0, 25], [10, 20]), 2));
  expect(stands).toHaveLength(1);
  expect(stands[0]!.metres).toBeCloseTo(300, -1);
  expect(stands[0]!.seconds).toBeGreaterThan(15);
  expect(stands[0]!.seconds).toBeLessThan(26);
});
