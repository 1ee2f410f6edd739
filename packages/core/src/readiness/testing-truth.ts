import { randomFrom } from '../checks/random';
import { rulesOf } from '../marking/rules';
import type { Standard } from '../marking/standard';
import { compileStandard } from './compiled';
import { severities } from './evidence';
import { drawPoisson } from './gamma';
import { firstAbove } from './simulate';
import type { SyntheticLearner } from './testing-learners';

/** The true chance of a pass of a learner whose rates are known, by very many tests through the same limits. */
export function trueChance(standard: Standard, { truth }: SyntheticLearner, tests: number, seed: number): number {
  const compiled = compileStandard(standard);
  const { items, byBehaviour } = rulesOf(standard);
  const random = randomFrom(seed);
  const cells = [...items.values()].flatMap(({ item }) =>
    severities.flatMap((severity) => {
      const mark = compiled.cellFor(item.code, severity);
      const rate = (truth[severity].get(item.behaviour) ?? 0) / byBehaviour.get(item.behaviour)!.length;
      return mark === undefined || rate === 0 ? [] : [{ mark, rate }];
    }),
  );
  let total = 0;
  const upTo = Float64Array.from(cells, ({ rate }) => (total += rate));
  const marks: number[] = [];
  let passed = 0;
  for (let t = 0; t < tests; t++) {
    const faults = drawPoisson(total, random);
    for (let i = 0; i < faults; i++) marks[i] = cells[firstAbove(upTo, random() * total)]!.mark;
    if (compiled.passes(marks, faults)) passed++;
  }
  return passed / tests;
}
