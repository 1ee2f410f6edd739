import fc from 'fast-check';
import type { Mark } from '../drive/drive';
import { parseStandardFile, standardFile } from '../formats/standard-file';
import { lintStandard } from './lint/lint';
import { rulesOf } from './rules';
import { addMark, scoreMarks } from './score';
import type { EffectiveStandard } from './standard';
import { anyMarks, anyStandard } from './testing-arbitraries';
import { verdictOf } from './verdict';

const judge = (standard: EffectiveStandard, marks: readonly Mark[]) => verdictOf(scoreMarks(rulesOf(standard), marks));
const withMarks = (withCaps: boolean) =>
  anyStandard(withCaps).chain((standard) => fc.tuple(fc.constant(standard), anyMarks(standard)));

describe('laws over standards that nobody wrote', () => {
  it('never turns a fail into a pass by one mark more, anywhere, caps, points and upgrades included', () => {
    fc.assert(
      fc.property(withMarks(true), fc.nat(24), ([standard, marks], i) => {
        fc.pre(lintStandard(standard).every(({ path }) => !path.startsWith('/caps')));
        const fewer = marks.filter((_, at) => at !== i);
        fc.pre(judge(standard, fewer).outcome === 'fail');
        expect(judge(standard, marks).outcome).toBe('fail');
      }),
      { numRuns: 500 },
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

  it('counts within each limit what its caps let count, and no more', () => {
    fc.assert(
      fc.property(withMarks(true), ([standard, marks]) => {
        const plain = { ...standard, limits: standard.limits.filter(({ effect }) => effect.kind !== 'upgrade') };
        for (const { limit, used } of judge(plain, marks).headroom) {
          if (limit.scope.kind !== 'test' || limit.measure.kind !== 'count') continue;
          const { grades } = limit.measure;
          const seen = marks.filter(({ grade }) => grades.includes(grade));
          const groups = new Map<string, number>();
          let counted = 0;
          for (const { item, grade } of seen) {
            const cap = standard.caps.find((one) => one.items.includes(item) && one.grades.includes(grade));
            if (!cap) {
              counted++;
              continue;
            }
            const key = cap.over === 'each' ? `${cap.code} ${item}` : cap.code;
            const before = groups.get(key) ?? 0;
            groups.set(key, before + 1);
            if (before >= cap.free!.value && before - cap.free!.value < cap.atMost!.value) counted++;
          }
          expect(used).toBe(counted);
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
        const problems = lintStandard(standard);
        expect(parseStandardFile(source)).toEqual(
          problems.length === 0
            ? { ok: true, value: standard }
            : { ok: false, problems: problems.map(({ path, is }) => ({ path: `/standard${path}`, is })) },
        );
      }),
    );
  });
});
