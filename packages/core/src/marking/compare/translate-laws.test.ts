import fc from 'fast-check';
import type { Drive } from '../../drive/drive';
import { foldDrive } from '../../drive/fold';
import { fullTest } from '../../drive/testing';
import { differencesBetween } from './difference';
import { judgeDrive } from '../judge';
import { gradesOf, rulesOf } from '../rules';
import { judgeSheet, sheetMarks, type SheetEntry } from '../sheet';
import type { GradeSign, EffectiveStandard } from '../standard';
import { templates } from '../testing-standards';
import { anyMarks, anyStandard } from '../testing-arbitraries';
import { gradeFor, judgeUnder } from './translate';

const driven = foldDrive(fullTest([]));
const anyTemplate = fc.constantFrom(...templates);
const marksUnder = (standard: EffectiveStandard) => anyMarks(standard).map((marks): Drive => ({ ...driven, marks }));
const driveUnder = (standards: fc.Arbitrary<EffectiveStandard>) =>
  standards.chain((standard) => fc.tuple(fc.constant(standard), marksUnder(standard)));

describe('laws of judging under another standard', () => {
  it('places every mark with a grade its item can have, or says why not', () => {
    fc.assert(
      fc.property(driveUnder(anyTemplate), anyTemplate, ([from, drive], to) => {
        const { translations, verdict } = judgeUnder(from, to, drive);
        expect(translations.map(({ mark }) => mark)).toEqual(drive.marks);
        expect(verdict.missing.map(({ kind }) => kind)).not.toContain('not-judged');
        for (const entry of translations) {
          if (!('grade' in entry)) {
            expect(entry.why).toMatch(/^[a-z-]+$/);
            continue;
          }
          expect(gradesOf(to, entry.item)).toContain(entry.grade);
          expect(entry.item.behaviour).toBe(rulesOf(from).items.get(entry.mark.item)?.item.behaviour);
        }
      }),
    );
  });

  it('counts in its list of grades every mark that was read, and no other', () => {
    fc.assert(
      fc.property(driveUnder(anyTemplate), anyTemplate, ([from, drive], to) => {
        const { translations, grades } = judgeUnder(from, to, drive);
        const read = translations.filter((entry) => 'grade' in entry || entry.why === 'too-mild');
        expect(grades.reduce((sum, { marks }) => sum + marks, 0)).toBe(read.length);
      }),
    );
  });

  it('changes nothing under the same standard where each behaviour stands once', () => {
    const once = templates.filter(({ categories }) => {
      const all = categories.flatMap(({ items }) => items.map(({ behaviour }) => behaviour));
      return new Set(all).size === all.length;
    });
    expect(once.length).toBeGreaterThan(4);
    fc.assert(
      fc.property(driveUnder(fc.constantFrom(...once)), ([standard, drive]) => {
        expect(judgeUnder(standard, standard, drive).verdict).toEqual(judgeDrive(standard, drive));
      }),
    );
  });
});

describe('the grade for a severity', () => {
  const order: readonly GradeSign[] = ['noted', 'counted', 'outright', 'highest'];

  it('is never graver for a milder one', () => {
    fc.assert(
      fc.property(fc.subarray([...order], { minLength: 1 }), (signs) => {
        const base = templates[0]!.grades[0]!;
        const grades = signs.map((sign) => ({ ...base, code: sign, sign }));
        const found = order
          .map((sign) => gradeFor(grades, sign))
          .map((grade) => (grade ? order.indexOf(grade.sign) : -1));
        expect([...found].sort((a, b) => a - b)).toEqual(found);
      }),
    );
  });

  it('is the same one where there is the same one', () => {
    for (const standard of templates)
      for (const grade of standard.grades) expect(gradeFor(standard.grades, grade.sign)?.sign).toBe(grade.sign);
  });
});

describe('laws of result sheets', () => {
  const anyEntries = (standard: EffectiveStandard): fc.Arbitrary<readonly SheetEntry[]> => {
    const known = [...rulesOf(standard).items.values()].flatMap(({ item }) =>
      gradesOf(standard, item).map((grade) => ({ item: item.code, grade: grade.code })),
    );
    return fc
      .uniqueArray(fc.nat(known.length - 1), { maxLength: 12 })
      .chain((at) =>
        fc.tuple(...at.map((i) => fc.integer({ min: 1, max: 5 }).map((count) => ({ ...known[i]!, count })))),
      );
  };

  it('make as many marks as are counted', () => {
    fc.assert(
      fc.property(
        anyTemplate.chain((standard) => anyEntries(standard)),
        (entries) => {
          expect(sheetMarks(entries)).toHaveLength(entries.reduce((sum, { count }) => sum + count, 0));
          expect(new Set(sheetMarks(entries).map(({ id }) => id)).size).toBe(sheetMarks(entries).length);
        },
      ),
    );
  });

  it('never lack anything, and agree with exactly one official result', () => {
    fc.assert(
      fc.property(
        anyTemplate.chain((standard) => fc.tuple(fc.constant(standard), anyEntries(standard))),
        ([standard, entries]) => {
          const { verdict } = judgeSheet(standard, entries, 'pass');
          expect(verdict.missing).toEqual([]);
          expect(judgeSheet(standard, entries, 'pass').agrees).toBe(!judgeSheet(standard, entries, 'fail').agrees);
        },
      ),
    );
  });
});

describe('differences of random standards', () => {
  it('are none against themselves and some as soon as a limit moves', () => {
    fc.assert(
      fc.property(anyStandard(true), fc.nat(), (standard, which) => {
        expect(differencesBetween(standard, structuredClone(standard))).toEqual([]);
        const at = which % standard.limits.length;
        const moved = standard.limits.map((limit, i) =>
          i === at ? { ...limit, allowed: { ...limit.allowed, value: limit.allowed.value + 1 } } : limit,
        );
        const found = differencesBetween(standard, { ...standard, limits: moved });
        expect(found).toHaveLength(1);
        expect(found[0]?.where).toEqual([
          { field: 'limits' },
          { name: standard.limits[at]!.name },
          { field: 'allowed' },
        ]);
      }),
    );
  });
});
