import fc from 'fast-check';
import { movementsOf, turningOf, wayOf, type Step } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { costOf, merged, movementM } from './search';

const { car } = vehicleClasses;
const steps = fc.array(
  fc.record({
    steerDeg: fc.constantFrom(-31, 0, 15.5, 31),
    distanceM: fc.double({ min: -8, max: 8, noNaN: true }).filter((m) => Math.abs(m) > 0.01),
  }),
  { minLength: 1, maxLength: 8 },
);

it('puts steps together that are one, and changes nothing of the way', () => {
  fc.assert(
    fc.property(steps, (all) => {
      const one = merged(all);
      expect(wayOf(one)).toBeCloseTo(wayOf(all), 9);
      expect(movementsOf(one)).toBe(movementsOf(all));
      expect(turningOf(one)).toBeCloseTo(turningOf(all), 9);
      for (const [i, step] of one.entries()) {
        const before = one[i - 1];
        if (before) expect(before.steerDeg !== step.steerDeg || before.distanceM > 0 !== step.distanceM > 0).toBe(true);
      }
      expect(merged(one)).toEqual(one);
    }),
  );
});

it('prefers fewer movements to any way that an exercise could have', () => {
  fc.assert(
    fc.property(steps, steps, (a, b) => {
      const [one, other] = [costOf(merged(a), car), costOf(merged(b), car)];
      expect(one.movements).toBe(movementsOf(a));
      fc.pre(one.movements < other.movements && wayOf(a) < movementM / 2);
      expect(one.cost).toBeLessThan(other.cost);
    }),
  );
});

it('prefers less way, less steering and less to remember, where the movements are the same', () => {
  const cost = (...all: readonly Step[]) => costOf(all, car).cost;
  const straight = { steerDeg: 0, distanceM: -4 };
  expect(cost({ ...straight, distanceM: -3 })).toBeLessThan(cost(straight));
  expect(cost({ steerDeg: 15.5, distanceM: -4 })).toBeLessThan(cost({ steerDeg: 31, distanceM: -4 }) + 1e-9);
  expect(cost(straight, { steerDeg: 15.5, distanceM: -4 })).toBeLessThan(
    cost(straight, { steerDeg: 31, distanceM: -4 }),
  );
  expect(cost({ steerDeg: 0, distanceM: -8 })).toBeLessThan(cost(straight, { steerDeg: 1, distanceM: -4 }));
});
