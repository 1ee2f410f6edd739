import { layOut } from './layout/exercises';
import { readSpec, specSchema } from './read-spec';
import { vehicleClasses } from './vehicle/classes';

it('fills in what is usual, and takes what was measured', () => {
  const exercise = { code: 'parallel', side: 'right', space: {} } as const;
  expect(readSpec({ vehicle: 'van', exercise: 'parallel' })).toEqual({
    spec: {
      vehicle: vehicleClasses.van,
      exercise,
      layout: layOut(exercise, vehicleClasses.van),
      clearanceM: 0.1,
      mostMovements: 9,
    },
  });
  const read = readSpec({
    vehicle: 'car',
    measures: { wheelbaseM: 2.6 },
    exercise: 'parallel',
    side: 'left',
    space: { gapM: 6 },
  });
  expect(read).toMatchObject({
    spec: { vehicle: { wheelbaseM: 2.6 }, exercise: { side: 'left', space: { gapM: 6 } } },
  });
});

it.each([
  [null, '/'],
  [{}, 'vehicle'],
  [{ vehicle: 'car', exercise: 'wheelie' }, '/exercise'],
  [{ vehicle: 'car', exercise: 'parallel', measures: { wheelbaseM: 40 } }, '/measures/wheelbaseM'],
  [{ vehicle: 'car', exercise: 'parallel', measures: { mirrorWidthM: 1 } }, 'mirrors-narrower'],
  [{ vehicle: 'car', exercise: 'parallel', space: { gapM: 2 } }, '/space/gapM'],
  [{ vehicle: 'car', exercise: 'parallel', space: { gapM: '6' } }, '/space/gapM'],
  [{ vehicle: 'car', exercise: 'parallel', colour: 'red' }, 'additional'],
  [{ vehicle: 'car' }, 'one of exercise and layout'],
  [{ vehicle: 'car', exercise: 'parallel', rule: [] }, '/rule'],
  [{ vehicle: 'car', layout: { markers: [] } }, '/layout'],
])('says what is wrong with %j', (value, where) => {
  const read = readSpec(value) as { problems: readonly string[] };
  expect(read.problems.join('\n')).toContain(where);
});

it('names every exercise in its schema', () => {
  expect(specSchema.properties.exercise.enum).toContain('angle-bay');
});

it('takes a layout of its own with a rule of thumb', () => {
  const layout = layOut({ code: 'angle-bay', side: 'left', space: {} }, vehicleClasses.car);
  const rule = [{ lock: 1, back: false, until: { kind: 'in-line' } }];
  expect(readSpec({ vehicle: 'car', layout, rule })).toMatchObject({ spec: { layout, rule } });
});
