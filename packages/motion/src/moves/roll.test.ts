import fc from 'fast-check';
import { distance, toRadians } from '../geometry';
import { vehicleClasses } from '../vehicle/classes';
import { trailerPose } from '../vehicle/parts';
import { curvatureOf, roll, standing, steadyHitch } from './roll';
import { driveSteps, movementsOf, rollingSteps, turningOf, wayOf, type Step } from './steps';

const { car, 'car-with-trailer': towing } = vehicleClasses;
const start = standing({ x: 0, y: 0, heading: 0 });

it('is back where it began after a full circle, and after the same way back', () => {
  const turned = { ...start, steerDeg: 20 };
  const circle = (2 * Math.PI) / curvatureOf(car, 20);
  expect(distance(roll(car, turned, circle).pose, start.pose)).toBeLessThan(1e-9);
  fc.assert(
    fc.property(
      fc.double({ min: -31, max: 31, noNaN: true }),
      fc.double({ min: -20, max: 20, noNaN: true }),
      (steerDeg, m) => {
        const there = roll(car, { ...start, steerDeg }, m);
        expect(distance(roll(car, there, -m).pose, start.pose)).toBeLessThan(1e-9);
      },
    ),
  );
});

it('a trailer in a straight line stays in a straight line, forwards and backwards', () => {
  for (const metres of [12, -12]) expect(roll(towing, start, metres).hitch).toBe(0);
});

it('keeps its distance from the coupling and never slides sideways', () => {
  const turned = { ...start, steerDeg: 15, hitch: 0.2 };
  const ds = 1e-4;
  const [before, after] = [trailerPose(towing, turned.pose, turned.hitch)!, roll(towing, turned, ds)];
  const moved = trailerPose(towing, after.pose, after.hitch)!;
  const [dx, dy] = [moved.x - before.x, moved.y - before.y];
  const sideways = -dx * Math.sin(before.heading) + dy * Math.cos(before.heading);
  expect(Math.abs(sideways) / ds).toBeLessThan(1e-4);
});

// Linearised about straight: d(hitch)/ds = -hitch / drawbar, so reversing it grows by e every drawbar's length.
it('reversing, a small angle of the trailer grows by e for each length of the drawbar', () => {
  const drawbar = towing.trailer!.drawbarM;
  const small = 1e-4;
  expect(roll(towing, { ...start, hitch: small }, -drawbar).hitch / small).toBeCloseTo(Math.E, 4);
  expect(roll(towing, { ...start, hitch: small }, drawbar).hitch / small).toBeCloseTo(1 / Math.E, 4);
});

it('a steady turn holds its angle in closed form; forwards any angle comes to it, backwards it leaves', () => {
  const steerDeg = 18;
  const steady = steadyHitch(towing, steerDeg)!;
  expect(roll(towing, { ...start, steerDeg, hitch: steady }, 25).hitch).toBeCloseTo(steady, 9);
  expect(roll(towing, { ...start, steerDeg, hitch: 0 }, 60).hitch).toBeCloseTo(steady, 5);
  const off = roll(towing, { ...start, steerDeg, hitch: steady + 0.02 }, -4).hitch;
  expect(Math.abs(off - steady)).toBeGreaterThan(0.02);
});

it('tells where no steering follows: the turn is tighter than the drawbar allows', () => {
  const long = { ...towing, trailer: { ...towing.trailer!, drawbarM: 9 } };
  expect(steadyHitch(long, towing.lockDeg)).toBeUndefined();
  expect(steadyHitch(car, 10)).toBeUndefined();
});

const anySteps = fc.array(
  fc.record({
    steerDeg: fc.double({ min: -31, max: 31, noNaN: true }),
    distanceM: fc.double({ min: -6, max: 6, noNaN: true }).filter((m) => Math.abs(m) > 0.1),
  }),
  { minLength: 1, maxLength: 5 },
);

it('turning left for right mirrors the whole drive', () => {
  fc.assert(
    fc.property(anySteps, (steps) => {
      const one = driveSteps(car, start, steps).at(-1)!.pose;
      const other = driveSteps(
        car,
        start,
        steps.map((step) => ({ ...step, steerDeg: -step.steerDeg })),
      ).at(-1)!.pose;
      expect(other.x).toBeCloseTo(one.x, 9);
      expect(other.y).toBeCloseTo(-one.y, 9);
    }),
  );
});

it('counts movements by changes of direction, way and turning of the wheels', () => {
  const steps: readonly Step[] = [
    { steerDeg: 30, distanceM: 3 },
    { steerDeg: 0, distanceM: 1 },
    { steerDeg: -30, distanceM: -2 },
    { steerDeg: -30, distanceM: 0 },
    { steerDeg: -10, distanceM: -2 },
    { steerDeg: 0, distanceM: 4 },
  ];
  expect(movementsOf(steps)).toBe(3);
  expect(movementsOf([])).toBe(0);
  expect(wayOf(steps)).toBe(12);
  expect(turningOf(steps)).toBe(30 + 30 + 30 + 20 + 10);
});

it('rolling instead of standing still to steer keeps the way of each step, and the less it needs the closer it ends', () => {
  fc.assert(
    fc.property(anySteps, (steps) => {
      const rolled = rollingSteps(car, steps, 0.6);
      expect(wayOf(rolled)).toBeCloseTo(wayOf(steps), 9);
      expect(movementsOf(rolled)).toBe(movementsOf(steps));
      const end = driveSteps(car, start, steps).at(-1)!.pose;
      const near = driveSteps(car, start, rollingSteps(car, steps, 0.001)).at(-1)!.pose;
      expect(distance(end, near)).toBeLessThan(0.05);
    }),
    { numRuns: 40 },
  );
});

it('holds no angle beyond the lock', () => {
  const steps: readonly Step[] = [
    { steerDeg: 31, distanceM: 0.2 },
    { steerDeg: -31, distanceM: -0.3 },
  ];
  for (const { steerDeg } of rollingSteps(car, steps, 2)) expect(Math.abs(steerDeg)).toBeLessThanOrEqual(31);
  expect(toRadians(180)).toBe(Math.PI);
});
