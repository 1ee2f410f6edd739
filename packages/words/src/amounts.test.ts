import fc from 'fast-check';
import { capital, joinChoices, joinWords, percent } from './lists';
import { amountOf, amountWords, durationWords, secondsWords, unitOf } from './marking/amounts';
import { bandBrings, bandWords } from './marking/bands';

it('joins what there is, as it is said', () => {
  expect(joinWords([])).toBe('');
  expect(joinWords(['mirrors'])).toBe('mirrors');
  expect(joinWords(['mirrors', 'signals'])).toBe('mirrors and signals');
  expect(joinWords(['mirrors', 'signals', 'speed'])).toBe('mirrors, signals and speed');
  expect(joinChoices(['left', 'right'])).toBe('left or right');
  expect(capital('left mirror')).toBe('Left mirror');
  expect(capital('')).toBe('');
});

it('says a share in whole percent that stays on its line', () => {
  expect(percent(0.566)).toBe('57\u00a0%');
  expect(percent(0)).toBe('0\u00a0%');
  expect(percent(1)).toBe('100\u00a0%');
});

it.each([
  [0, '0 s'],
  [95, '95 s'],
  [599, '599 s'],
  [600, '10 min'],
  [1265, '21 min 5 s'],
])('%d seconds of a limit', (seconds, words) => {
  expect(secondsWords(seconds)).toBe(words);
});

it.each([
  [0, '0 s'],
  [999, '0 s'],
  [59_999, '59 s'],
  [60_000, '1 min'],
  [150_000, '2 min 30 s'],
])('%d ms of a drive', (ms, words) => {
  expect(durationWords(ms)).toBe(words);
});

it('loses no second of a duration', () => {
  fc.assert(
    fc.property(fc.nat(100_000), (seconds) => {
      const [, min = 0, s = 0] = /^(?:(\d+) min)? ?(?:(\d+) s)?$/.exec(durationWords(seconds * 1000))!;
      expect(Number(min) * 60 + Number(s)).toBe(seconds);
    }),
  );
});

it('counts each thing by its own name, one and several', () => {
  expect(amountOf({ kind: 'count', grades: ['a'] }, 1)).toBe('1 fault');
  expect(amountOf({ kind: 'points', grades: ['a'] }, 2)).toBe('2 points');
  expect(amountOf({ kind: 'time' }, 121)).toBe('121 s');
  expect(amountOf({ kind: 'attempts' }, 1)).toBe('1 attempt');
  expect(amountOf({ kind: 'failed-attempts' }, 2)).toBe('2 failed attempts');
  expect(amountOf({ kind: 'failed-exercises' }, 1)).toBe('1 failed exercise');
  expect(amountOf({ kind: 'steps', step: 'movement' }, 4)).toBe('4 movements');
  expect(amountOf({ kind: 'steps', step: 'look' }, 1)).toBe('1 look');
});

it('names the unit alone as the amount does', () => {
  for (const n of [1, 2])
    for (const measure of [
      { kind: 'points', grades: ['a'] },
      { kind: 'attempts' },
      { kind: 'failed-attempts' },
      { kind: 'failed-exercises' },
      { kind: 'steps', step: 'shunt' },
    ] as const)
      expect(amountOf(measure, n)).toBe(`${n} ${unitOf(measure, n)}`);
  expect(unitOf({ kind: 'time' }, 5)).toBe('s');
});

it('adds faults up by the names of their grades', () => {
  expect(
    amountWords({
      grades: [
        { name: 'serious fault', n: 1 },
        { name: 'driving faults', n: 3 },
      ],
    }),
  ).toBe('1 serious fault and 3 driving faults');
  expect(amountWords({ measure: { kind: 'points' }, n: 1 } as never)).toBe('1 point');
});

describe('bands of a measured value', () => {
  const band = { grade: 'demerit', provenance: { kind: 'common practice' } } as const;

  it.each([
    [{ over: 15, below: 30 }, 'over 15 and below 30 cm'],
    [{ atLeast: 30 }, '30 cm or more'],
    [{ below: 20 }, 'below 20 cm'],
    [{ atLeast: 5, below: 9 }, '5 or more and below 9 cm'],
    [{}, 'any cm'],
  ])('%j', (bounds, words) => {
    expect(bandWords({ ...band, ...bounds }, 'cm')).toBe(words);
  });

  it('say which grade they bring, by its name where the standard has one', () => {
    const grades = [{ code: 'demerit', name: 'demerit point' }] as never;
    expect(bandBrings({ grades }, { ...band, over: 15 }, 'cm')).toBe('over 15 cm: demerit point');
    expect(bandBrings({ grades: [] }, { ...band, over: 15 }, 'cm')).toBe('over 15 cm: demerit');
  });
});
