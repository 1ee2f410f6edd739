import fc from 'fast-check';
import type { Mark } from '../drive/drive';
import { parseStandardFile, standardFile } from '../formats/standard-file';
import { contradictionsIn } from './check';
import { rulesOf } from './rules';
import { addMark, scoreMarks } from './score';
import type { Standard } from './standard';
import { anyMarks, anyStandard } from './testing-arbitraries';
import { verdictOf } from './verdict';

const judge = (standard: Standard, marks: readonly Mark[]) => verdictOf(scoreMarks(rulesOf(standard), marks));
const withMarks = (withCaps: boolean) =>
  anyStandard(withCaps).chain((standard) => fc.tuple(fc.constant(standard), anyMarks(standard)));

describe('laws over standards that nobody wrote', () => {
  it('never turns a fail into a pass by one mark more at the end, caps and all', () => {
    fc.assert(
      fc.property(withMarks(true), ([standard, marks]) => {
        const before = judge(standard, marks.slice(0, -1));
        fc.pre(before.outcome === 'fail');
        expect(judge(standard, marks).outcome).toBe('fail');
      }),
    );
  });

  it('never turns a fail into a pass by one mark more anywhere, without caps', () => {
    fc.assert(
      fc.property(withMarks(false), fc.nat(24), ([standard, marks], i) => {
        const fewer = marks.filter((_, at) => at !== i);
        fc.pre(judge(standard, fewer).outcome === 'fail');
        expect(judge(standard, marks).outcome).toBe('fail');
      }),
    );
  });

  it('does not depend on the order of categories and items', () => {
    fc.assert(
      fc.property(withMarks(true), ([standard, marks]) => {
        const turned = {
          ...standard,
          categories: [...standard.categories].reverse().map((c) => ({ ...c, items: [...c.items].reverse() })),
        };
        const [a, b] = [judge(standard, marks), judge(turned, marks)];
        expect(b.outcome).toBe(a.outcome);
        expect(b.reasons.map(({ limit, scope, crossedAtMs }) => [limit.code, scope, crossedAtMs])).toEqual(
          a.reasons.map(({ limit, scope, crossedAtMs }) => [limit.code, scope, crossedAtMs]),
        );
      }),
    );
  });

  it('lets no cap be exceeded, and frees what a cap frees', () => {
    fc.assert(
      fc.property(withMarks(true), ([standard, marks]) => {
        const capped = new Set(judge(standard, marks).capped);
        const seen = new Map<string, { marked: number; counted: number }>();
        for (const mark of marks) {
          const cap = standard.caps.find((c) => c.items.includes(mark.item) && c.grades.includes(mark.grade));
          if (!cap) {
            expect(capped.has(mark)).toBe(false);
            continue;
          }
          const key = cap.over === 'each' ? `${cap.code} ${mark.item}` : cap.code;
          const use = seen.get(key) ?? { marked: 0, counted: 0 };
          seen.set(key, { marked: use.marked + 1, counted: use.counted + (capped.has(mark) ? 0 : 1) });
        }
        for (const [key, { marked, counted }] of seen) {
          const { free, atMost } = standard.caps.find(({ code }) => code === key.split(' ')[0])!;
          expect(counted).toBe(Math.min(Math.max(0, marked - free!.value), atMost!.value));
        }
      }),
    );
  });

  it('judges mark by mark as it judges all at once', () => {
    fc.assert(
      fc.property(withMarks(true), ([standard, marks]) => {
        const stepwise = marks.reduce(addMark, scoreMarks(rulesOf(standard), []));
        expect(verdictOf(stepwise)).toEqual(judge(standard, marks));
      }),
    );
  });

  it('reads back from its file what was written, where nothing contradicts itself', () => {
    fc.assert(
      fc.property(anyStandard(true), (standard) => {
        const source = JSON.stringify(standardFile(standard));
        const problems = contradictionsIn(standard);
        expect(parseStandardFile(source)).toEqual(
          problems.length === 0
            ? { ok: true, value: standard }
            : { ok: false, problems: problems.map(({ path, cause }) => ({ path: `/standard${path}`, cause })) },
        );
      }),
    );
  });
});
