import { unsaidWords } from '@jasperwren/words/compare';
import type { EventBody } from '../../drive/event';
import { foldDrive } from '../../drive/fold';
import { fullTest } from '../../drive/testing';
import { judgeDrive } from '../judge';
import { judgeSheet, strangeEntries } from '../sheet';
import type { EffectiveStandard } from '../standard';
import { attemptsYard, graded, minorMajor, pointsOff, tally, templates, timedYard } from '../testing-standards';
import { judgeUnder } from './translate';

/** A standard that only adds up. */
const pointsOnly: EffectiveStandard = {
  ...pointsOff,
  grades: pointsOff.grades.filter(({ sign }) => sign === 'counted'),
  limits: pointsOff.limits.filter(({ effect, measure }) => effect.kind === 'fail-test' && measure.kind !== 'count'),
  categories: pointsOff.categories.map((category) => ({
    ...category,
    items: category.items.map(({ grades: _, ...item }) => item),
  })),
};
const mark = (item: string, grade = 'driving', measured?: number): EventBody => ({
  type: 'mark',
  item,
  grade,
  ...(measured !== undefined && { measured }),
});
const drive = (...bodies: EventBody[]) => foldDrive(fullTest(bodies));
const outcome = (to: EffectiveStandard, ...bodies: EventBody[]) =>
  judgeUnder(tally, to, drive(...bodies)).verdict.outcome;

describe('the same drive under another standard', () => {
  it('is judged by the other limits', () => {
    const four = Array.from({ length: 4 }, () => mark('signs.lights'));
    expect(judgeDrive(tally, drive(...four)).outcome).toBe('pass');
    expect(outcome(graded, ...four)).toBe('fail');
    expect(outcome(minorMajor, ...four)).toBe('pass');
    expect(outcome(pointsOff, ...four.slice(2))).toBe('pass');
    expect(outcome(pointsOff, ...four)).toBe('fail');
    expect(outcome(pointsOff, mark('junctions.stop-line', 'serious'))).toBe('fail');
  });

  it('says which grades were read as which', () => {
    const { grades } = judgeUnder(tally, graded, drive(mark('signs.lights'), mark('signs.amber', 'dangerous')));
    expect(grades.map(({ from, to, marks }) => [from.code, to === 'none' ? to : to.code, marks])).toEqual([
      ['driving', 'g2', 1],
      ['dangerous', 'g3', 1],
    ]);
  });

  it('lists what has no place there, and loses no mark', () => {
    for (const to of templates) {
      const bodies = tally.categories.flatMap(({ items }) =>
        items.map((item) => mark(item.code, item.grades?.[0] ?? 'driving')),
      );
      const { translations, verdict } = judgeUnder(tally, to, drive(...bodies));
      expect(translations).toHaveLength(bodies.length);
      expect(verdict.missing.map(({ kind }) => kind)).not.toContain('not-judged');
    }
    const { translations } = judgeUnder(tally, graded, drive(mark('checks.tell'), mark('strange')));
    expect(translations.map((entry) => 'why' in entry && entry.why)).toEqual(['no-such-behaviour', 'unknown-item']);
  });

  it('drops notes where nothing is noted, and says so', () => {
    const noted = foldDrive(fullTest([mark('signs.lights', 'g1')], 'graded'));
    const { translations, grades } = judgeUnder(graded, tally, noted);
    expect(translations).toMatchObject([{ why: 'too-mild' }]);
    // It has its place: as nothing.
    expect(judgeUnder(graded, tally, noted).verdict.missing).toEqual([]);
    expect(grades).toMatchObject([{ to: 'none', marks: 1 }]);
  });

  it('grades a measured value anew by the other standard’s bands', () => {
    const strict: EffectiveStandard = {
      ...attemptsYard,
      categories: timedYard.categories.map((category) => ({
        ...category,
        items: category.items.map((item) =>
          item.measured
            ? {
                ...item,
                grades: ['penalty', 'ends'],
                measured: {
                  ...item.measured,
                  bands: [{ over: 10, grade: 'ends', provenance: { kind: 'house default' as const } }],
                },
              }
            : { ...item, grades: ['penalty'] },
        ),
      })),
    };
    const rolled = (cm: number) =>
      judgeUnder(timedYard, strict, foldDrive(fullTest([mark('slope.roll-back', 'demerit', cm)], 'timed-yard')));
    expect(rolled(20).translations).toMatchObject([{ how: 'measured', grade: { code: 'ends' } }]);
    expect(rolled(9).translations).toMatchObject([{ why: 'within-bands' }]);
  });

  it('says first what was grave at home and has no word here', () => {
    const grave = drive(mark('signs.amber', 'dangerous'), { type: 'intervention' });
    const { unsaid, verdict } = judgeUnder(tally, pointsOnly, grave);
    expect(unsaid).toEqual({ failing: 1, controls: 1 });
    expect(verdict.outcome).toBe('pass');
    expect(unsaidWords(unsaid!)).toEqual([
      '1 fault that alone fails the test under its own standard does not fail it here.',
      'You took control once: this standard does not ask about that.',
    ]);
    expect(judgeUnder(tally, tally, grave).unsaid).toBeUndefined();
    expect(judgeUnder(tally, graded, drive(mark('signs.lights'))).unsaid).toBeUndefined();
  });

  it('is the same drive under its own standard', () => {
    const d = drive(mark('signs.lights'), mark('signs.amber', 'serious'));
    expect(judgeUnder(tally, tally, d).verdict).toEqual(judgeDrive(tally, d));
  });
});

describe('the sheet of a real test', () => {
  const lights = (count: number, grade = 'driving') => [{ item: 'signs.lights', grade, count }];

  it('is judged by its counts and compared with what the authority said', () => {
    expect(judgeSheet(tally, lights(15), 'pass')).toMatchObject({ agrees: true, verdict: { outcome: 'pass' } });
    expect(judgeSheet(tally, lights(16), 'fail').agrees).toBe(true);
    expect(judgeSheet(tally, lights(2), 'fail')).toMatchObject({ agrees: false, verdict: { outcome: 'pass' } });
    expect(judgeSheet(tally, lights(1, 'serious'), 'pass').agrees).toBe(false);
    expect(judgeSheet(timedYard, [], 'pass').agrees).toBe(true);
  });

  it('finds entries the standard does not have', () => {
    expect(
      strangeEntries(tally, [...lights(1), ...lights(1, 'g2'), { item: 'x', grade: 'driving', count: 1 }]),
    ).toHaveLength(2);
  });
});
