import { adviceWords, dateForLearner, enoughWords, nextAndDate, onDayWords } from '@jasperwren/words/readiness-outlook';
import { chanceLine, chanceSentence, howItCame } from '@jasperwren/words/readiness-estimate';
import { reasonWords } from '@jasperwren/words/readiness-items';
import { graded, tally } from '../marking/testing-standards';
import { defaultAssumptions } from './assumptions';
import { estimate, type Readiness } from './estimate';
import { wholeTest } from './evidence';
import { isEnough, keepFrom, nearlyFrom, testsOf20 } from './judgement';
import { practiceAhead } from './practice';
import { laws, populationOf } from './testing-populations';

const day = 86_400_000;
const dateIn = (on: Date, days: number) => new Date(on.getTime() + days * day).toISOString().slice(0, 10);

/** What every page shows of a readiness, as one text. */
const pages = (readiness: Readiness) => {
  const { judgement, outlook, chance } = readiness;
  const [reason] = judgement.reasons;
  const row = { ...judgement, ...chance, advice: outlook.advice, ...(reason && { reason }) };
  return {
    learner: `${chanceLine(row)} ${nextAndDate(row)}`,
    page: `${chanceSentence(readiness)} ${adviceWords(outlook.advice)}`,
    plan: `${adviceWords(outlook.advice)} ${judgement.word === 'book' ? '' : enoughWords(outlook, outlook.enoughFrom)}`,
    forThem: dateForLearner(outlook.advice) ?? '',
  };
};

describe('what is said of one learner', () => {
  const laws3 = [laws[0]!, laws[1]!, laws[2]!];
  const learners = laws3.flatMap((law, i) => populationOf(tally, law, 340, 30 + i));

  it('is one judgement on every page, for a thousand learners', () => {
    expect(learners.length).toBeGreaterThan(1000);
    const kinds = new Map<string, number>();
    for (const [i, { evidence: driven, on, lessons }] of learners.entries()) {
      const exercises = tally.exercises.map(({ code }) => code);
      const evidence = driven.map((one) => ({ ...one, independentMin: 20, cleanExercises: i % 2 ? exercises : [] }));
      const testDate = i % 4 === 0 ? undefined : dateIn(on, (i % 40) - 2);
      const readiness = estimate({
        ...{ standard: tally, evidence, on, lessons, assumptions: defaultAssumptions, seed: 1 },
        questions: i % 3 === 0 ? 0.5 : 0.95,
        ...(testDate !== undefined && { testDate }),
        effort: { draws: 20, testsEach: 20, asksFailed: false },
      });
      const { judgement, outlook, chance } = readiness;
      const { advice, enoughFrom, onDay } = outlook;
      const ahead = testDate !== undefined && testDate >= dateIn(on, 0);
      kinds.set(advice.kind, (kinds.get(advice.kind) ?? 0) + 1);
      // Booked or kept without a condition where the word is "Ready", and only there.
      expect(judgement.word === 'book').toBe(advice.kind === 'book' || advice.kind === 'keep');
      expect(judgement.word === 'cannot-say').toBe(advice.kind === 'too-early');
      if (['keep', 'keep-if', 'move'].includes(advice.kind)) expect(ahead).toBe(true);
      if (['book', 'wait'].includes(advice.kind)) expect(ahead).toBe(false);
      // Never a later chance below today's, and never enough today beside a chance that is not.
      expect(onDay.chance.mean).toBeGreaterThanOrEqual(chance.mean - 1e-9);
      if (judgement.word === 'book') expect(isEnough(chance.mean)).toBe(true);
      expect(enoughFrom === dateIn(on, 0)).toBe(isEnough(chance.mean));
      if (advice.kind === 'keep-if') expect(testsOf20(onDay.chance.mean)).toBeGreaterThanOrEqual(keepFrom);
      // A high chance that is kept back says why in the same breath.
      const said = pages(readiness);
      if (judgement.word === 'not-yet' && testsOf20(chance.mean) >= nearlyFrom) {
        expect(said.page).toContain(reasonWords(judgement.reasons[0]!));
        expect(said.learner).toContain(reasonWords(judgement.reasons[0]!));
      }
      for (const text of Object.values(said)) if (advice.kind === 'move') expect(text).not.toMatch(/keep/i);
    }
    for (const kind of ['keep', 'keep-if', 'move', 'wait', 'book', 'too-early'])
      expect([kind, (kinds.get(kind) ?? 0) > 3]).toEqual([kind, true]);
  });

  it('believes four clean tests in a row', () => {
    const on = new Date('2026-06-01T23:59:59Z');
    const evidence = [21, 15, 9, 3].map((days) => ({
      ...wholeTest(tally, new Date(on.getTime() - days * day).toISOString(), {
        'signs.lights': { counted: 2, outright: 0 },
      }),
      cleanExercises: tally.exercises.map(({ code }) => code),
    }));
    const { judgement, outlook } = estimate({
      ...{ standard: tally, evidence, on, assumptions: defaultAssumptions, seed: 1, questions: 0.95 },
      testDate: '2026-06-20',
    });
    expect([judgement.word, outlook.advice.kind]).toEqual(['book', 'keep']);
  });
});

describe('what lies ahead', () => {
  const on = new Date('2026-06-01T23:59:59Z');
  const evidence = [20, 12, 4].map((days) =>
    wholeTest(tally, new Date(on.getTime() - days * day).toISOString(), {
      'signs.lights': { counted: 9, outright: 0 },
    }),
  );
  const lesson = (date: string) => ({ start: `${date}T10:00`, areas: [] });

  it('goes by the lessons that are booked, and then on at their pace', () => {
    const booked = ['2026-06-03', '2026-06-05', '2026-06-10', '2026-06-12', '2026-06-15'].map(lesson);
    const ahead = practiceAhead(evidence, booked, on, new Date('2026-06-30T00:00:00Z'));
    expect(ahead.pace).toMatchObject({ by: 'booked', perWeek: expect.closeTo(2.6, 1) });
    expect(ahead.lessons).toBeCloseTo(5 + 2 * ahead.pace.perWeek, 0);
    expect(practiceAhead(evidence, booked, on, new Date('2026-06-06T00:00:00Z')).lessons).toBe(2);
  });

  it('goes by the last four weeks where none is booked, and says so', () => {
    const ahead = practiceAhead(evidence, [], on, new Date('2026-06-29T23:59:59Z'));
    expect(ahead.pace).toEqual({ by: 'lately', perWeek: 0.75 });
    expect(ahead.lessons).toBeCloseTo(3, 6);
    const { outlook } = estimate({ standard: tally, evidence, on, assumptions: defaultAssumptions, seed: 1 });
    expect(onDayWords(outlook, '13 July', false)).toBe('On 13 July, with 1 lesson a week, as in the last four weeks:');
  });

  it('is the same under a standard that has to be simulated', () => {
    const driven = evidence.map((one) => ({ ...one, standard: graded.id }));
    const asked = { standard: graded, evidence: driven, on, assumptions: defaultAssumptions, seed: 1 };
    const { outlook, chance } = estimate({ ...asked, testDate: '2026-06-01' });
    expect(outlook.onDay.chance).toEqual(chance);
    expect(chance.tests).toBeGreaterThan(0);
  });

  it('says when the last drives differ from the ones before', () => {
    const faults = [12, 14, 12, 13, 1, 0, 1].map((counted, i) =>
      wholeTest(tally, new Date(on.getTime() - (50 - 7 * i) * day).toISOString(), {
        'signs.lights': { counted, outright: 0 },
      }),
    );
    const asked = { standard: tally, evidence: faults, on, assumptions: defaultAssumptions, seed: 1 };
    const changed = estimate(asked);
    expect(changed.change).toMatchObject({ drives: 3, to: 'fewer' });
    expect(howItCame(changed, defaultAssumptions).join(' ')).toContain('clearly fewer faults');
    const steady = estimate({ ...asked, evidence: faults.slice(0, 4) });
    expect(steady.change).toBeUndefined();
    // It follows: what came before does not hold it where it was.
    const { points } = { points: changed.expected.counted };
    expect(points).toBeLessThan(6);
  });
});
