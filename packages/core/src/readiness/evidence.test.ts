import { standingWords, toDoWords } from '@jasperwren/words/readiness-items';
import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import { anyLog } from '../drive/testing-arbitraries';
import { tally, templates } from '../marking/testing-standards';
import { checklist, wanted } from './checklist';
import { evidenceOfDrive, evidenceOfSheet, totalOf, type Evidence } from './evidence';
import { cleanDrive } from './testing-learners';

const on = new Date('2026-06-01T12:00:00Z');
const ago = (days: number, more: Partial<Evidence> = {}) =>
  cleanDrive(new Date(on.getTime() - days * 86_400_000).toISOString(), more);

describe('the evidence of any drive', () => {
  it('counts nothing twice and nothing that is not there', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const evidence = evidenceOfDrive(tally, drive);
        // A log that names what the standard does not have says nothing.
        if (!evidence) return;
        const standing = drive.marks.filter(({ struck }) => !struck).length;
        expect(totalOf(evidence, 'counted') + totalOf(evidence, 'outright')).toBeLessThanOrEqual(standing);
        expect(evidence.promptsAlone).toBeLessThanOrEqual(evidence.prompts);
        expect(evidence.interventionsAlone).toBeLessThanOrEqual(evidence.interventions);
        expect(evidence.minutes).toBeGreaterThanOrEqual(0);
        expect(evidence.independentMin).toBeLessThanOrEqual(evidence.minutes + 1e-9);
        expect(evidence.exposure).toBeCloseTo(evidence.minutes / tally.length.totalMin.value, 10);
        for (const { counted, outright } of Object.values(evidence.counts)) {
          expect(Number.isInteger(counted) && counted >= 0).toBe(true);
          expect(Number.isInteger(outright) && outright >= 0).toBe(true);
        }
      }),
    );
  });

  it('does not change with a struck mark', () => {
    fc.assert(
      fc.property(anyLog, fc.nat(1_000_000), (log, atMs) => {
        const stamp = { device: 'front', wall: '2026-05-04T00:00:00.000Z', by: 'instructor', atMs };
        const more = [
          { ...stamp, id: 'more', seq: 900, type: 'mark', item: 'signs.lights', grade: 'serious' } as const,
          { ...stamp, id: 'less', seq: 901, type: 'strike', target: 'more', reason: 'It was green' } as const,
        ];
        const before = evidenceOfDrive(tally, foldDrive(log));
        expect(evidenceOfDrive(tally, foldDrive([...log, ...more]))?.counts).toEqual(before?.counts);
      }),
    );
  });
});

describe('the evidence of a sheet', () => {
  it('counts every mark of every standard once, by what it does to the test', () => {
    for (const standard of templates) {
      const entries = standard.categories.flatMap(({ items }) =>
        items
          .slice(0, 2)
          .flatMap((item) => standard.grades.map(({ code }) => ({ item: item.code, grade: code, count: 2 }))),
      );
      const evidence = evidenceOfSheet(standard, entries, '2026-05-01');
      const weighty = entries.filter(
        ({ grade }) => standard.grades.find(({ code }) => code === grade)?.sign !== 'noted',
      );
      expect([standard.id, totalOf(evidence, 'counted') + totalOf(evidence, 'outright')]).toEqual([
        standard.id,
        2 * weighty.length,
      ]);
    }
  });

  it('stands on its day, whatever the clock of the reader', () => {
    expect(evidenceOfSheet(tally, [], '2026-05-01').at).toBe('2026-05-01T12:00:00.000Z');
  });
});

describe('the checklist at its edges', () => {
  const exercises = tally.exercises.map(({ code }) => code);
  const clean = { cleanExercises: exercises };
  const check = (code: string, evidence: readonly Evidence[], questions = 0.95) =>
    checklist(tally, evidence, on, questions).find((one) => one.code === code)!;

  it.each<[string, string, readonly Evidence[], number, boolean]>([
    ['three drives of thirty minutes are enough', 'evidence', [1, 2, 3].map((d) => ago(d, { minutes: 30 })), 1, true],
    [
      'a minute less is not',
      'evidence',
      [ago(1, { minutes: 29 }), ago(2, { minutes: 30 }), ago(3, { minutes: 30 })],
      1,
      false,
    ],
    ['two long drives are not', 'evidence', [ago(1, { minutes: 80 }), ago(2, { minutes: 80 })], 1, false],
    ['broken off drives do not count', 'evidence', [1, 2, 3].map((d) => ago(d, { completed: false })), 1, false],
    ['eight weeks ago counts', 'evidence', [1, 2, wanted.weeks * 7].map((d) => ago(d)), 1, true],
    ['a day more does not', 'evidence', [1, 2, wanted.weeks * 7 + 1].map((d) => ago(d)), 1, false],
    ['a control taken on the last but one', 'last-two', [ago(1), ago(2, { interventions: 1 }), ago(3)], 1, false],
    ['a control taken before that', 'last-two', [ago(1), ago(2), ago(3, { interventions: 1 })], 1, true],
    ['roads known in part are no strange ones', 'unfamiliar', [ago(1, { familiarity: 'partly' })], 1, false],
    ['three quarters of the independent driving', 'independent', [ago(1, { independentMin: 15 })], 1, true],
    ['less than that', 'independent', [ago(1, { independentMin: 14 })], 1, false],
    [
      'exercises add up over drives',
      'exercises',
      exercises.map((code, i) => ago(i + 1, { cleanExercises: [code] })),
      1,
      true,
    ],
    ['questions at nine of ten', 'questions', [ago(1, clean)], 0.9, true],
    ['questions just below', 'questions', [ago(1, clean)], 0.899, false],
    ['help once in twenty minutes', 'prompts', [ago(1, { minutes: 40, prompts: 2 })], 1, false],
    ['help less often', 'prompts', [ago(1, { minutes: 41, prompts: 2 })], 1, true],
  ])('%s', (_, code, evidence, questions, ok) => {
    const found = check(code, evidence, questions);
    expect(found.ok).toBe(ok);
    expect(standingWords(found)).toMatch(/\.$/);
    expect(toDoWords(found)).toMatch(/\.$/);
  });

  it('asks for no questions and no exercises where the standard has none', () => {
    const codes = checklist({ ...tally, exercises: [] }, [ago(1)], on, undefined).map(({ code }) => code);
    expect(codes).not.toContain('questions');
    expect(codes).not.toContain('exercises');
  });
});
