import fc from 'fast-check';
import type { DriveEvent, EventBody } from '../drive/event';
import { testKindOf } from './test-kind';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { anyLog } from '../drive/testing-arbitraries';
import { judgeDrive } from './judge';
import type { EffectiveStandard } from './standard';
import { attemptsYard, tally, templates, timedYard } from './testing-standards';
import { anyLogUnder, anyStandard } from './testing-arbitraries';
import { judgeUnder } from './compare/translate';
import { conflictSentence, failedAttemptWords, verdictSentence } from '@jasperwren/words/marking/verdict';

const judge = (standard: EffectiveStandard, log: readonly DriveEvent[]) => judgeDrive(standard, foldDrive(log));
const exercise = (code: string): EventBody => ({ type: 'section', section: 'exercise', exercise: code });
const mark = (item: string, grade: string, more: object = {}): EventBody => ({ type: 'mark', item, grade, ...more });
const ended: EventBody = { type: 'ended', ending: 'completed' };

describe.each(templates.map((standard) => [standard.name, standard] as const))('any log under %s', (_, standard) => {
  it('is judged under its own standard as it is judged at home', () => {
    fc.assert(
      fc.property(anyLogUnder(standard), (log) => {
        const drive = foldDrive(log);
        expect(judgeUnder(standard, { ...standard }, drive).verdict).toEqual(judgeDrive(standard, drive));
      }),
      { numRuns: 60 },
    );
  });

  it('is judged the same in any order and with events that are there twice', () => {
    const shuffled = anyLogUnder(standard).chain((log) =>
      fc.tuple(fc.constant(log), fc.shuffledSubarray([...log, ...log], { minLength: 2 * log.length })),
    );
    fc.assert(
      fc.property(shuffled, ([log, twice]) => expect(judge(standard, twice)).toEqual(judge(standard, log))),
      { numRuns: 60 },
    );
  });

  it('never passes where it failed with one fault fewer', () => {
    const more = anyLogUnder(standard).chain((log) => fc.tuple(fc.constant(log), fc.nat()));
    fc.assert(
      fc.property(more, ([log, which]) => {
        const faults = log.filter((event) => event.type === 'mark' && event.measured === undefined);
        const one = faults[which % Math.max(1, faults.length)];
        const fewer = log.filter((event) => event !== one);
        if (judge(standard, fewer).outcome === 'fail') expect(judge(standard, log).outcome).not.toBe('pass');
      }),
      { numRuns: 100 },
    );
  });

  it('keeps every mark in a comparison, whichever way it is converted', () => {
    fc.assert(
      fc.property(anyLogUnder(standard), fc.constantFrom(...templates), (log, to) => {
        const drive = foldDrive(log);
        const { translations } = judgeUnder(standard, to, drive);
        expect(translations.map((entry) => entry.mark.id)).toEqual(
          drive.marks.filter(({ struck }) => !struck).map(({ id }) => id),
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('any log under any sound standard', () => {
  it('ends in a result or in why there is none, the same in any order', () => {
    const both = anyStandard(true).chain((standard) =>
      fc.tuple(fc.constant(standard), fc.oneof(anyLog, anyLogUnder(standard), anyLogUnder(timedYard))),
    );
    fc.assert(
      fc.property(both, ([standard, log]) => {
        const verdict = judge(standard, log);
        expect(verdict.outcome === 'incomplete').toBe(
          verdict.missing.length > 0 && verdict.reasons.length === 0 && verdict.stops.length === 0,
        );
        expect(verdictSentence(standard, verdict)).toMatch(/^(Pass|Fail|No result yet|Not judged)[:, ].+\.$/);
        expect(judge(standard, [...log].reverse())).toEqual(verdict);
      }),
      { numRuns: 200 },
    );
  });
});

describe('one fault seen by two', () => {
  const seen = (grades: readonly [string, string]) =>
    foldDrive([
      ...fullTest([mark('signs.lights', grades[0])]),
      ...logOf([[1.1, mark('signs.lights', grades[1])]], 'back'),
    ]);

  it('fails elsewhere by the graver of the two, in either order', () => {
    for (const to of templates.filter(({ requirements }) => requirements.every(({ kind }) => kind !== 'exercise'))) {
      const [one, other] = [seen(['driving', 'serious']), seen(['serious', 'driving'])].map((drive) =>
        judgeUnder(tally, to, drive),
      );
      expect([to.id, one!.verdict.outcome]).toEqual([to.id, other!.verdict.outcome]);
      if (one!.translations.every((entry) => 'grade' in entry && entry.grade.sign !== 'counted'))
        expect([to.id, one!.verdict.outcome]).toEqual([to.id, 'fail']);
    }
    expect(
      judgeUnder(
        tally,
        templates.find(({ id }) => id === 'graded')!,
        seen(['serious', 'driving']),
      ).verdict.outcome,
    ).toBe('fail');
  });
});

describe('a standard that has no place for a drive', () => {
  it('gives no result, and says so', () => {
    const road = foldDrive(fullTest([mark('roundabouts.lane', 'driving'), mark('signs.lights', 'driving')]));
    const { verdict } = judgeUnder(tally, timedYard, road);
    expect(verdict).toMatchObject({
      outcome: 'incomplete',
      reasons: [],
      missing: [{ kind: 'another-kind', driven: 'road' }],
    });
    expect(verdictSentence(timedYard, verdict)).toBe(
      'Not judged: this was a test on roads, and this standard is for a test in a yard.',
    );
    // Nor the other way round, however clean a yard was driven; and between two yards only where an exercise is shared.
    const clean = foldDrive(fullTest([], 'attempts-yard'));
    for (const { outcome, missing } of templates
      .filter((one) => testKindOf(one) === 'road')
      .map((one) => judgeUnder(attemptsYard, one, clean).verdict))
      expect([outcome, missing[0]!.kind]).toEqual(['incomplete', 'another-kind']);
    const bare = judgeUnder(attemptsYard, timedYard, clean).verdict;
    expect(verdictSentence(timedYard, bare)).toContain('none of its exercises was driven');
  });

  it('says of a mark how many items it fits', () => {
    const yard = foldDrive(
      logOf([
        [0, start('timed-yard')],
        [1, mark('slope.line', 'fail')],
      ]),
    );
    const [entry] = judgeUnder(timedYard, attemptsYard, yard).translations;
    expect(entry).toMatchObject({ fits: 7 });
  });
});

describe('a measured value and a grade that contradict each other', () => {
  const rolled = (measured: number, grade: string) =>
    fullTest([mark('slope.roll-back', grade, { measured })], 'timed-yard');
  const byGrade: EffectiveStandard = {
    ...timedYard,
    categories: timedYard.categories.map((category) => ({
      ...category,
      items: category.items.map((item) =>
        item.measured ? { ...item, measured: { ...item.measured, counts: 'grade' } } : item,
      ),
    })),
  };

  it('are shown, and the standard says which of them counts', () => {
    const verdict = judge(timedYard, rolled(40, 'demerit'));
    expect(verdict).toMatchObject({ outcome: 'fail', conflicts: [{ byValue: 'fail', counts: 'value' }] });
    expect(conflictSentence(timedYard, verdict.conflicts[0]!)).toBe(
      'Slope: rolled back: 40 cm means failing error in this standard, but you gave demerit. The measurement counts.',
    );
    expect(judge(byGrade, rolled(40, 'demerit'))).toMatchObject({
      failedExercises: [],
      conflicts: [{ counts: 'grade' }],
    });
    expect(judge(timedYard, rolled(20, 'demerit')).conflicts).toEqual([]);
  });

  it('count for nothing where the value is within what is allowed', () => {
    expect(judge(timedYard, rolled(10, 'fail'))).toMatchObject({
      failedExercises: [],
      conflicts: [{ byValue: undefined }],
    });
    expect(judge(byGrade, rolled(10, 'fail')).outcome).toBe('fail');
  });
});

describe('attempts at an exercise', () => {
  const failed: EventBody = { type: 'attempt', result: 'failed' };
  const dock = (...bodies: EventBody[]) =>
    judge(
      { ...attemptsYard, requirements: [{ kind: 'exercise', exercise: 'alley-left' }] },
      logOf([[0, start('attempts-yard')], ...bodies.map((body, i) => [i + 1, body] as const), [20, ended]]),
    );

  it('fail the exercise when the last of them failed', () => {
    expect(dock(exercise('alley-left'), failed, exercise('alley-left'), failed)).toMatchObject({
      outcome: 'fail',
      failedExercises: [{ limit: { code: 'failed-alley-left' }, crossedAtMs: 240_000 }],
    });
  });

  it('pass the exercise when the second of them succeeds', () => {
    expect(dock(exercise('alley-left'), failed, exercise('alley-left')).outcome).toBe('pass');
  });

  it('leave the test without a result while one is left', () => {
    const verdict = dock(exercise('alley-left'), failed);
    expect(verdict).toMatchObject({ outcome: 'incomplete', missing: [{ kind: 'exercise', attempted: true }] });
    expect(verdictSentence(attemptsYard, verdict)).toBe(
      'No result yet: no successful attempt at alley dock left. So far: would pass, no faults.',
    );
  });

  it('are all told, also the first that failed by the instructor’s word', () => {
    const verdict = dock(exercise('alley-left'), failed, exercise('alley-left'), failed);
    expect(failedAttemptWords(attemptsYard, verdict).map(({ words }) => words)).toEqual([
      'Alley dock left: said by the instructor.',
      'Alley dock left: said by the instructor.',
    ]);
  });

  it('say nothing outside an exercise', () => {
    expect(dock(failed, exercise('alley-left'), { type: 'section', section: 'guided' }, failed).outcome).toBe('pass');
  });

  it('fail by four movements, and the test only when none is left', () => {
    const movements: EventBody[] = Array.from({ length: 4 }, () => ({ type: 'step', step: 'movement' }));
    const park = (...bodies: EventBody[]) =>
      judge(
        { ...attemptsYard, requirements: [] },
        logOf([[0, start('attempts-yard')], ...bodies.map((body, i) => [i + 1, body] as const), [20, ended]]),
      );
    const once = [exercise('parallel-left'), ...movements];
    expect(park(...once, exercise('parallel-left')).outcome).toBe('pass');
    expect(park(...once, ...once)).toMatchObject({ outcome: 'fail', failedAttempts: [{}, {}] });
  });
});

describe('a test whose car never moved', () => {
  it('has no result, though it was completed', () => {
    const log = logOf([
      [0, { ...start('reversing-area'), briefing: true }],
      [1, exercise('reverse')],
      [25, ended],
    ]);
    const verdict = judge(
      templates.find(({ id }) => id === 'reversing-area')!,
      log,
    );
    expect(verdict.outcome).toBe('incomplete');
    expect(verdict.missing).toContainEqual({ kind: 'not-moved-off' });
  });

  it('counts a section from the moving off, not from before', () => {
    const log = logOf([
      [0, { ...start(), briefing: true }],
      [5, { type: 'section', section: 'independent' }],
      [25, { type: 'moved-off' }],
      [40, ended],
    ]);
    expect(judge(tally, log).missing).toEqual([{ kind: 'driving-time', haveMs: 15 * 60_000, needMin: 30 }]);
    const never = judge(
      tally,
      log.filter(({ type }) => type !== 'moved-off'),
    );
    expect(never.missing).toContainEqual({ kind: 'section-time', section: 'independent', haveMs: 0, needMin: 10 });
  });
});

describe('marks at the edges', () => {
  const slope = (...more: readonly (readonly [number, EventBody])[]) =>
    judge(
      timedYard,
      logOf([[0, start('timed-yard')], [1, exercise('slope')], [2, { type: 'section', section: 'guided' }], ...more]),
    );

  it('made after the end count, at the end', () => {
    const log = [...fullTest([]), ...logOf([[55, mark('signs.lights', 'serious')]], 'back')];
    expect(judge(tally, log)).toMatchObject({ outcome: 'fail', reasons: [{ crossedAtMs: 40 * 60_000 }] });
  });

  it('of a finished exercise count for that exercise', () => {
    expect(slope([3, mark('slope.line', 'fail')]).failedExercises).toMatchObject([{ scope: 'slope' }]);
    expect(
      slope([3, mark('whole.finish', 'demerit')]).headroom.filter(({ scope, used }) => scope === 'slope' && used > 0),
    ).toMatchObject([{ limit: { code: 'time-slope' } }]);
  });

  it('at the same instant are taken in the order of the log, whatever their ids', () => {
    const two = (ids: readonly [string, string]) =>
      judge(tally, [
        ...fullTest([]),
        ...logOf(
          Array.from(
            { length: 16 },
            (_, i) => [5, mark(i % 2 ? 'signs.lights' : 'signs.amber', 'driving'), `${ids[i % 2]}-${i}`] as const,
          ),
          'back',
        ),
      ]).reasons[0]?.crossedBy?.item;
    expect(two(['a', 'b'])).toBe(two(['b', 'a']));
  });
});

describe('very long logs', () => {
  it('of 20,000 events of any kind are judged without recursion', () => {
    const kinds: readonly ((i: number) => EventBody)[] = [
      (i) => ({ type: 'strike', target: `e${i - 1}`, reason: 'Back and forth' }),
      () => mark('signs.lights', 'driving'),
      (i) => exercise(tally.exercises[i % tally.exercises.length]!.code),
      () => ({ type: 'step', step: 'movement' }),
      (i) => ({ type: 'pause', state: i % 2 ? 'paused' : 'resumed' }),
      (i) => ({ type: 'regrade', target: `e${i - 1}`, grade: 'driving' }),
    ];
    for (const kind of [...kinds, (i: number) => kinds[i % kinds.length]!(i)]) {
      const log = logOf([
        [0, start()],
        ...Array.from({ length: 20_000 }, (_, i) => [i / 600, kind(i), `e${i}`] as const),
      ]);
      expect(['fail', 'incomplete']).toContain(judge(tally, log).outcome);
    }
  });
});
