import fc from 'fast-check';
import { mirrored } from '../layout/layout';
import { vehicleClasses } from '../vehicle/classes';
import { here, poles } from './testing-poles';
import { insideGlassOf, insideMirrorView, seenInside, seenOnFlat } from './inside-mirror';
import { eyeOf } from './mirror';
import { dot, minus, plus, times, unit } from './space3';

const { car, van, rigid } = vehicleClasses;
const trailed = vehicleClasses['car-with-trailer'];
const glass = insideGlassOf(car)!;
const eye = eyeOf(car);

it('is there where there is a window behind the driver', () => {
  expect(insideGlassOf(trailed)).toBeDefined();
  for (const vehicle of [van, rigid]) {
    expect(insideMirrorView(vehicle, here, poles([-8, 0]))).toBeUndefined();
    expect(seenInside(vehicle, here, poles([-8, 0]))).toBeUndefined();
  }
});

it('shows what is far behind, at its own height, in its middle, and the rear window around it', () => {
  const at = seenOnFlat(glass, eye, { x: -10_000, y: 0, z: glass.middle.z })!;
  expect(at.right).toBeCloseTo(0, 4);
  expect(at.up).toBeCloseTo(0, 4);
  const { x, half, low, high } = glass.window;
  const [lower, upper, left, right] = [
    seenOnFlat(glass, eye, { x, y: 0, z: low })!.up,
    seenOnFlat(glass, eye, { x, y: 0, z: high })!.up,
    seenOnFlat(glass, eye, { x, y: half, z: low })!.right,
    seenOnFlat(glass, eye, { x, y: -half, z: low })!.right,
  ] as const;
  expect(lower).toBeLessThan(0);
  expect(upper).toBeGreaterThan(0);
  expect(left).toBeLessThan(0);
  expect(right).toBeGreaterThan(0);
});

// Vector algebra: the ways to the eye and to the point leave a mirror at the same angle, on either side of its normal.
it('reflects: both ways leave the glass at the same angle', () => {
  const behind = fc.record({
    x: fc.double({ min: -30, max: -2, noNaN: true }),
    y: fc.double({ min: -8, max: 8, noNaN: true }),
    z: fc.double({ min: 0, max: 3, noNaN: true }),
  });
  fc.assert(
    fc.property(behind, (point) => {
      const { right, up } = seenOnFlat(glass, eye, point)!;
      const on = plus(glass.middle, plus(times(glass.right, right), times(glass.up, up)));
      const [toEye, toPoint] = [unit(minus(eye, on)), unit(minus(point, on))];
      expect(dot(toEye, glass.normal)).toBeCloseTo(dot(toPoint, glass.normal), 9);
      const sum = plus(toEye, toPoint);
      expect(dot(sum, glass.right)).toBeCloseTo(0, 9);
      expect(dot(sum, glass.up)).toBeCloseTo(0, 9);
    }),
  );
});

it('shows nothing that is ahead of it', () => {
  expect(seenOnFlat(glass, eye, { x: 20, y: 0, z: 1 })).toBeUndefined();
});

it('has the left of the car on its left, and what is further off nearer to the middle', () => {
  const [left, right, far] = (
    [
      [-8, 2],
      [-8, -2],
      [-30, 2],
    ] as const
  ).map(([x, y]) => seenOnFlat(glass, eye, { x, y, z: 1 })!.right);
  expect(left).toBeLessThan(right!);
  expect(Math.abs(far! - (left! + right!) / 2)).toBeLessThan(Math.abs(left! - (left! + right!) / 2));
});

it('shows a pole straight behind, and none beside the car, ahead of it, or too low and close for the window', () => {
  const { markers, ...layout } = poles([-10, 0], [-1, 2], [6, 0]);
  const cone = { id: 'D', kind: 'cone', x: -2, y: 0 } as const;
  expect(seenInside(car, here, { ...layout, markers: [...markers, cone] })).toEqual(['A']);
});

it('shows the same to the other side where the driver sits in the middle', () => {
  const middle = { ...car, eyeLeftM: 0 };
  const layout = poles([-8, 0.8], [-14, -2.5], [-20, 5], [-5, 3]);
  expect(seenInside(middle, here, mirrored(layout))).toEqual(seenInside(middle, here, layout));
});

it('shows a trailer in place of what is behind it', () => {
  const layout = poles([-14, 0], [-14, 9]);
  expect(seenInside(car, here, layout)).toContain('A');
  expect(seenInside(trailed, here, layout)).not.toContain('A');
  const view = insideMirrorView(trailed, here, layout)!;
  expect(view.shown.some(({ id }) => id === 'trailer')).toBe(true);
});

it('draws what stands behind, with the inside of the car around the window', () => {
  const view = insideMirrorView(car, here, poles([-12, 0.5]))!;
  expect(view.shown.filter(({ kind }) => kind === 'pole')).toHaveLength(1);
  expect(view.shown.filter(({ kind, filled }) => kind === 'vehicle' && filled)).toHaveLength(4);
  // Far away things stand at the height of the mirror.
  for (const { up } of view.shown.find(({ kind }) => kind === 'horizon')!.points)
    expect(Math.abs(up)).toBeLessThan(0.01);
});
