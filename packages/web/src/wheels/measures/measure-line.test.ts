import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { allMeasures, measureOf, type AnyMeasure } from '@jasperwren/motion/vehicle/measures';
import { measureLine } from './measure-line';

const noTape: readonly AnyMeasure[] = ['lockDeg', 'turnsLockToLock', 'mirrorRadiusM', 'mirrorDownDeg'];

it.each(allMeasures.filter((measure) => !noTape.includes(measure)))('draws %s as long as it is', (measure) => {
  for (const vehicle of Object.values(vehicleClasses)) {
    const line = measureLine(vehicle, measure);
    const value = measureOf(vehicle, measure);
    expect(line === undefined).toBe(value === undefined);
    if (line) expect(Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y)).toBeCloseTo(Math.abs(value!), 9);
  }
});

it('draws nothing for what no tape measures', () => {
  for (const measure of noTape) expect(measureLine(vehicleClasses.car, measure)).toBeUndefined();
});
