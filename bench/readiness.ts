/**
 * How long simulating tests through the limits of a standard takes, as a ratio to drawing the same random counts
 * without judging, in the same run.
 * Run: npm run bench
 */
import { Bench } from 'tinybench';
import { randomFrom } from '../packages/core/src/checks/random';
import { templates } from '../packages/core/src/marking/testing-standards';
import { defaultAssumptions } from '../packages/core/src/readiness/assumptions';
import { compileStandard } from '../packages/core/src/readiness/compiled';
import { estimate } from '../packages/core/src/readiness/estimate';
import { drawPoisson } from '../packages/core/src/readiness/gamma';
import { expectedTotal, posteriorOn } from '../packages/core/src/readiness/posterior';
import { firstAbove } from '../packages/core/src/readiness/simulate';
import { laws, populationOf } from '../packages/core/src/readiness/testing-populations';

const tests = 100_000;
const items = (standard: (typeof templates)[number]) =>
  standard.categories.flatMap((category) => category.items).length;
const standard = [...templates].sort((a, b) => items(b) - items(a))[0]!;
const learner = populationOf(standard, laws[0]!, 4, 3)[3]!;
const posterior = posteriorOn(learner.on, standard, learner.evidence, defaultAssumptions);
const compiled = compileStandard(standard);
const wholes = { counted: 0, outright: 0 };
for (const { severity, shape } of posterior.cells) wholes[severity] += shape;
const marks = posterior.cells.flatMap(({ item, severity, shape }) => {
  const mark = compiled.cellFor(item, severity);
  // Where a middling learner of this posterior has their faults.
  return mark === undefined ? [] : [{ mark, rate: (shape * expectedTotal(posterior, severity)) / wholes[severity] }];
});
let total = 0;
const upTo = Float64Array.from(marks, ({ rate }) => (total += rate));
const test = new Int32Array(512);

function run(judge: boolean): number {
  const random = randomFrom(1);
  let passed = 0;
  for (let t = 0; t < tests; t++) {
    const faults = drawPoisson(total, random);
    for (let i = 0; i < faults; i++) test[i] = marks[firstAbove(upTo, random() * total)]!.mark;
    if (judge ? compiled.passes(test, faults) : faults >= 0) passed++;
  }
  return passed;
}

const bench = new Bench({ time: 3000, warmupTime: 500 });
bench
  .add(`reference: draw the marks of ${tests.toLocaleString('en-GB')} tests`, () => run(false))
  .add(`draw and judge them under ${standard.name}`, () => run(true))
  .add('the whole estimate of a learner, what would change it included', () =>
    estimate({ standard, evidence: learner.evidence, on: learner.on, assumptions: defaultAssumptions, seed: 1 }),
  );
await bench.run();
const medians = bench.tasks.map(({ name, result }) => {
  if (result.state !== 'completed') throw new Error(`"${name}" was not measured: ${result.state}.`);
  return { name, ms: result.latency.p50 };
});
console.table(
  medians.map(({ name, ms }) => ({
    what: name,
    'median, ms': ms.toFixed(1),
    'of the reference': `${(ms / medians[0]!.ms).toFixed(2)} x`,
  })),
);
