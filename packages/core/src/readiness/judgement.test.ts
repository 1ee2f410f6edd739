import { tally } from '../marking/testing-standards';
import { foldDrive } from '../drive/fold';
import { logOf, start } from '../drive/testing';
import { defaultAssumptions } from './assumptions';
import { brierScore, baseRateScore, calibrationOf, reliability, resultsWanted } from './calibration';
import { checklist } from './checklist';
import { asOf, estimate, estimateBefore, history } from './estimate';
import { evidenceOfDrive, evidenceOfSheet, totalOf, type Evidence } from './evidence';
import { judgeReadiness } from './judgement';
import { nextWords, reasonWords, testDays } from '@jasperwren/words/readiness-items';
import { chanceSentence, forTheLearner, howItCame } from '@jasperwren/words/readiness-estimate';
import { cleanDrive } from './testing-learners';

const on = new Date('2026-06-01T12:00:00Z');
const exercises = tally.exercises.map(({ code }) => code);
const drive = (days: number, more: Partial<Evidence> = {}) =>
  cleanDrive(new Date(on.getTime() - days * 86_400_000).toISOString(), { cleanExercises: exercises, ...more });
const clean = [drive(30), drive(20), drive(12), drive(5), drive(2)];
const failing = (evidence: readonly Evidence[], questions = 0.95) =>
  checklist(tally, evidence, on, questions).flatMap(({ code, ok }) => (ok ? [] : [code]));
const asked = (evidence: readonly Evidence[], questions = 0.95, day = on) =>
  estimate({ standard: tally, evidence, on: day, assumptions: defaultAssumptions, questions, seed: 1 });

describe('evidence', () => {
  it('is what a drive holds: marks by behaviour, minutes, roads, help with and without a mark', () => {
    const folded = foldDrive(
      logOf([
        [0, start()],
        [2, { type: 'mark', item: 'junctions.observation', grade: 'driving' }],
        [2.1, { type: 'prompt' }],
        [9, { type: 'prompt' }],
        [10, { type: 'mark', item: 'signs.lights', grade: 'serious' }],
        [11, { type: 'section', section: 'exercise', exercise: 'bay' }],
        [14, { type: 'section', section: 'independent' }],
        [20, { type: 'ended', ending: 'completed' }],
        [21, { type: 'roads', familiarity: 'known' }],
      ]),
    );
    expect(evidenceOfDrive(tally, folded)).toMatchObject({
      counts: { 'junctions.observation': { counted: 1, outright: 0 }, 'signs.lights': { counted: 0, outright: 1 } },
      exposure: 0.5,
      minutes: 20,
      independentMin: 6,
      familiarity: 'known',
      prompts: 2,
      promptsAlone: 1,
      cleanExercises: ['bay'],
      completed: true,
    });
  });

  it('is what a sheet holds', () => {
    const sheet = evidenceOfSheet(tally, [{ item: 'signs.lights', grade: 'dangerous', count: 2 }], '2026-05-01');
    expect([totalOf(sheet, 'outright'), totalOf(sheet, 'counted'), sheet.familiarity]).toEqual([2, 0, 'new']);
  });
});

describe('the checklist', () => {
  it('is complete after a row of clean tests on strange roads', () => expect(failing(clean)).toEqual([]));

  it.each([
    ['evidence', clean.slice(-2), 0.95],
    ['evidence', clean.map((one) => ({ ...one, completed: false })), 0.95],
    ['last-two', [...clean, drive(1, { counts: { 'signs.lights': { counted: 0, outright: 1 } } })], 0.95],
    ['last-two', [...clean, drive(1, { interventions: 1 })], 0.95],
    ['unfamiliar', clean.map((one) => ({ ...one, familiarity: 'partly' as const })), 0.95],
    ['independent', clean.map((one) => ({ ...one, independentMin: 12 })), 0.95],
    ['exercises', clean.map((one) => ({ ...one, cleanExercises: ['bay'] })), 0.95],
    ['questions', clean, 0.89],
    ['prompts', clean.map((one) => ({ ...one, prompts: 2 })), 0.95],
  ] as const)('misses “%s”', (code, evidence, questions) => expect(failing(evidence, questions)).toContain(code));

  it('looks back eight weeks and no further', () => {
    expect(failing(clean.map((one) => ({ ...one, at: drive(57).at })))).toContain('evidence');
  });
});

describe('the judgement', () => {
  const all = checklist(tally, clean, on, 0.95);
  const few = (code: string) => all.map((check) => (check.code === code ? { ...check, ok: false } : check));
  const at = (mean: number) => ({ mean, from: mean - 0.1, to: Math.min(1, mean + 0.1) });

  it.each([
    [0.9, '', 'book'],
    // 15 of 20 is said from here on, and 15 of 20 is enough.
    [0.726, '', 'book'],
    [0.724, '', 'nearly'],
    [0.526, '', 'nearly'],
    [0.9, 'questions', 'nearly'],
    [0.9, 'last-two', 'not-yet'],
    [0.524, '', 'not-yet'],
    [0.99, 'evidence', 'cannot-say'],
  ])('at %d with “%s” missing is “%s”', (mean, code, word) => {
    const judgement = judgeReadiness(at(mean), few(code));
    expect(judgement.word).toBe(word);
    expect(judgement.reasons.length).toBeGreaterThan(0);
    expect(nextWords(judgement.next)).toMatch(/^[A-Z].*\.$/);
    for (const reason of judgement.reasons) expect(reasonWords(reason)).toMatch(/^[A-Z0-9].*\.$/);
  });

  it('says days, not decimals', () => {
    expect(testDays({ from: 0.66, to: 0.91 })).toBe('13 to 18');
    expect(testDays({ from: 0.99, to: 1 })).toBe('20');
  });
});

describe('the estimate', () => {
  it('with nothing driven cannot say', () => {
    const { judgement, drives } = asked([]);
    expect([judgement.word, drives]).toEqual(['cannot-say', 0]);
    expect(chanceSentence(asked([]))).toContain('No mock tests yet');
    const driven = { ...asked([]), drives: 1, sheets: 2 };
    const chance = { ...driven.chance, mean: 0.8, from: 0.61, to: 0.9 };
    const ready = { ...driven, judgement: { ...driven.judgement, word: 'book' as const } };
    expect(chanceSentence({ ...ready, chance })).toBe(
      'Would pass about 16 of 20 tests (range 12 to 18). Based on 1 mock test and 2 driving tests.',
    );
    expect(chanceSentence({ ...ready, chance: { ...chance, from: 0.79, to: 0.81 } })).toContain('20 tests. Based');
  });

  it('books the clean, and tells the others what would change it', () => {
    expect(asked(clean).judgement.word).toBe('book');
    const habit = clean.map((one) => ({ ...one, counts: { 'signs.lights': { counted: 0, outright: 1 } } }));
    const { judgement, changes, chance } = asked(habit);
    expect(judgement.word).toBe('not-yet');
    expect(changes[0]).toMatchObject({ category: 'signs' });
    expect(changes[0]!.chance).toBeGreaterThan(chance.mean);
    expect(changes[0]!.outright).toBeGreaterThan(3 * changes[1]!.outright);
  });

  it('is told in words, with its drives, and to a learner without statistics', () => {
    const readiness = asked(clean);
    expect(chanceSentence(readiness)).toMatch(/^Would pass about \d+ of 20 tests.* Based on 5 mock tests\.$/);
    expect(howItCame(readiness, defaultAssumptions).join(' ')).toContain('half after 120 days');
    expect(forTheLearner(readiness, 'Ada').join(' ')).not.toMatch(/interval|prior|%/);
  });

  it('is the same all day, and the next day another', () => {
    const at = (time: string) => asked([...clean, drive(-0.4)], undefined, asOf(new Date(`2026-06-01T${time}Z`)));
    expect(at('00:00:00')).toEqual(at('23:59:59'));
    expect(at('00:00:00').drives).toBe(6);
    expect(asOf(new Date('2026-06-02T00:00:00Z'))).not.toEqual(asOf(on));
  });

  it('as of each day knows nothing of later ones', () => {
    const question = { standard: tally, evidence: clean, assumptions: defaultAssumptions, seed: 3 };
    const whole = history(question);
    const early = history({ ...question, evidence: clean.slice(0, 3) });
    expect(whole.slice(0, 3)).toEqual(early);
    const asked = { standard: tally, assumptions: defaultAssumptions };
    const before = estimateBefore({ ...asked, evidence: clean }, '2026-05-15');
    expect(before).toEqual(estimateBefore({ ...asked, evidence: clean.slice(0, 2) }, '2026-05-15'));
  });
});

describe('calibration', () => {
  const said = (chance: number, passed: boolean) => ({ chance, passed });

  it('is the mean squared distance, by hand', () => {
    // (0.2)^2 + (0.6)^2 + (0.5)^2 = 0.04 + 0.36 + 0.25, over three.
    const outcomes = [said(0.8, true), said(0.6, false), said(0.5, true)];
    expect(brierScore(outcomes)).toBeCloseTo(0.65 / 3, 12);
    expect(baseRateScore(outcomes)).toBeCloseTo(2 / 9, 12);
  });

  it('groups by fifths', () => {
    expect(reliability([said(0.05, false), said(0.81, true), said(1, true), said(0.85, false)])).toEqual([
      { from: 0, to: 0.2, meanChance: 0.05, passed: 0, of: 1 },
      { from: 0.8, to: 1, meanChance: expect.closeTo(0.8867, 3), passed: 2, of: 3 },
    ]);
  });

  it('says how many results are missing, and a tendency only where the numbers bear it', () => {
    expect(calibrationOf([said(0.9, false)])).toMatchObject({ results: 1, missing: resultsWanted - 1 });
    const hopeful = Array.from({ length: 30 }, (_, i) => said(0.9, i % 2 === 0));
    expect(calibrationOf(hopeful).tendency).toBe('too-hopeful');
    const fair = Array.from({ length: 30 }, (_, i) => said(0.5, i % 2 === 0));
    expect(calibrationOf(fair).tendency).toBeUndefined();
    const gloomy = Array.from({ length: 30 }, () => said(0.5, true));
    expect(calibrationOf(gloomy).tendency).toBe('too-gloomy');
  });
});
