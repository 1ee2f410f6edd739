import { possible, type Measure } from '@jasperwren/motion/vehicle/check-vehicle';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { measureLine } from './measure-line';

const measures = Object.keys(possible) as readonly Measure[];
const noTape: readonly Measure[] = ['lockDeg', 'turnsLockToLock', 'mirrorRadiusM', 'mirrorDownDeg'];

it.each(measures.filter((measure) => !noTape.includes(measure)))('draws %s as long as it is', (measure) => {
  for (const vehicle of Object.values(vehicleClasses)) {
    const { from, to } = measureLine(vehicle, measure)!;
    expect(Math.hypot(to.x - from.x, to.y - from.y)).toBeCloseTo(Math.abs(vehicle[measure]), 9);
  }
});

it('draws nothing for what no tape measures', () => {
  for (const measure of noTape) expect(measureLine(vehicleClasses.car, measure)).toBeUndefined();
});
