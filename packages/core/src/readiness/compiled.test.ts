import fc from 'fast-check';
import { rulesOf } from '../marking/rules';
import { scoreMarks } from '../marking/score';
import { templates } from '../marking/testing-standards';
import { anyMarks, anyStandard } from '../marking/testing-arbitraries';
import { verdictOf } from '../marking/verdict';
import type { Mark } from '../drive/drive';
import type { EffectiveStandard } from '../marking/standard';
import { compileStandard } from './compiled';

const without = (mark: Mark): Mark => ({ ...mark, exercise: undefined });

function agree(standard: EffectiveStandard, marks: readonly Mark[]): void {
  const compiled = compileStandard(standard);
  const cells = marks.flatMap(({ item, grade }) => compiled.cellOf(item, grade) ?? []);
  const reference = verdictOf(scoreMarks(rulesOf(standard), marks));
  expect(compiled.passes(cells, cells.length)).toBe(reference.outcome === 'pass');
}

describe('the compiled standard', () => {
  it.each(templates.map((standard) => [standard.name, standard] as const))(
    'judges any marks as the evaluator does, under %s',
    (_, standard) => {
      fc.assert(fc.property(anyMarks(standard), (marks) => agree(standard, marks.map(without))));
    },
  );

  it('judges any marks as the evaluator does, under random standards with caps and upgrades', () => {
    fc.assert(
      fc.property(
        anyStandard(true).chain((standard) => anyMarks(standard).map((marks) => ({ standard, marks }))),
        ({ standard, marks }) => agree(standard, marks.map(without)),
      ),
      { numRuns: 400 },
    );
  });

  it('can be asked again and again', () => {
    const standard = templates[0]!;
    const compiled = compileStandard(standard);
    const serious = compiled.cellFor('junctions.observation', 'outright')!;
    expect([compiled.passes([serious], 1), compiled.passes([], 0), compiled.passes([serious], 1)]).toEqual([
      false,
      true,
      false,
    ]);
  });
});
