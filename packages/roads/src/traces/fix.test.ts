import fc from 'fast-check';
import { placeAt } from '../testing';
import { cleanFixes, partsOfTrace, thinned, trimmed, type Fix } from './fix';

/** A car that drives east at 10 m/s, a fix a second. */
const drive = (seconds: number, fromS = 0): readonly Fix[] =>
  Array.from({ length: seconds }, (_, i) => ({ at: (fromS + i) * 1000, ...placeAt((fromS + i) * 10, 0) }));

describe('cleaning a trace', () => {
  it('leaves a sound one as it is', () => {
    const fixes = drive(60);
    expect(cleanFixes(fixes)).toEqual({
      fixes,
      leftOut: { untimed: 0, nowhere: 0, doubled: 0, jumped: 0 },
      outOfOrder: 0,
    });
  });

  it('sorts, and counts what it leaves out by its reason', () => {
    const fixes = drive(60);
    const [a, b] = [fixes[10]!, fixes[11]!];
    const wrong: readonly Fix[] = [
      ...fixes.slice(0, 10),
      b,
      a,
      ...fixes.slice(12),
      fixes[30]!,
      { at: NaN, ...placeAt(0, 0) },
      { at: 5000.5, lat: 0, lon: 0 },
      { at: 5001.5, lat: 99, lon: 0 },
      { at: 20_500, ...placeAt(9000, 9000) },
    ];
    const { fixes: clean, leftOut, outOfOrder } = cleanFixes(wrong);
    expect(clean).toEqual(fixes);
    expect(leftOut).toEqual({ untimed: 1, nowhere: 2, doubled: 1, jumped: 1 });
    expect(outOfOrder).toBe(3);
  });

  it('does not believe a first fix that no other agrees with', () => {
    const fixes = drive(60);
    const { fixes: clean } = cleanFixes([{ at: -1000, ...placeAt(90_000, 0) }, ...fixes]);
    expect(clean).toEqual(fixes);
  });

  it('finds the same fixes whatever order they come in, and none where there are none', () => {
    expect(cleanFixes([]).fixes).toEqual([]);
    const fixes = drive(40);
    fc.assert(
      fc.property(fc.shuffledSubarray([...fixes], { minLength: fixes.length }), (mixed) => {
        expect(cleanFixes(mixed).fixes).toEqual(fixes);
      }),
      { numRuns: 50 },
    );
  });

  it('is done with 100,000 points', () => {
    expect(cleanFixes(drive(100_000)).fixes).toHaveLength(100_000);
  });
});

it('parts the drives of a logger that runs for days', () => {
  const days = [...drive(60), ...drive(30, 7200), ...drive(10, 90_000)];
  expect(partsOfTrace(days).map(({ length }) => length)).toEqual([60, 30, 10]);
});

it('thins ten fixes a second to one, and keeps the last', () => {
  const fast = Array.from({ length: 95 }, (_, i) => ({ at: i * 100, ...placeAt(i, 0) }));
  const slow = thinned(fast);
  expect(slow.length).toBeLessThanOrEqual(12);
  expect(slow.at(-1)).toEqual(fast.at(-1));
});

it('cuts off both ends of a trace, and all of one that is shorter', () => {
  const fixes = drive(60);
  const cut = trimmed(fixes, 95, 195);
  expect([cut[0]!.at, cut.at(-1)!.at]).toEqual([10_000, 39_000]);
  expect(trimmed(fixes, 0, 0)).toEqual(fixes);
  expect(trimmed(fixes, 400, 400)).toEqual([]);
});
