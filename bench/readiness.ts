/**
 * How long simulating tests through the limits of a standard takes, as a ratio to drawing the same random counts
 * without judging, in the same run.
 * Run: npm run bench readiness
 */
import { Bench } from 'tinybench';
import { randomFrom } from '../packages/core/src/safety-questions/random';
import { templates } from '../packages/core/src/marking/testing-standards';
import { defaultAssumptions } from '../packages/core/src/readiness/assumptions';
import { compileStandard } from '../packages/core/src/readiness/compiled';
import { estimate } from '../packages/core/src/readiness/estimate';
import { drawPoisson } from '../packages/core/src/readiness/gamma';
import { expectedTotal, posteriorOn } from '../packages/core/src/readiness/posterior';
import { firstAbove } from '../packages/core/src/readiness/simulate';
import { laws, populationOf } from '../packages/core/src/readiness/testing-populations';

const tests = 20_000;

/** A middling learner under a standard, and how their tests are drawn and judged. */
function simulationUnder(standard: (typeof templates)[number]) {
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
  const run = (judge: boolean): number => {
    const random = randomFrom(1);
    let passed = 0;
    for (let t = 0; t < tests; t++) {
      const faults = drawPoisson(total, random);
      for (let i = 0; i < faults; i++) test[i] = marks[firstAbove(upTo, random() * total)]!.mark;
      if (judge ? compiled.passes(test, faults) : faults >= 0) passed++;
    }
    return passed;
  };
  return { learner, run };
}

/** The best of many rounds in which drawing, and drawing and judging, take turns: a machine whose speed changes changes both. */
function takingTurns(run: (judge: boolean) => number): readonly [drawing: number, judging: number] {
  const rounds = 60;
  let [drawing, judging] = [Infinity, Infinity];
  for (let i = 0; i < rounds; i++) {
    const from = performance.now();
    run(false);
    const between = performance.now();
    run(true);
    drawing = Math.min(drawing, between - from);
    judging = Math.min(judging, performance.now() - between);
  }
  return [drawing, judging];
}

const simulations = templates.map((standard) => {
  const { learner, run } = simulationUnder(standard);
  return { standard, learner, turns: takingTurns(run) };
});

const bench = new Bench({ time: 1500, warmupTime: 300 });
for (const { standard, learner } of simulations) {
  const question = { standard, evidence: learner.evidence, on: learner.on, assumptions: defaultAssumptions, seed: 1 };
  bench.add(`${standard.name}: the whole estimate of a learner, what would change it included`, () =>
    estimate(question),
  );
}
await bench.run();
const best = bench.tasks.map(({ name, result }) => {
  if (result.state !== 'completed') throw new Error(`"${name}" was not measured: ${result.state}.`);
  return { name, ms: result.latency.min };
});

console.table(
  simulations.map(({ standard, turns: [drawing, judging] }, i) => {
    const whole = best[i]!.ms;
    return {
      standard: standard.name,
      'reference: drawing alone, ms': drawing.toFixed(1),
      'drawing and judging': `${(judging / drawing).toFixed(2)} x`,
      'a whole estimate': `${(whole / drawing).toFixed(1)} x`,
    };
  }),
);
