import { layOut } from '@jasperwren/motion/layout/exercises';
import { driveSteps } from '@jasperwren/motion/moves/steps';
import { standing } from '@jasperwren/motion/moves/roll';
import { bodyOf, tyresOf } from '@jasperwren/motion/vehicle/parts';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { frameOf, pathOf, shapeOf, tracksOf } from './outline';

const { car } = vehicleClasses;
const layout = layOut({ code: 'bay-reverse', side: 'right', space: {} }, car);
const way = driveSteps(car, standing(layout.start), [
  { steerDeg: 0, distanceM: 4 },
  { steerDeg: -car.lockDeg, distanceM: -5 },
]);

it('writes a path that goes down where the ground goes up, to the millimetre', () => {
  expect(pathOf([])).toBe('');
  expect(
    pathOf([
      { x: 0, y: 0 },
      { x: 1.23456, y: 2 },
    ]),
  ).toMatch(/^M0 -?0L1\.235 -2$/);
  expect(shapeOf([{ x: 1, y: -1 }])).toBe('M1 1Z');
});

it('frames all of the ground across the aisle, and all that the vehicle covers', () => {
  const { left, top, width, height } = frameOf(layout, car, way);
  const corners = way.flatMap((placed) => bodyOf(car, placed).flatMap(({ outline }) => outline));
  for (const { x, y } of corners) {
    expect(x).toBeGreaterThan(left);
    expect(x).toBeLessThan(left + width);
    expect(y).toBeLessThan(top);
    expect(y).toBeGreaterThan(top - height);
  }
  expect(top).toBeGreaterThan(layout.area.top);
  expect(top - height).toBeLessThan(layout.area.bottom);
  // Nothing is driven: all of the ground.
  const still = frameOf(layout, car, []);
  expect(still.left).toBeCloseTo(layout.area.left - 0.8, 9);
  expect(still.width).toBeCloseTo(layout.area.right - layout.area.left + 1.6, 9);
});

it('tracks each tyre and each corner of the body but the mirrors, from the first moment to the last', () => {
  const { tyres, corners } = tracksOf(car, way);
  expect(tyres.map(({ name }) => name).sort()).toEqual(
    tyresOf(car, way[0]!)
      .map(({ name }) => name)
      .sort(),
  );
  expect(tyres.filter(({ front }) => front)).toHaveLength(2);
  for (const { path } of tyres) expect(path.split('L')).toHaveLength(way.length);
  const body = bodyOf(car, way[0]!).filter(({ name }) => !name.endsWith('mirror'));
  expect(corners).toHaveLength(body.reduce((sum, { outline }) => sum + outline.length, 0));
  expect(tracksOf(car, [])).toEqual({ tyres: [], corners: [] });
});
