import { dryAndLevel } from '@jasperwren/motion/stopping/road';
import { stoppingDistance } from '@jasperwren/motion/stopping/stopping';
import { mpsPerMph } from '@jasperwren/motion/stopping/units';
import { tokens } from '../../base/tokens';
import { stoppingFigure } from './stopping-figure';

const driver = { reactionS: 0.67, clutchFirstS: 0 };
const figure = (speed: number, clutchFirstS = 0) =>
  stoppingFigure(
    { speed, unit: 'mph', mps: mpsPerMph, driver: { ...driver, clutchFirstS }, road: dryAndLevel },
    tokens.day,
  );

it('shows the speed that is asked about among the others, and the same figures as a table', () => {
  const { figures, data } = figure(37);
  expect(figures.rows.map(([speed]) => speed)).toEqual([
    '10 mph',
    '20 mph',
    '30 mph',
    '37 mph',
    '40 mph',
    '50 mph',
    '60 mph',
    '70 mph',
  ]);
  const { totalM } = stoppingDistance(37 * mpsPerMph, driver)!;
  expect(figures.rows[3]!.at(-1)).toBe(totalM.toFixed(1));
  expect(data).toHaveLength(2);
});

it('has a part for the clutch only where it goes down first, and a speed that is there already once', () => {
  expect(figure(30, 0.5).data).toHaveLength(3);
  expect(figure(30).figures.rows).toHaveLength(7);
});
