import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { judgeDrive } from './judge';
import { houseDefault } from './provenance';
import type { Limit, Standard } from './standard';
import { fromCatalogue } from './templates/from-catalogue';
import { findTemplate } from './templates/templates';
import { tally } from './templates/tally';
import { countMarks, describeMissing, inWords, joinWords, limitName, reasonSentence, verdictSentence } from './wording';

const mark = (item: string, grade: string) => ({ type: 'mark', item, grade }) as const;
const twoOf = (scope: Limit['scope']): Standard => ({
  ...tally,
  limits: [
    {
      code: 'few',
      name: 'Few faults',
      scope,
      measure: { kind: 'count', grades: ['driving'] },
      allowed: houseDefault(1, 'test'),
      effect: { kind: 'fail-test' },
    },
  ],
});
const looks = [mark('junctions.observation', 'driving'), mark('junctions.observation', 'driving')];

describe('numbers and lists in words', () => {
  it('write small numbers out', () => {
    expect([0, 1, 12, 13, 100].map(inWords)).toEqual(['no', 'one', 'twelve', '13', '100']);
  });

  it('join with commas and one "and"', () => {
    expect(joinWords([])).toBe('');
    expect(joinWords(['a'])).toBe('a');
    expect(joinWords(['a', 'b'])).toBe('a and b');
    expect(joinWords(['a', 'b', 'c'])).toBe('a, b and c');
  });

  it('count marks gravest first', () => {
    const { marks } = foldDrive(fullTest([...looks, mark('signs.lights', 'dangerous')]));
    expect(countMarks(tally, marks)).toBe('one dangerous fault and two driving faults');
  });
});

describe('a reason', () => {
  it.each([
    [{ kind: 'test' } as const, 'Two driving faults, where one is allowed.'],
    [{ kind: 'category' } as const, 'Two driving faults (Few faults, Junctions), where one is allowed.'],
    [{ kind: 'item' } as const, 'Two driving faults (Few faults, Junctions: looking), where one is allowed.'],
  ])('names its scope (%#)', (scope, sentence) => {
    const standard = twoOf(scope);
    const [reason] = judgeDrive(standard, foldDrive(fullTest(looks))).reasons;
    expect(reasonSentence(standard, reason!)).toBe(sentence);
  });

  it('names an exercise and a class too', () => {
    const limit = (scope: Limit['scope']) => ({ limit: twoOf(scope).limits[0]! });
    expect(limitName(tally, { ...limit({ kind: 'exercise' }), scope: 'bay' })).toBe('Few faults, Bay park');
    expect(limitName(tally, { ...limit({ kind: 'class' }), scope: 'observation' })).toBe('Few faults, observation');
  });
});

describe('what is missing', () => {
  it('is said with what there is and what is needed', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [9, { type: 'pin' }],
        [9.5, { type: 'pin' }],
        [10, { type: 'ended', ending: 'completed' }],
      ]),
    );
    const verdict = judgeDrive(tally, drive);
    expect(verdict.missing.map(describeMissing)).toEqual([
      'two pins are not settled',
      '10 min driven, 30 min needed',
      '0 min of independent driving, 10 min needed',
    ]);
    expect(verdictSentence(tally, verdict)).toMatch(/^No verdict yet: two pins are not settled, 10 min .* and 0 min /);
  });
});

describe('templates', () => {
  it('are found by id', () => {
    expect(findTemplate('tally')).toBe(tally);
    expect(findTemplate('none')).toBeUndefined();
  });

  it('cannot list what the catalogue does not have', () => {
    expect(() => fromCatalogue('flying', [])).toThrow('no category "flying"');
    expect(() => fromCatalogue('junctions', ['hovering'])).toThrow('no behaviour "junctions.hovering"');
  });
});
