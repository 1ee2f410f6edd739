import fc from 'fast-check';
import { distance, wrapAngle, type Pose } from '../geometry';
import { alongArc } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { leastRadius } from '../vehicle/turning';
import { directWays, type DirectWay } from './direct-ways';
import { fullLeft, fullRight, steeringOf } from './steering';

const { car } = vehicleClasses;
const steering = steeringOf(car);
const radiusM = leastRadius(car);
const pose = fc.record({
  x: fc.double({ min: -20, max: 20, noNaN: true }),
  y: fc.double({ min: -20, max: 20, noNaN: true }),
  heading: fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
});

const endOf = (from: Pose, way: DirectWay): Pose =>
  way.parts().reduce((at, { steer, distanceM }) => alongArc(at, steering.curvatures[steer]!, distanceM), from);

/** How often the parts of a way change direction; parts of no length go no way. */
const changesOf = (way: DirectWay): number => {
  const signs = way.parts().flatMap(({ distanceM }) => (Math.abs(distanceM) > 1e-9 ? [Math.sign(distanceM)] : []));
  return signs.filter((sign, i) => i > 0 && sign !== signs[i - 1]).length;
};

it('ends at the goal, is as long as its parts, and changes direction as often as it says', () => {
  fc.assert(
    fc.property(pose, pose, fc.constantFrom(0, 2, 5), (from, to, nth) => {
      const ways = [...directWays(from, { kind: 'poses', poses: [to] }, radiusM, steering, [nth])];
      expect(ways.length).toBeGreaterThan(0);
      for (const way of ways) {
        const end = endOf(from, way);
        expect(distance(end, to)).toBeLessThan(1e-5);
        expect(Math.abs(wrapAngle(end.heading - to.heading))).toBeLessThan(1e-5);
        expect(way.parts().reduce((sum, { distanceM }) => sum + Math.abs(distanceM), 0)).toBeCloseTo(way.lengthM, 4);
        expect(changesOf(way)).toBeLessThanOrEqual(way.changes);
      }
    }),
  );
});

it('is never shorter than the straight line, nor around a wider radius shorter than the shortest around the least', () => {
  fc.assert(
    fc.property(pose, pose, (from, to) => {
      const shortest = (nth: number) =>
        Math.min(
          ...[...directWays(from, { kind: 'poses', poses: [to] }, radiusM, steering, [nth])].map((way) => way.lengthM),
        );
      expect(shortest(0)).toBeGreaterThanOrEqual(distance(from, to) - 1e-9);
      expect(shortest(4)).toBeGreaterThanOrEqual(shortest(0) - 1e-6);
    }),
  );
});

it('goes to each of several poses, and around each radius asked for', () => {
  const poses = [
    { x: 5, y: 0, heading: 0 },
    { x: 5, y: 0, heading: Math.PI },
  ];
  const from = { x: 0, y: 0, heading: 0 };
  const ends = new Set<string>();
  for (const way of directWays(from, { kind: 'poses', poses }, radiusM, steering, [0, 1]))
    ends.add(Math.abs(wrapAngle(endOf(from, way).heading)).toFixed(3));
  expect([...ends].sort()).toEqual(['0.000', '3.142']);
});

it('turns to a heading by one arc at full lock, either way round, and never much further than half round', () => {
  fc.assert(
    fc.property(pose, fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }), (from, heading) => {
      const ways = [...directWays(from, { kind: 'heading', heading }, radiusM, steering, [0])];
      for (const way of ways) {
        const [part, ...others] = way.parts();
        expect(others).toEqual([]);
        expect([fullLeft, fullRight]).toContain(part!.steer);
        expect(Math.abs(wrapAngle(endOf(from, way).heading - heading))).toBeLessThan(1e-5);
        expect(way.lengthM / radiusM).toBeLessThan(1.2 * Math.PI + 1e-9);
        expect(way.begins).toBe(part!.distanceM < 0 ? -1 : 1);
        expect(way.changes).toBe(0);
      }
      // Forwards and backwards, to the left and to the right.
      expect(ways.length).toBeGreaterThanOrEqual(2);
    }),
  );
});
