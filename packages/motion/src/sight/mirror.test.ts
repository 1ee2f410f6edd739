import fc from 'fast-check';
import { vehicleClasses } from '../vehicle/classes';
import { eyeOf, glassOf, isOnGlass, onSphere, seenOnGlass, type Glass } from './mirror';
import { dot, minus, plus, reflected, times, unit, type Point3 } from './space3';

const all = Object.values(vehicleClasses);
const anyPoint = fc.record({
  x: fc.double({ min: -30, max: -1, noNaN: true }),
  y: fc.double({ min: 0.2, max: 8, noNaN: true }),
  z: fc.double({ min: 0, max: 2, noNaN: true }),
});

// The law of reflection, by vector algebra: both ways leave the glass at the same angle, in one plane with its normal.
it('shows a point where the way to it leaves the glass as the way to the eye does', () => {
  fc.assert(
    fc.property(fc.constantFrom(...all), anyPoint, (vehicle, away) => {
      const glass = glassOf(vehicle, 'left');
      const eye = eyeOf(vehicle);
      const point = { ...away, y: vehicle.widthM / 2 + away.y };
      const at = seenOnGlass(glass, eye, point);
      if (!at || !isOnGlass(glass, at)) return;
      const here = onSphere(glass, at);
      const out = reflected(unit(minus(here.point, eye)), here.normal);
      const off = minus(out, unit(minus(point, here.point)));
      expect(Math.hypot(off.x, off.y, off.z)).toBeLessThan(1e-6);
    }),
  );
});

/** A flat mirror shows a point where the straight line to its image behind the glass goes through the glass. */
function byImage({ middle, normal, right, up }: Glass, eye: Point3, point: Point3) {
  const image = minus(point, times(normal, 2 * dot(minus(point, middle), normal)));
  const way = minus(image, eye);
  const share = dot(minus(middle, eye), normal) / dot(way, normal);
  const at = minus(plus(eye, times(way, share)), middle);
  return { right: dot(at, right), up: dot(at, up) };
}

it('shows in a nearly flat glass what the image behind a flat one does', () => {
  const flat = { ...vehicleClasses.car, mirrorRadiusM: 1e6 };
  const glass = glassOf(flat, 'left');
  fc.assert(
    fc.property(anyPoint, (point) => {
      const [at, image] = [seenOnGlass(glass, eyeOf(flat), point), byImage(glass, eyeOf(flat), point)];
      if (!isOnGlass(glass, image)) return;
      expect(at!.right).toBeCloseTo(image.right, 4);
      expect(at!.up).toBeCloseTo(image.up, 4);
    }),
  );
});

it.each(all)(
  '$kind: the side of the vehicle stands at the inner edge of both mirrors, the horizon in the middle',
  (vehicle) => {
    const corner = { x: -vehicle.rearOverhangM, z: vehicle.mirrorGlassHeightM };
    for (const side of ['left', 'right'] as const) {
      const glass = glassOf(vehicle, side);
      const sign = side === 'left' ? 1 : -1;
      const own = seenOnGlass(glass, eyeOf(vehicle), { ...corner, y: (sign * vehicle.widthM) / 2 })!;
      const fromInner = 0.5 + (side === 'left' ? -1 : 1) * (own.right / glass.wideM);
      expect(fromInner).toBeGreaterThan(0.08);
      expect(fromInner).toBeLessThan(0.25);
      const far = seenOnGlass(glass, eyeOf(vehicle), { x: -5000, y: sign * 200, z: vehicle.mirrorGlassHeightM })!;
      expect(Math.abs(far.up)).toBeLessThan(glass.tallM * 0.1);
    }
  },
);

it('shows more in a glass that bulges more', () => {
  const wide = (mirrorRadiusM: number) => {
    const vehicle = { ...vehicleClasses.car, mirrorRadiusM };
    const glass = glassOf(vehicle, 'left');
    return Array.from({ length: 200 }, (_, i) => ({ x: -10, y: 0.9 + i * 0.1, z: 0.5 })).filter((point) => {
      const at = seenOnGlass(glass, eyeOf(vehicle), point);
      return at && isOnGlass(glass, at);
    }).length;
  };
  expect(wide(1.2)).toBeGreaterThan(wide(3));
  expect(wide(3)).toBeGreaterThan(wide(100));
});

it('shows nothing that is behind the glass', () => {
  const glass = glassOf(vehicleClasses.car, 'right');
  expect(seenOnGlass(glass, eyeOf(vehicleClasses.car), { x: 8, y: -3, z: 1 })).toBeUndefined();
});

// A mirror that turns by an angle turns what it shows by twice of it.
it('shows the ground beside the rear wheel where it is tilted down', () => {
  const { car } = vehicleClasses;
  const wheel = { x: 0, y: car.widthM / 2 + 0.3, z: 0 };
  const at = (mirrorDownDeg: number) => {
    const vehicle = { ...car, mirrorDownDeg, mirrorRadiusM: 1e6 };
    return { glass: glassOf(vehicle, 'left'), on: seenOnGlass(glassOf(vehicle, 'left'), eyeOf(vehicle), wheel)! };
  };
  expect(isOnGlass(at(0).glass, at(0).on)).toBe(false);
  const down = (Math.atan2(car.mirrorGlassHeightM, car.mirrorAheadM - 0.08) / Math.PI) * 180;
  expect(Math.abs(at(down / 2).on.up)).toBeLessThan(car.mirrorGlassTallM / 2);
});
