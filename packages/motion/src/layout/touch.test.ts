import { Box, Circle, Point as FlatPoint, Polygon as FlatPolygon, Segment } from '@flatten-js/core';
import fc from 'fast-check';
import { distanceBetween, isInside, placed, seenFrom, type Polygon } from '../geometry';
import { roll, standing } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { layOut } from './exercises';
import { polyline } from './layout';
import { checkWay, leastGap, nearest, touchesAlong, touchOf } from './touch';
import { driveSteps } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';

const car = vehicleClasses.car;
const coordinate = fc.double({ min: -8, max: 8, noNaN: true });
const anyPoint = fc.record({ x: coordinate, y: coordinate });
const anyPose = fc.record({ x: coordinate, y: coordinate, heading: fc.double({ min: -3, max: 3, noNaN: true }) });

const flat = (polygon: Polygon) => new FlatPolygon(polygon.map(({ x, y }) => [x, y] as [number, number]));
const rectangleAt = (pose: { x: number; y: number; heading: number }, length: number, width: number) =>
  [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ].map(([x, y]) => placed(pose, { x: x!, y: y! }));

// Against @flatten-js/core, another library of plane geometry.
it('measures the distance between figures as another library does', () => {
  fc.assert(
    fc.property(anyPose, anyPose, anyPoint, anyPoint, (one, other, from, to) => {
      fc.pre(Math.hypot(from.x - to.x, from.y - to.y) > 0.01);
      const [a, b] = [rectangleAt(one, 4, 1.8), rectangleAt(other, 1, 0.3)];
      const overlap = flat(a).intersect(flat(b)).length > 0 || isInside(a, b[0]!) || isInside(b, a[0]!);
      const [expected] = flat(a).distanceTo(flat(b));
      // That library takes a thousandth of a millimetre for nothing.
      expect(distanceBetween(a, b)).toBeCloseTo(overlap ? 0 : expected, 4);
      const line = new Segment(new FlatPoint(from.x, from.y), new FlatPoint(to.x, to.y));
      const crossing = flat(a).intersect(line).length > 0 || isInside(a, from);
      const [toLine] = flat(a).distanceTo(line);
      expect(distanceBetween(a, [from, to])).toBeCloseTo(crossing ? 0 : toLine, 4);
    }),
    { numRuns: 200 },
  );
  expect(new Box(0, 0, 1, 1).contains(new Circle(new FlatPoint(0.5, 0.5), 0.1).box)).toBe(true);
});

it('places what it sees, and sees what it placed', () => {
  fc.assert(
    fc.property(anyPose, anyPoint, (pose, point) => {
      const there = placed(pose, seenFrom(pose, point));
      expect(there.x).toBeCloseTo(point.x, 9);
      expect(there.y).toBeCloseTo(point.y, 9);
    }),
  );
});

it('says which part touches a cone, and by which tyre a line is touched while the body only hangs over it', () => {
  const placedCar = standing({ x: 0, y: 0, heading: 0 });
  const cone = { id: 'A', kind: 'cone' as const, x: 1.75, y: 0.97 };
  const touched = nearest(car, placedCar, { markers: [cone], edges: [] }).filter(({ gapM }) => gapM === 0);
  expect(touched.map(({ part }) => part)).toEqual(['body', 'left-mirror']);
  const kerb = (y: number) => ({ id: 'k', kind: 'kerb' as const, from: { x: -9, y }, to: { x: 9, y } });
  const hung = { markers: [], edges: [kerb(0.86)] };
  expect(leastGap(car, placedCar, hung)?.gapM).toBeCloseTo(0.86 - 0.85, 9);
  const { overhangs } = checkWay(car, [{ ...placedCar, wayM: 0, step: 0 }], hung);
  expect(overhangs.map(({ part }) => part)).toEqual(['body']);
  const mounted = nearest(car, placedCar, { markers: [], edges: [kerb(0.8)] }).filter(({ gapM }) => gapM === 0);
  expect(mounted.map(({ part }) => part)).toEqual(['front-left', 'rear-left']);
});

it('keeps the first moment of each touch along a way, and the closest point of all', () => {
  const wall = { id: 'w', kind: 'wall' as const, from: { x: 6, y: -2 }, to: { x: 6, y: 2 } };
  const moments = driveSteps(car, standing({ x: 0, y: 0, heading: 0 }), [{ steerDeg: 0, distanceM: 4 }], 0.01);
  const { touches, closest } = checkWay(car, moments, { markers: [], edges: [wall] });
  expect(touches.map(({ part }) => part)).toEqual(['body', 'front-left', 'front-right']);
  expect(touches[0]).toMatchObject({ part: 'body', thing: 'w' });
  expect(touches[0]!.wayM).toBeCloseTo(6 - 3.4, 2);
  expect(closest?.gapM).toBe(0);
  expect(checkWay(car, moments, { markers: [], edges: [] }).closest).toBeUndefined();
});

/**
 * The least gap at the kerb out of which a car gets in one movement, by search, against the closed form of S. R. Blackburn,
 * "The geometry of perfect parking" (2009): sqrt((r2 - l2) + (l + k)2 - (sqrt(r2 - l2) - w)2) - l - k more than the car's
 * length, r the radius of its outer front wheel, l its wheelbase, k its front overhang, w the width of the car ahead.
 */
it('needs the published extra gap to leave a space at the kerb in one movement', () => {
  for (const lockDeg of [27, 31, 36]) {
    // The formula's car is as wide as its wheels stand apart, and has no mirrors.
    const slim: Vehicle = {
      ...car,
      lockDeg,
      trackM: car.widthM,
      mirrorWidthM: car.widthM,
      tyreWidthM: 0.01,
      tyreDiameterM: 0.01,
    };
    const [l, k, w] = [slim.wheelbaseM, slim.frontOverhangM, 1.8];
    const outer = l / Math.tan((lockDeg * Math.PI) / 180) + slim.widthM / 2;
    const extra = Math.sqrt(outer ** 2 + (l + k) ** 2 - (outer - w) ** 2) - l - k;
    const clears = (gapM: number) => {
      const ahead = l + k + gapM;
      const corners = [
        { x: ahead, y: 0 },
        { x: ahead, y: w },
        { x: ahead + 4, y: w },
      ];
      const edges = corners.slice(1).map((to, i) => ({ id: `${i}`, kind: 'wall' as const, from: corners[i]!, to }));
      const start = { ...standing({ x: 0, y: slim.widthM / 2, heading: 0 }), steerDeg: lockDeg };
      for (let metres = 0; metres < 5; metres += 0.01)
        if (leastGap(slim, roll(slim, start, metres), { markers: [], edges })!.gapM === 0) return false;
      return true;
    };
    let [touches, free] = [0, 4];
    while (free - touches > 0.002) {
      const middle = (free + touches) / 2;
      if (clears(middle)) free = middle;
      else touches = middle;
    }
    expect(Math.abs(free - extra) / extra).toBeLessThan(0.02);
  }
});

it('lays an exercise out the same on both sides, mirrored', () => {
  const spec = { code: 'angle-bay' as const, space: {} };
  const [right, left] = [layOut({ ...spec, side: 'right' }, car), layOut({ ...spec, side: 'left' }, car)];
  expect(left.markers.map(({ x, y }) => [x, 0 - y])).toEqual(right.markers.map(({ x, y }) => [x, y]));
  expect(left.start.heading).toBeCloseTo(-right.start.heading);
});

it('refuses ground that cannot be', () => {
  expect(() => layOut({ code: 'bay-reverse', side: 'right', space: { bayM: 1 } }, car)).toThrow(RangeError);
  expect(() => layOut({ code: 'bay-reverse', side: 'right', space: { bayM: Number.NaN } }, car)).toThrow(RangeError);
});

it('finds what is touched along a way by looking only where something can have been met', () => {
  const vehicles = [car, vehicleClasses['car-with-trailer']];
  const step = fc.record({
    steerDeg: fc.double({ min: -30, max: 30, noNaN: true }),
    distanceM: fc.double({ min: -6, max: 6, noNaN: true }),
  });
  const cone = fc.record({
    x: fc.double({ min: -12, max: 12, noNaN: true }),
    y: fc.double({ min: -6, max: 6, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.constantFrom(...vehicles), fc.array(step, { maxLength: 3 }), cone, (vehicle, steps, { x, y }) => {
      const ground = {
        markers: [{ id: 'A', kind: 'cone' as const, x, y }],
        edges: polyline('wall', 'wall', [
          { x: x + 4, y: -20 },
          { x: x + 9, y: 20 },
        ]),
      };
      const way = driveSteps(vehicle, standing({ x: 0, y: 0, heading: 0 }), steps, 0.01);
      expect(touchesAlong(vehicle, ground, way)).toBe(way.some(touchOf(vehicle, ground)));
    }),
  );
});
