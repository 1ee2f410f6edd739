import { degreeMetres } from '@jasperwren/roads/geometry';
import { alongRoute } from './car-route';

const degree = degreeMetres(48);
const place = (x: number, y: number) => ({ lat: 48 + y / degree.lat, lon: -30 + x / degree.lon });
const line = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y]) => [place(x, y).lat, place(x, y).lon] as const);

describe('where a car is along its route', () => {
  // Out to the east and back on the road beside it.
  const there = line([
    [0, 0],
    [1000, 0],
    [1000, 20],
    [0, 20],
  ]);

  it('is the nearest place of it', () => {
    const { metres, away } = alongRoute(there, place(300, -5));
    expect(metres).toBeCloseTo(300, 0);
    expect(away).toBeCloseTo(5, 0);
  });

  it('is on the leg it was on before, where the way back lies beside it', () => {
    expect(alongRoute(there, place(300, 12), 280).metres).toBeCloseTo(300, 0);
    expect(alongRoute(there, place(300, 12), 1700).metres).toBeCloseTo(1720, 0);
  });

  it('is found anew after a gap', () => {
    expect(alongRoute(there, place(100, 20), 200).metres).toBeCloseTo(100, 0);
    expect(alongRoute(there, place(900, 200), 100).away).toBeGreaterThan(150);
    expect(
      alongRoute(
        line([
          [0, 0],
          [3000, 0],
        ]),
        place(2500, 3),
        100,
      ).metres,
    ).toBeCloseTo(2500, 0);
  });
});
