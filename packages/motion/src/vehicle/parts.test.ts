import fc from 'fast-check';
import { distance, distanceBetween, isInside, placed, seenFrom, toDegrees, toRadians, type Polygon } from '../geometry';
import { vehicleClasses } from './classes';
import { bodyOf, drawbarOf, isFolded, trailerPose, tyresOf } from './parts';
import { frontOf, lengthOf, rearBehindOf, reversedLengthOf, wholeLengthOf } from './vehicle';

const { car, van, rigid, 'car-with-trailer': towing } = vehicleClasses;
const all = Object.values(vehicleClasses);

const poses = fc.record({
  x: fc.double({ min: -20, max: 20, noNaN: true }),
  y: fc.double({ min: -20, max: 20, noNaN: true }),
  heading: fc.double({ min: -4, max: 4, noNaN: true }),
});
const hitches = fc.double({ min: -0.9, max: 0.9, noNaN: true });

const middle = (outline: Polygon) => ({
  x: outline.reduce((sum, { x }) => sum + x, 0) / outline.length,
  y: outline.reduce((sum, { y }) => sum + y, 0) / outline.length,
});

it.each(all.map((vehicle) => [vehicle.kind, vehicle] as const))(
  '%s: its parts keep their size and their place on it, wherever it stands',
  (_, vehicle) => {
    fc.assert(
      fc.property(poses, hitches, fc.double({ min: -30, max: 30, noNaN: true }), (pose, angle, steerDeg) => {
        const hitch = vehicle.trailer ? angle : 0;
        const body = bodyOf(vehicle, { pose, hitch, steerDeg })[0]!.outline;
        expect(distance(body[0]!, body[1]!)).toBeCloseTo(lengthOf(vehicle), 9);
        expect(distance(body[1]!, body[2]!)).toBeCloseTo(vehicle.widthM, 9);
        const tyres = new Map(tyresOf(vehicle, { pose, hitch, steerDeg }).map(({ name, outline }) => [name, outline]));
        expect(tyres.size).toBe(vehicle.trailer ? 6 : 4);
        // Each wheel turns around its own middle, a wheelbase and a track apart.
        const front = middle(tyres.get('front-left')!);
        expect(seenFrom(pose, front).x).toBeCloseTo(vehicle.wheelbaseM, 9);
        expect(distance(front, middle(tyres.get('front-right')!))).toBeCloseTo(vehicle.trackM, 9);
        for (const name of ['rear-left', 'rear-right'] as const)
          expect(seenFrom(pose, middle(tyres.get(name)!)).x).toBeCloseTo(0, 9);
        for (const outline of tyres.values())
          expect(distance(outline[1]!, outline[2]!)).toBeLessThanOrEqual(
            Math.max(vehicle.tyreWidthM, vehicle.trailer?.tyreWidthM ?? 0) + 1e-9,
          );
      }),
    );
  },
);

it('mirrors stand out on both sides by as much as is measured', () => {
  for (const vehicle of all) {
    const corners = bodyOf(vehicle, { pose: { x: 0, y: 0, heading: 0 }, hitch: 0, steerDeg: 0 })
      .filter(({ name }) => name.endsWith('mirror'))
      .flatMap(({ outline }) => outline);
    expect(Math.max(...corners.map(({ y }) => y)) - Math.min(...corners.map(({ y }) => y))).toBeCloseTo(
      vehicle.mirrorWidthM,
      9,
    );
    expect(Math.max(...corners.map(({ x }) => x))).toBeCloseTo(vehicle.mirrorAheadM, 9);
  }
});

it('a trailer hangs on its coupling, a drawbar behind it, whatever its angle', () => {
  fc.assert(
    fc.property(poses, hitches, (pose, hitch) => {
      const coupling = placed(pose, { x: -towing.trailer!.hitchBehindM, y: 0 });
      const axle = trailerPose(towing, pose, hitch)!;
      expect(distance(coupling, axle)).toBeCloseTo(towing.trailer!.drawbarM, 9);
      expect(seenFrom(axle, coupling).y).toBeCloseTo(0, 9);
      const bar = drawbarOf(towing, { pose, hitch, steerDeg: 0 })!;
      expect(distance(bar[0]!, coupling)).toBeCloseTo(0, 9);
      expect(distance(bar[0]!, bar[1]!)).toBeCloseTo(towing.trailer!.drawbarM - towing.trailer!.bodyAheadM, 9);
      const trailer = bodyOf(towing, { pose, hitch, steerDeg: 0 }).find(({ name }) => name === 'trailer-body')!.outline;
      expect(distanceBetween(trailer, [bar[1]!])).toBeCloseTo(0, 6);
      expect(isInside(trailer, axle)).toBe(true);
    }),
  );
});

it('car and trailer touch only where it has jack-knifed', () => {
  const gap = (hitch: number) => {
    const parts = bodyOf(towing, { pose: { x: 0, y: 0, heading: 0 }, hitch, steerDeg: 0 });
    return distanceBetween(parts[0]!.outline, parts.at(-1)!.outline);
  };
  expect(gap(0)).toBeGreaterThan(1);
  expect(gap((40 * Math.PI) / 180)).toBeGreaterThan(0.3);
  expect(gap((150 * Math.PI) / 180)).toBe(0);
});

it('without a trailer there is none, and the whole is the vehicle', () => {
  for (const vehicle of [car, van, rigid]) {
    expect(trailerPose(vehicle, { x: 0, y: 0, heading: 0 }, 0)).toBeUndefined();
    expect(drawbarOf(vehicle, { pose: { x: 0, y: 0, heading: 0 }, hitch: 0, steerDeg: 0 })).toBeUndefined();
    expect(wholeLengthOf(vehicle)).toBeCloseTo(lengthOf(vehicle), 9);
    expect(reversedLengthOf(vehicle)).toBe(lengthOf(vehicle));
  }
  const { trailer } = towing;
  expect(wholeLengthOf(towing)).toBeCloseTo(
    frontOf(towing) + trailer!.hitchBehindM + trailer!.drawbarM + trailer!.bodyBehindM,
    9,
  );
  expect(rearBehindOf(towing)).toBeGreaterThan(towing.rearOverhangM);
  expect(reversedLengthOf(towing)).toBeCloseTo(trailer!.bodyAheadM + trailer!.bodyBehindM, 9);
});

describe('a trailer that folds', () => {
  it('lies against its car where its front corner meets the car’s side', () => {
    // By hand: the corner swings 1.86 m around the coupling (1.6 m ahead, 0.95 m out), the side is 0.91 m off it.
    const { drawbarM, bodyAheadM, widthM } = towing.trailer!;
    const [ahead, out] = [drawbarM - bodyAheadM, widthM / 2];
    const degrees = 180 - toDegrees(Math.asin(towing.widthM / 2 / Math.hypot(ahead, out)) + Math.atan2(out, ahead));
    expect(degrees).toBeCloseTo(120, 0);
    for (const side of [1, -1]) {
      expect(isFolded(towing, side * toRadians(degrees - 0.5))).toBe(false);
      expect(isFolded(towing, side * toRadians(degrees + 0.5))).toBe(true);
    }
  });

  it('does not in a straight line, and a car without one never does', () => {
    expect(isFolded(towing, 0)).toBe(false);
    expect(isFolded(car, Math.PI)).toBe(false);
  });
});
