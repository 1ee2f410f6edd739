import fc from 'fast-check';
import { aheadWords, lengthWords } from './distances';

// A mile is 1,609.344 m and a yard 0.9144 m: international agreement of 1959.
it.each([
  [0, '10 yards'],
  [45, '50 yards'],
  [91, '100 yards'],
  [137, '150 yards'],
  [366, '400 yards'],
  [700, 'half a mile'],
  [1000, 'half a mile'],
  [1010, 'three quarters of a mile'],
  [1400, 'three quarters of a mile'],
  [1410, '1 mile'],
  [1900, '1 mile'],
  [3218.688, '2.0 miles'],
])('%d m ahead, in miles', (metres, words) => {
  expect(aheadWords(metres, 'miles')).toBe(words);
});

it.each([
  [0, '10 metres'],
  [94, '90 metres'],
  [120, '100 metres'],
  [130, '150 metres'],
  [970, '950 metres'],
  [980, '1.0 km'],
  [2449, '2.4 km'],
])('%d m ahead, in metric', (metres, words) => {
  expect(aheadWords(metres, 'metric')).toBe(words);
});

it('says how long a way is', () => {
  expect(lengthWords(17_220, 'metric')).toBe('17.2 km');
  expect(lengthWords(17_220, 'miles')).toBe('10.7 miles');
});

/** What was said, in metres again. */
function heard(words: string): number {
  if (words === 'half a mile') return 804.672;
  if (words === 'three quarters of a mile') return 1207.008;
  const value = Number(/^[\d.]+/.exec(words)![0]);
  if (words.includes('yard')) return value * 0.9144;
  if (words.includes('mile')) return value * 1609.344;
  return words.endsWith('km') ? value * 1000 : value;
}

it('never says a junction much nearer or farther than it is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 30, max: 20_000, noNaN: true }),
      fc.constantFrom('miles', 'metric'),
      (metres, units) => {
        const said = heard(aheadWords(metres, units));
        // Coarsest around half a mile, as people say it.
        expect(Math.abs(said - metres)).toBeLessThan(
          units === 'metric' ? Math.max(26, metres * 0.06) : Math.max(26, metres * 0.3),
        );
      },
    ),
  );
});

it('says what is farther on no nearer', () => {
  const units = fc.constantFrom('miles', 'metric' as const);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 20_000, noNaN: true }),
      fc.double({ min: 0, max: 5000, noNaN: true }),
      units,
      (metres, more, unit) => {
        expect(heard(aheadWords(metres + more, unit))).toBeGreaterThanOrEqual(heard(aheadWords(metres, unit)) - 1e-9);
      },
    ),
  );
});
