import fc from 'fast-check';
import { distance, wrapAngle, type Pose } from '../geometry';
import { alongArc } from '../moves/roll';
import { endOf, shortestLength, waysBetween } from './reeds-shepp';

const anyPose = fc.record({
  x: fc.double({ min: -12, max: 12, noNaN: true }),
  y: fc.double({ min: -12, max: 12, noNaN: true }),
  heading: fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
});
const radiusM = 4.2;

it('leads to the pose it was asked for, by every word', () => {
  fc.assert(
    fc.property(anyPose, anyPose, (from, to) => {
      const ways = waysBetween(from, to, radiusM);
      expect(ways.length).toBeGreaterThan(0);
      for (const { pieces } of ways) {
        const end = endOf(from, pieces(), radiusM);
        expect(distance(end, to)).toBeLessThan(1e-5);
        expect(Math.abs(wrapAngle(end.heading - to.heading))).toBeLessThan(1e-5);
      }
    }),
    { numRuns: 500 },
  );
});

it('is as long one way as the other, and never shorter than the straight line', () => {
  fc.assert(
    fc.property(anyPose, anyPose, (from, to) => {
      const length = shortestLength(from, to, radiusM);
      expect(length).toBeGreaterThanOrEqual(distance(from, to) - 1e-9);
      expect(shortestLength(to, from, radiusM)).toBeCloseTo(length, 6);
    }),
  );
});

/**
 * The shortest ways of a car that goes along arcs of 7.5 degrees and straight pieces as long, found by trying them all in
 * the order of their length: a way on this lattice is a way, so the formulas may not be longer.
 */
it('is never longer than any way found by trying all short ones, and close to the shortest of them', () => {
  const start: Pose = { x: 0, y: 0, heading: 0 };
  const piece = Math.PI / 24;
  const most = 26;
  const cell = 0.035;
  const seen = new Map<string, number>();
  const ends: { pose: Pose; length: number }[] = [];
  let rim: readonly Pose[] = [start];
  const key = ({ x, y, heading }: Pose) =>
    `${Math.round(x / cell)} ${Math.round(y / cell)} ${Math.round(wrapAngle(heading) / piece)}`;
  for (let steps = 1; steps <= most && ends.length < 30_000; steps++) {
    const next: Pose[] = [];
    for (const from of rim)
      for (const turn of [-1, 0, 1])
        for (const sign of [-1, 1]) {
          const pose = alongArc(from, turn, sign * piece);
          if (seen.has(key(pose))) continue;
          seen.set(key(pose), steps);
          next.push(pose);
          ends.push({ pose, length: steps * piece });
        }
    rim = next;
  }
  let [sum, count] = [0, 0];
  for (const { pose, length } of ends.filter((_, i) => i % 17 === 0)) {
    const formula = shortestLength(start, pose, 1);
    expect(formula).toBeLessThanOrEqual(length + 1e-6);
    sum += formula / length;
    count++;
  }
  expect(count).toBeGreaterThan(1000);
  expect(sum / count).toBeGreaterThan(0.85);
});
