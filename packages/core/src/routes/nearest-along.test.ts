import { nearestAlong, placesAlong } from './along-line';

/** A line to the north and then to the east, about 1.1 km and 0.75 km long. */
const line = [
  [48, -30],
  [48.01, -30],
  [48.01, -29.99],
] as const;

it('finds how far along a line a place lies, and gives that place back', () => {
  const at = placesAlong(line);
  for (const metres of [0, 300, 1100, 1500, 1800]) {
    const near = nearestAlong(line, at(metres));
    expect(near.metres).toBeCloseTo(metres, 0);
    expect(near.off).toBeLessThan(0.5);
  }
});

it('says how far off a place is, and takes the nearer part', () => {
  const beside = nearestAlong(line, { lat: 48.005, lon: -29.9995 });
  expect(beside.metres).toBeCloseTo(556, -1);
  expect(beside.off).toBeCloseTo(37, 0);
  expect(nearestAlong(line, { lat: 49, lon: -29.99 }).off).toBeGreaterThan(100_000);
});
