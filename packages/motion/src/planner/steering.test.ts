import fc from 'fast-check';
import { vehicleClasses } from '../vehicle/classes';
import { turningRadius } from '../vehicle/turning';
import { placesOf } from './places';
import { fullLeft, fullRight, radii, shares, steeringOf, straight } from './steering';

const area = { left: -6, right: 9, bottom: -2, top: 5 };

describe.each(Object.values(vehicleClasses).map((vehicle) => [vehicle.kind, vehicle] as const))(
  'the steering of a %s',
  (_, vehicle) => {
    const { anglesDeg, curvatures, indexOf } = steeringOf(vehicle);

    it('has both locks and straight ahead, and never more than the lock', () => {
      expect(anglesDeg[fullLeft]).toBe(vehicle.lockDeg);
      expect(anglesDeg[fullRight]).toBe(-vehicle.lockDeg);
      expect(anglesDeg[straight]).toBe(0);
      for (const degrees of anglesDeg) expect(Math.abs(degrees)).toBeLessThanOrEqual(vehicle.lockDeg + 1e-9);
      expect(anglesDeg).toHaveLength(shares.length + 2 * (radii.length - 1));
    });

    it('finds the angle of a turn around each radius, to both sides', () => {
      radii.forEach((times, nth) => {
        for (const turn of [-1, 1] as const) {
          const index = indexOf(turn, nth);
          expect(Math.sign(curvatures[index]!)).toBe(turn);
          expect(turningRadius(vehicle.wheelbaseM, anglesDeg[index]!)).toBeCloseTo(
            turningRadius(vehicle.wheelbaseM, vehicle.lockDeg) * times,
            6,
          );
        }
        expect(indexOf(0, nth)).toBe(straight);
      });
    });
  },
);

describe('the places of an area', () => {
  const within = fc.record({
    x: fc.double({ min: area.left, max: area.right, noNaN: true }),
    y: fc.double({ min: area.bottom, max: area.top, noNaN: true }),
    heading: fc.double({ min: -20, max: 20, noNaN: true }),
  });

  it('have a number each, whole and no larger than there are', () => {
    const { count, of } = placesOf(area, 0.25, Math.PI / 30);
    fc.assert(
      fc.property(within, (pose) => {
        const place = of(pose);
        expect(Number.isInteger(place)).toBe(true);
        expect(place).toBeGreaterThanOrEqual(0);
        expect(place).toBeLessThan(count);
      }),
    );
  });

  it('are the same a whole turn on, and others half a turn on or a step aside', () => {
    const { of } = placesOf(area, 0.25, Math.PI / 30);
    fc.assert(
      fc.property(within, ({ x, y, heading }) => {
        fc.pre(y < area.top - 1);
        expect(of({ x, y, heading: heading + Math.PI })).not.toBe(of({ x, y, heading }));
        expect(of({ x, y: y + 0.6, heading })).not.toBe(of({ x, y, heading }));
      }),
    );
    expect(of({ x: 1, y: 1, heading: 0.1 + 2 * Math.PI })).toBe(of({ x: 1, y: 1, heading: 0.1 }));
  });

  it('are one all along where it makes no difference how far along', () => {
    const { of, count } = placesOf(area, 0.25, Math.PI / 30, Infinity);
    expect(count).toBeLessThan(placesOf(area, 0.25, Math.PI / 30).count / 10);
    fc.assert(
      fc.property(within, fc.double({ min: area.left, max: area.right, noNaN: true }), (pose, x) => {
        expect(of({ ...pose, x })).toBe(of(pose));
      }),
    );
  });
});
