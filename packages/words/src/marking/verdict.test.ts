import type { EventBody } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { fullTest, logOf, start } from '@jasperwren/core/drive/testing';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { houseDefault } from '@jasperwren/core/marking/provenance';
import type { Limit, EffectiveStandard } from '@jasperwren/core/marking/standard';
import { pointsOff, tally, templates, timedYard } from '@jasperwren/core/marking/testing-standards';
import { findTemplate } from '@jasperwren/core/marking/find-template';
import { fromCatalogue } from '@jasperwren/core/marking/template-parts/from-catalogue';
import { marksAmount } from '@jasperwren/core/marking/result-detail';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import { joinWords } from '../lists';
import { describeMissing, missingWords } from './missing';
import { amountWords, secondsWords } from './amounts';
import { limitName, scopeName } from './names';
import { crossingWords, reasonSentence, verdictSentence } from './verdict';

const mark = (item: string, grade: string) => ({ type: 'mark', item, grade }) as const;
const twoOf = (scope: Limit['scope']): EffectiveStandard => ({
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

describe('lists and counts', () => {
  it('join with commas and one "and"', () => {
    expect(joinWords([])).toBe('');
    expect(joinWords(['a'])).toBe('a');
    expect(joinWords(['a', 'b'])).toBe('a and b');
    expect(joinWords(['a', 'b', 'c'])).toBe('a, b and c');
  });

  it('count marks gravest first', () => {
    const { marks } = foldDrive(fullTest([...looks, mark('signs.lights', 'dangerous')]));
    expect(amountWords(marksAmount(tally, marks))).toBe('1 dangerous fault and 2 driving faults');
  });
});

describe('a reason', () => {
  it.each([
    [{ kind: 'test' } as const, '2 driving faults. 1 allowed.'],
    [{ kind: 'category' } as const, '2 driving faults (Few faults, Junctions). 1 allowed.'],
    [{ kind: 'item' } as const, '2 driving faults (Few faults, Junctions: observation). 1 allowed.'],
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
      '2 pins to name',
      '10 of 30 minutes driven',
      '0 of 10 minutes of independent driving',
    ]);
    expect(verdictSentence(tally, verdict)).toMatch(
      /^No result yet: 2 pins to name, 10 of 30 minutes driven and 0 of /,
    );
  });
});

describe('templates', () => {
  it('are found by id', () => {
    expect(findTemplate('tally')?.name).toBe(tally.name);
    expect(findTemplate('none')).toBeUndefined();
  });

  it('cannot list what the catalogue does not have', () => {
    expect(() => fromCatalogue('flying', [])).toThrow('no category "flying"');
    expect(() => fromCatalogue('junctions', ['hovering'])).toThrow('no behaviour "junctions.hovering"');
  });
});

describe('words for what is not a mark', () => {
  const yard = (seconds: number, more: readonly EventBody[] = []) =>
    judgeDrive(
      timedYard,
      foldDrive(
        logOf([
          [0, start('timed-yard')],
          [0, { type: 'section', section: 'exercise', exercise: 'slope' }],
          ...more.map((body) => [0.5, body] as const),
          [seconds / 60, { type: 'section', section: 'guided' }],
          [15, { type: 'ended', ending: 'completed' }],
        ]),
      ),
    );

  it('name seconds, and what ran out', () => {
    const reason = yard(95).failedExercises[0]!;
    expect(reasonSentence(timedYard, reason)).toBe('95 s (Time of the slope). 90 s allowed.');
    expect(crossingWords(timedYard, reason)).toBe('Time of the slope');
    expect(scopeName(timedYard, reason)).toBe('Slope');
  });

  it('name points with the exercise they are counted in', () => {
    const reason = yard(
      80,
      Array.from({ length: 6 }, () => ({ type: 'mark', item: 'slope.look', grade: 'demerit' }) as const),
    ).failedExercises[0]!;
    expect(reasonSentence(timedYard, reason)).toBe('6 points (Demerits in one exercise, Slope). 5 allowed.');
    expect(crossingWords(timedYard, reason)).toBe('Slope: shoulder not checked');
  });

  it('put missing exercises into one sentence', () => {
    expect(missingWords(yard(80).missing)).toEqual([
      '4 exercises not driven (emergency brake, angle bay at 60 degrees, garage bay at 90 degrees, parallel bay)',
    ]);
    const one = yard(80).missing.slice(0, 1);
    expect(missingWords(one)).toEqual(['emergency brake not driven']);
  });

  it('tell long times in minutes', () => {
    expect([95, 599, 600, 1200, 1265].map(secondsWords)).toEqual(['95 s', '599 s', '10 min', '20 min', '21 min 5 s']);
  });

  it('say what is left of a score that counts down', () => {
    const drive = foldDrive(fullTest([{ type: 'mark', item: 'signals.missed', grade: 'error' }], 'points-off'));
    expect(verdictSentence(pointsOff, judgeDrive(pointsOff, drive))).toBe('Pass: 96 of 100 points (80 needed).');
  });

  it('have a sentence for the verdict of every school on every outright mark', () => {
    for (const standard of templates) {
      for (const { item } of rulesOf(standard).items.values()) {
        for (const grade of gradesOf(standard, item)) {
          const body: EventBody = { type: 'mark', item: item.code, grade: grade.code };
          const verdict = judgeDrive(standard, foldDrive(fullTest([body], standard.id)));
          expect(verdict.missing.map(({ kind }) => kind)).not.toContain('not-judged');
          expect(verdictSentence(standard, verdict)).toMatch(/^(Pass|Fail|No result yet): .+\.$/);
          for (const reason of verdict.reasons)
            expect(reasonSentence(standard, reason)).toMatch(/^[A-Z0-9].+ allowed\.$/);
        }
      }
    }
  });
});
