import fc from 'fast-check';
import geodesic from 'geographiclib-geodesic';
import { bearing, degreeMetres, metresBetween, project, turnBetween } from './geometry';

const latitude = fc.double({ min: -75, max: 75, noNaN: true });
const degrees = fc.double({ min: 0, max: 359.999, noNaN: true });

// A degree of latitude at 45 degrees is 111,131.745 m, one of longitude at the equator 111,319.491 m: tables of the WGS 84
// ellipsoid (from memory).
it('knows how long a degree is', () => {
  expect(degreeMetres(45).lat).toBeCloseTo(111_131.7, 0);
  expect(degreeMetres(0).lon).toBeCloseTo(111_319.491, 2);
  expect(degreeMetres(90).lon).toBeCloseTo(0, 6);
});

it('measures the same both ways, and nothing from a place to itself', () => {
  const near = fc.double({ min: -0.05, max: 0.05, noNaN: true });
  fc.assert(
    fc.property(latitude, near, near, (lat, dy, dx) => {
      expect(metresBetween(lat, 10, lat + dy, 10 + dx)).toBeCloseTo(metresBetween(lat + dy, 10 + dx, lat, 10), 4);
      expect(metresBetween(lat, 10, lat, 10)).toBe(0);
    }),
  );
});

it('points where another library points, to a hundredth of a degree', () => {
  const near = fc.double({ min: 0.0005, max: 0.002, noNaN: true });
  fc.assert(
    fc.property(latitude, near, near, (lat, dy, dx) => {
      const other = geodesic.Geodesic.WGS84.Inverse(lat, 10, lat + dy, 10 + dx);
      const middle = (other.azi1! + other.azi2!) / 2;
      expect(Math.abs(turnBetween(bearing(lat, 10, lat + dy, 10 + dx), middle))).toBeLessThan(0.01);
    }),
  );
});

it('turns by no more than half round, back by as much as there, and by what was added', () => {
  fc.assert(
    fc.property(degrees, fc.double({ min: -179.9, max: 179.9, noNaN: true }), (before, by) => {
      const after = (before + by + 360) % 360;
      expect(turnBetween(before, after)).toBeCloseTo(by, 6);
      expect(turnBetween(after, before)).toBeCloseTo(-by, 6);
    }),
  );
  expect(turnBetween(0, 90)).toBe(90);
  expect(turnBetween(350, 10)).toBe(20);
  expect(turnBetween(90, 270)).toBe(-180);
});

it('finds the nearest place of a straight piece: no place of it is nearer', () => {
  const small = fc.double({ min: -0.002, max: 0.002, noNaN: true });
  fc.assert(
    fc.property(small, small, small, small, fc.double({ min: 0, max: 1, noNaN: true }), (y, x, dy, dx, share) => {
      const [latA, lonA] = [48, -30];
      const at = { lat: latA + y, lon: lonA + x };
      const found = project(at, latA, lonA, latA + dy, lonA + dx);
      expect(found.share).toBeGreaterThanOrEqual(0);
      expect(found.share).toBeLessThanOrEqual(1);
      const other = metresBetween(at.lat, at.lon, latA + dy * share, lonA + dx * share);
      // Both are measured in planes that lie a little apart.
      expect(found.metres).toBeLessThan(other + 0.05);
      expect(metresBetween(at.lat, at.lon, latA + dy * found.share, lonA + dx * found.share)).toBeCloseTo(
        found.metres,
        1,
      );
    }),
  );
  expect(project({ lat: 48, lon: -30.001 }, 48, -30, 48, -30)).toMatchObject({ share: 0 });
});
