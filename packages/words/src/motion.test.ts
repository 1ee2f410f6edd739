import { neededSentence, referenceSentence, stepSentence, thingName, vehicleProblemSentence } from './motion';

it('says a step as a driver is told it', () => {
  expect(stepSentence({ steerDeg: 0, distanceM: -1.04 }, 31)).toBe('Wheels straight, back 1.0 m');
  expect(stepSentence({ steerDeg: 31, distanceM: 3.25 }, 31)).toBe('Full left lock, forward 3.3 m');
  expect(stepSentence({ steerDeg: -15.5, distanceM: 2 }, 31)).toBe('50 % right lock, forward 2.0 m');
});

it('says what a step forgives, and what is level as it ends', () => {
  const forgives = { shortM: 0.2, longM: 0.345 };
  expect(referenceSentence({ ...forgives, level: [] })).toBe('May be 20 cm short or 35 cm far.');
  const level = [{ marker: 'B', side: 'right' as const, feature: 'door-mirror' as const, aheadM: 0.02 }];
  expect(referenceSentence({ ...forgives, level })).toBe(
    'Ends with marker B level with the door mirror on the right. May be 20 cm short or 35 cm far.',
  );
});

it('says how much more room would do, and when none would', () => {
  expect(neededSentence({ measure: 'gapM', haveM: 4.2, needM: 5.35, movements: 2 })).toBe(
    'There is no way with this much room. Gap between cars: 5.35 m would do, 115 cm more.',
  );
  expect(neededSentence(undefined)).toContain('four metres more');
});

it('names what is touched, and questions a measure with what is usual', () => {
  expect(thingName({ kind: 'pole', thing: 'C' })).toBe('marker C');
  expect(thingName({ kind: 'kerb', thing: 'far-kerb' })).toBe('the kerb');
  expect(vehicleProblemSentence({ code: 'unusual-circle', value: 7.1, least: 9, most: 12 })).toBe(
    'This gives a circle of 7.1 m; 9 to 12 m is usual for the class. Measure again.',
  );
});
