import { readSpec } from '../read-spec';
import { checkVehicle } from './check-vehicle';
import { vehicleClasses } from './classes';
import { boundsOf, measureOf, trailerMeasures, withMeasures } from './measures';

const { car } = vehicleClasses;
const towing = vehicleClasses['car-with-trailer'];

describe('the measures of a trailer', () => {
  it.each(trailerMeasures)('%s takes the place of what is usual, and is refused where it cannot be', (name) => {
    const { least, most } = boundsOf(name);
    for (const value of [least, most]) expect(measureOf(withMeasures(towing, { [name]: value }), name)).toBe(value);
    for (const value of [least - 0.01, most + 0.01, NaN])
      expect(checkVehicle(withMeasures(towing, { [name]: value }))).toContainEqual({
        code: 'impossible',
        measure: name,
        value,
        least,
        most,
      });
  });

  it('leave the car and what else is usual of the trailer as they were', () => {
    expect(withMeasures(towing, { trailerWidthM: 1.5 })).toEqual({
      ...towing,
      trailer: { ...towing.trailer, widthM: 1.5 },
    });
    expect(withMeasures(towing, { widthM: 1.7 })).toEqual({ ...towing, widthM: 1.7 });
    expect(withMeasures(towing, {})).toEqual(towing);
  });

  it('mean nothing for a vehicle without one', () => {
    expect(withMeasures(car, { drawbarM: 4 })).toEqual(car);
    expect(measureOf(car, 'drawbarM')).toBeUndefined();
  });

  it('are read from a file', () => {
    const file = { vehicle: 'car-with-trailer', measures: { drawbarM: 4.2 }, exercise: 'straight-reverse' };
    const read = readSpec(file);
    expect('spec' in read && read.spec.vehicle.trailer?.drawbarM).toBe(4.2);
    expect(readSpec({ ...file, measures: { drawbarM: 40 } })).toHaveProperty('problems');
  });
});
