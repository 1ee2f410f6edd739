import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { exercisesDriven } from './exercises-driven';

const at = { at: 0, x: 1, y: 2, heading: 3 };

it('knows which exercises say where the car was, and which of the bench they are', () => {
  const samples = [
    { ...at, zone: 'garage-bay' },
    { ...at, zone: 'slope' },
    { at: 0, zone: 'angle-bay', x: 1 },
  ];
  expect(exercisesDriven(timedYard, samples).map(({ code, bench }) => [code, bench.code])).toEqual([
    ['garage-bay', 'bay-reverse'],
  ]);
  expect(exercisesDriven(timedYard, [])).toEqual([]);
});
