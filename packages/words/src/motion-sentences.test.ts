import { exerciseCodes, layOut } from '@jasperwren/motion/layout/exercises';
import type { Reference } from '@jasperwren/motion/sight/tolerance';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import {
  feetAndInches,
  ruleSentence,
  edgeName,
  mirrorShows,
  neededSentence,
  referenceSentence,
  seatWords,
  stepSentence,
  thingName,
  vehicleProblemSentence,
} from './motion-sentences';

it('says a step as a driver is told it', () => {
  expect(stepSentence({ steerDeg: 0, distanceM: -1.04 }, 31)).toBe('Wheels straight, back 1.0 m');
  expect(stepSentence({ steerDeg: 31, distanceM: 3.25 }, 31)).toBe('Full left lock, forward 3.3 m');
  expect(stepSentence({ steerDeg: -15.5, distanceM: 2 }, 31)).toBe('50 % right lock, forward 2.0 m');
});

it('says with a trailer where it stands as a step ends, and nothing of steering that is off', () => {
  const towing = vehicleClasses['car-with-trailer'];
  const reference = { shortM: 0.07, longM: 0.2, level: [] };
  expect(referenceSentence(reference, towing, 0.35)).toBe(
    'Trailer then 20° out to the left. Tolerance: stop 7 cm early to 20 cm late.',
  );
  expect(referenceSentence(reference, towing, -0.1)).toContain('6° out to the right');
  expect(referenceSentence(reference, towing, 0.001)).toContain('Trailer then in line.');
});

it('says what a step forgives, and what lines up as it ends', () => {
  const { car } = vehicleClasses;
  const forgives = { shortM: 0.2, longM: 0.345, leftDeg: 0, rightDeg: car.lockDeg / 10 };
  const said = 'Tolerance: stop 20 cm early to 35 cm late; steering wheel 0° left or 52° right.';
  expect(referenceSentence({ ...forgives, level: [] }, car, 0)).toBe(said);
  expect(referenceSentence({ shortM: 1, longM: 0.1, leftDeg: 10, level: [] }, car, 0)).toBe(
    'Tolerance: stop 100 cm or more early to 10 cm late; steering wheel 168° or more left.',
  );
  const ends = (level: Reference['level'][number]) => referenceSentence({ ...forgives, level: [level] }, car, 0);
  const marker = { thing: 'B', kind: 'cone', side: 'right', offM: 0.02 } as const;
  expect(ends({ ...marker, feature: 'door-mirror' })).toBe(
    `Ends with marker B level with the door mirror on the right. ${said}`,
  );
  expect(ends({ ...marker, feature: 'pillar-gap' })).toContain('marker B between the right mirror and the pillar.');
  expect(ends({ ...marker, kind: 'line', side: 'left', feature: 'mirror-edge' })).toContain(
    'a line just under the lower edge of the left mirror.',
  );
  expect(ends({ thing: 'far', kind: 'kerb', offM: 0, feature: 'bonnet-edge' })).toContain(
    'the kerb ahead just going under the edge of the bonnet.',
  );
});

it('says which markers a mirror shows', () => {
  expect(mirrorShows('left', ['A', 'B', 'C'])).toBe('Left mirror: markers A, B and C');
  expect(mirrorShows('right', ['D'])).toBe('Right mirror: marker D');
  expect(mirrorShows('right', [])).toBe('Right mirror: no marker');
  expect(mirrorShows('right', undefined)).toBe('Right mirror');
  expect([seatWords(0), seatWords(0.05), seatWords(-0.11)]).toEqual([
    'as measured',
    '5 cm further back',
    '11 cm further forward',
  ]);
});

it('says how much more room would do, and when none would', () => {
  expect(neededSentence({ measure: 'gapM', haveM: 4.2, needM: 5.35, movements: 2 })).toBe(
    'Gap between cars must be at least 5.35 m (115 cm more).',
  );
  expect(neededSentence(undefined)).toBe('Four metres more would not help either.');
});

it('names what is touched, and questions a measure with what is usual', () => {
  expect(thingName({ kind: 'pole', thing: 'C' })).toBe('marker C');
  expect(thingName({ kind: 'kerb', thing: 'far-kerb' })).toBe('the kerb');
  expect(vehicleProblemSentence({ code: 'unusual-circle', value: 7.1, least: 9, most: 12 })).toBe(
    'This gives a circle of 7.1 m; 9 to 12 m is usual for the class. Measure again.',
  );
});

it('names the edges of the usual grounds, and leaves names of the school alone', () => {
  expect(edgeName('car-ahead-2')).toBe('car ahead, 2');
  expect(edgeName('left-line')).toBe('left line');
  expect(edgeName('hall')).toBe('hall');
  for (const code of exerciseCodes)
    for (const { id } of layOut({ code, side: 'left', space: {} }, vehicleClasses.car).edges)
      expect(edgeName(id)).not.toBe(id);
});

// A foot is 0.3048 m.
it.each([
  [0.3048, '1 ft 0 in'],
  [2.5, '8 ft 2½ in'],
  [0.15, '0 ft 6 in'],
  [0.01, '0 ft ½ in'],
  [1.2192 - 0.001, '4 ft 0 in'],
])('reads %s m off a tape in feet and inches', (metres, words) => expect(feetAndInches(metres)).toBe(words));

it.each([
  [{ kind: 'turned', degrees: 3.2 }, 'the vehicle ends 4° askew.'],
  [{ kind: 'left', metres: 0.003 }, 'the vehicle ends 1 cm outside, over the left side as you look in.'],
  [{ kind: 'mouth', metres: 5.47 }, 'the vehicle ends 5.5 m outside, out of the open end.'],
  [{ kind: 'elsewhere', metres: 0.62 }, 'the vehicle ends 62 cm from where it should.'],
] as const)('says by how much a rule ends outside: %j', (off, words) =>
  expect(ruleSentence({ outcome: 'outside', off, steps: [], closest: undefined })).toContain(words),
);
