import fc from 'fast-check';
import { standing, roll } from '../moves/roll';
import { toRadians } from '../geometry';
import { checkVehicle, isOnlyStrange } from './check-vehicle';
import { vehicleClasses } from './classes';
import { bodyOf, tyresOf } from './parts';
import { kerbToKerb, leastRadius, lockForCircle, turningRadius, wallToWall, wheelAngles } from './turning';

const car = vehicleClasses.car;

// Ackermann geometry, any textbook of vehicle dynamics: R = L / tan(lock).
it('turns around wheelbase / tan(steering angle)', () => {
  expect(turningRadius(2.55, 45)).toBeCloseTo(2.55, 12);
  expect(turningRadius(2.7, 30)).toBeCloseTo(2.7 * Math.sqrt(3), 12);
  expect(turningRadius(2.7, -30)).toBeCloseTo(2.7 * Math.sqrt(3), 12);
  expect(turningRadius(2.7, 0)).toBe(Infinity);
});

it('both front wheels and the rear axle turn around the same point', () => {
  for (const steer of [-31, -12, 5, 31]) {
    const { left, right } = wheelAngles(car, steer);
    const middle = car.wheelbaseM / Math.tan(toRadians(steer));
    // The axle of a wheel, drawn on, meets the line of the rear axle in the middle of the turn.
    expect(car.trackM / 2 + car.wheelbaseM / Math.tan(toRadians(left))).toBeCloseTo(middle, 9);
    expect(-car.trackM / 2 + car.wheelbaseM / Math.tan(toRadians(right))).toBeCloseTo(middle, 9);
  }
});

it('gives the lock from the circle and the circle from the lock', () => {
  fc.assert(
    fc.property(fc.double({ min: 16, max: 55, noNaN: true }), (lock) => {
      expect(lockForCircle(car, kerbToKerb(car, lock))).toBeCloseTo(lock, 9);
    }),
  );
  expect(lockForCircle(car, 3)).toBeUndefined();
});

it('drives its own circles: the outer tyre that between kerbs, the front corner that between walls', () => {
  const start = { ...standing({ x: 0, y: 0, heading: 0 }), steerDeg: car.lockDeg };
  const middle = { x: 0, y: leastRadius(car) };
  const far = (corners: readonly { x: number; y: number }[]) =>
    Math.max(...corners.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y)));
  let [body, tyre] = [0, 0];
  for (let metres = 0; metres < 30; metres += 0.5) {
    const here = roll(car, start, metres);
    body = Math.max(body, far(bodyOf(car, here).find(({ name }) => name === 'body')!.outline));
    tyre = Math.max(tyre, far(tyresOf(car, here).find(({ name }) => name === 'front-right')!.outline));
  }
  expect(2 * body).toBeCloseTo(wallToWall(car), 6);
  // The outline of a tyre is a rectangle: its ends stand a little outside the way of its middle.
  const between = kerbToKerb(car, car.lockDeg);
  expect(2 * tyre).toBeGreaterThan(between);
  expect(2 * tyre - between).toBeLessThan(0.03);
});

it('has nothing against the vehicles that it begins with', () => {
  for (const vehicle of Object.values(vehicleClasses)) expect(checkVehicle(vehicle)).toEqual([]);
});

it('says what cannot be about a vehicle, and what is only strange', () => {
  const codes = (changes: Partial<typeof car>) => checkVehicle({ ...car, ...changes }).map(({ code }) => code);
  expect(codes({ wheelbaseM: Number.NaN })).toEqual(['impossible']);
  expect(codes({ wheelbaseM: 0 })).toEqual(['impossible']);
  expect(codes({ mirrorWidthM: 1.6 })).toEqual(['mirrors-narrower']);
  expect(codes({ trackM: 1.7 })).toEqual(['narrower-than-tyres']);
  expect(codes({ eyeAheadM: 5 })).toEqual(['eye-outside']);
  expect(codes({ kind: 'car-with-trailer' })).toEqual(['trailer-missing']);
  const [tight] = checkVehicle({ ...car, lockDeg: 48 });
  expect(tight).toMatchObject({ code: 'unusual-circle', least: 9, most: 12 });
  expect(isOnlyStrange(tight!)).toBe(true);
});
