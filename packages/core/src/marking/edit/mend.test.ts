import { blankStandard } from '../blank';
import { lintStandard } from '../lint/lint';
import type { Problem } from '../lint/problem';
import { setBySchool } from '../provenance';
import type { Cap, Limit, Standard } from '../standard';
import { attemptsYard, tally, timedYard } from '../testing-standards';
import { added, inList, withField, without, type Change } from './change';
import { setCourse, withNewExercise } from './exercises';
import { inItem, withNewCategory } from './items';
import { withNewCap } from './limits';
import { mendOf } from './mend';

const names = {
  failing: (grade: string) => `${grade} in all`,
  failedExercises: 'Exercises failed',
  failedAttempts: (exercise: string) => `Failed attempts at ${exercise}`,
};

const limitLike = (changes: Partial<Limit>): Change =>
  added('limits', {
    code: 'made-up',
    name: 'Made up',
    scope: { kind: 'test' },
    measure: { kind: 'count', grades: ['driving'] },
    allowed: setBySchool(3),
    effect: { kind: 'fail-test' },
    ...changes,
  });
const capLike = (changes: Partial<Cap>): Change => {
  const cap: Change = withNewCap('Made up');
  return (standard) => inList('caps', 'own-1', (is) => ({ ...is, ...changes }))(cap(standard));
};
const rolled = 'slope.roll-back';
const band = (changes: object): Change =>
  inItem(rolled, (item) => ({
    ...item,
    measured: { ...item.measured!, bands: item.measured!.bands.with(0, { ...item.measured!.bands[0]!, ...changes }) },
  }));

const spoilt: readonly (readonly [Problem['code'], Standard, Change])[] = [
  ['noItems', tally, withNewCategory('Empty')],
  ['notACapital', tally, inList('categories', 'signs', (is) => ({ ...is, letter: '7' }))],
  ['twice', tally, inList('categories', 'signs', (is) => ({ ...is, letter: tally.categories[0]!.letter }))],
  [
    'twice',
    tally,
    inItem('signs.lights', (is) => ({
      ...is,
      letter: tally.categories.find(({ code }) => code === 'signs')!.items[1]!.letter,
    })),
  ],
  ['itemWithoutGrade', tally, inItem('signs.lights', (is) => ({ ...is, grades: [] }))],
  ['gradeNotOfItem', timedYard, inItem(rolled, (is) => ({ ...is, grades: ['demerit'] }))],
  ['emptyBand', timedYard, band({ over: 40, below: 30 })],
  ['otherUnit', timedYard, inItem(rolled, (is) => ({ ...is, measured: { ...is.measured!, unit: 'm' } }))],
  ['limitNotWhole', tally, inList('limits', 'driving-faults', (is) => ({ ...is, allowed: setBySchool(3.5) }))],
  ['limitNegative', tally, inList('limits', 'driving-faults', (is) => ({ ...is, allowed: setBySchool(-1) }))],
  ['allowsTooMuch', tally, inList('limits', 'driving-faults', (is) => ({ ...is, allowed: setBySchool(1e6) }))],
  ['cappedBelow', tally, limitLike({ scope: { kind: 'item', item: 'checks.tell' }, allowed: setBySchool(1) })],
  ['bindsLater', tally, limitLike({ scope: { kind: 'category' }, allowed: setBySchool(20) })],
  ['reachesNoItem', tally, limitLike({ scope: { kind: 'item', item: 'checks.eyesight' } })],
  ['worthNothing', tally, limitLike({ measure: { kind: 'points', grades: ['driving'] } })],
  ['countsNoGrade', tally, limitLike({ measure: { kind: 'count', grades: [] } })],
  ['upgradesNothing', tally, limitLike({ effect: { kind: 'upgrade', grade: 'driving' } })],
  ['noExerciseFails', tally, limitLike({ measure: { kind: 'failed-exercises' } })],
  ['failedExercisesUncounted', timedYard, without('limits', 'exercises')],
  ['failedAttemptsUncounted', attemptsYard, without('limits', 'failed-turn-in-road')],
  ['failsNothing', tally, (standard) => ({ ...standard, limits: standard.limits.slice(0, 1) })],
  ['everybodyPasses', tally, (standard) => ({ ...standard, limits: [] })],
  ['capFreesAll', tally, capLike({ free: setBySchool(30) })],
  ['capCountsNone', tally, capLike({ atMost: setBySchool(0) })],
  [
    'capDoesNothing',
    tally,
    (standard) => inList('caps', 'own-1', withField<Cap, 'atMost'>('atMost', undefined))(capLike({})(standard)),
  ],
  ['notACount', tally, capLike({ atMost: setBySchool(1.5) })],
  ['capOnFailing', tally, capLike({ grades: ['serious'] })],
  [
    'requiresTooLong',
    tally,
    (standard) => ({
      ...standard,
      length: { ...standard.length, totalMin: setBySchool(20), independentMin: setBySchool(5) },
    }),
  ],
  [
    'independentTooLong',
    tally,
    (standard) => ({ ...standard, length: { ...standard.length, independentMin: setBySchool(90) } }),
  ],
  ['courseWithoutExercise', blankStandard('own', 'Own'), setCourse(true)],
  ['scoreWithoutStart', tally, (standard) => ({ ...standard, startScore: setBySchool(0) })],
  ['stepWithoutParts', tally, added('briefing', { kind: 'calls', code: 'x', name: 'X', task: 'X', parts: [] })],
  [
    'otherOrderDiffers',
    tally,
    added('briefing', {
      kind: 'checklist',
      code: 'x',
      name: 'X',
      task: 'X',
      parts: [{ name: 'a' }],
      otherOrder: ['b'],
    }),
  ],
  [
    'noQuestionOf',
    tally,
    added('briefing', { kind: 'questions', code: 'x', name: 'X', task: 'X', items: ['checks.tell', 'signs.lights'] }),
  ],
  [
    'afterItself',
    tally,
    (standard) =>
      inList('exercises', 'own-1', (is) => ({ ...is, next: ['own-1'] }))(withNewExercise({ name: 'X' })(standard)),
  ],
];

describe('what mends a standard', () => {
  it.each(spoilt)('%s', (code, sound, spoil) => {
    const standard = spoil(sound);
    const problem = lintStandard(standard).find(({ is }) => is.code === code);
    expect(problem).toBeDefined();
    const mend = mendOf(standard, problem!, names);
    expect(mend).toBeDefined();
    const mended = mend!.change(standard);
    expect(lintStandard(mended)).not.toContainEqual(problem);
  });

  it('leads to a standard that can be published, however many of its mends it takes', () => {
    for (const [code, sound, spoil] of spoilt) {
      if (sound.categories.length === 0) continue;
      let standard = spoil(sound);
      for (let i = 0; i < 20 && lintStandard(standard).length > 0; i++)
        standard = mendOf(standard, lintStandard(standard)[0]!, names)!.change(standard);
      expect([code, lintStandard(standard)]).toEqual([code, []]);
    }
  });

  it('leaves to a person what only a person can say', () => {
    const [problem] = lintStandard(blankStandard('own', 'Own'));
    expect(problem!.is.code).toBe('noCategories');
    expect(mendOf(blankStandard('own', 'Own'), problem!, names)).toBeUndefined();
  });
});
