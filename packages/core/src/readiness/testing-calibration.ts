import { graded, minorMajor, tally } from '../marking/testing-standards';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { assumptionsFor, type School } from './assumptions';
import { compileStandard } from './compiled';
import { severities, type Evidence } from './evidence';
import { fitSchool } from './fit';
import { chanceOf } from './chance';
import { posteriorOn, projected } from './posterior';
import { practiceAhead } from './practice';
import { testKindOf } from '../marking/test-kind';
import { floorForecaster } from './testing-floor';
import { centre, populationOf, type Law } from './testing-populations';

export const schoolsToMeasure: readonly EffectiveStandard[] = [tally, graded, minorMajor];

/** How a forecast did on learners whose true chance is known: expected Brier scores above that of knowing the truth. */
export interface CalibrationResult {
  readonly school: School;
  readonly shipped: number;
  /** Of one who knows the law of the population. */
  readonly floor: number;
  /** Of the share of mock tests passed, and of the last one. */
  readonly share: number;
  readonly last: number;
  /** Share of learners whose true chance lies in the 90 % interval. */
  readonly coverage: number;
  readonly width: number;
  /** Mean of estimate less truth, 0 to 1. */
  readonly bias: number;
  /** The same by drives behind it: 2 to 4, 5 to 7, 8 to 10. */
  readonly biasByDrives: readonly number[];
}

/** Measures the estimate on a population; the school's figures are fitted to the population itself, as a server does. */
export function measureCalibration(
  standard: EffectiveStandard,
  law: Law,
  size: number,
  seed: number,
): CalibrationResult {
  const everybody = populationOf(standard, law, size, seed);
  const school = fitSchool(everybody, testKindOf(standard));
  // Of those who had their test nothing is to be said any more.
  const population = everybody.filter(({ tested }) => !tested);
  const n = population.length;
  const floor = floorForecaster(standard, law, seed + 1);
  const compiled = compileStandard(standard);
  const sums = { shipped: 0, floor: 0, share: 0, last: 0, inside: 0, width: 0, bias: 0 };
  const groups = [0, 1, 2].map(() => ({ n: 0, bias: 0 }));
  for (const [i, learner] of population.entries()) {
    const { evidence, lessons, on, testOn, chance: truth } = learner;
    const now = posteriorOn(on, standard, evidence, assumptionsFor(school, standard.id), school, { lessons, centre });
    const posterior = projected(now, practiceAhead(evidence, lessons, on, testOn));
    const chance = chanceOf(standard, posterior, i, { draws: 240, testsEach: 100, asksFailed: false }, compiled);
    const passed = evidence.map((one) => passes(standard, one));
    sums.shipped += (chance.mean - truth) ** 2;
    sums.floor += (floor(learner) - truth) ** 2;
    sums.share += (passed.filter(Boolean).length / passed.length - truth) ** 2;
    sums.last += (Number(passed.at(-1)) - truth) ** 2;
    if (truth >= chance.from && truth <= chance.to) sums.inside++;
    sums.width += chance.to - chance.from;
    sums.bias += chance.mean - truth;
    const group = groups[evidence.length <= 4 ? 0 : evidence.length <= 7 ? 1 : 2]!;
    group.n++;
    group.bias += chance.mean - truth;
  }
  return {
    school,
    shipped: sums.shipped / n,
    floor: sums.floor / n,
    share: sums.share / n,
    last: sums.last / n,
    coverage: sums.inside / n,
    width: sums.width / n,
    bias: sums.bias / n,
    biasByDrives: groups.map((group) => group.bias / Math.max(1, group.n)),
  };
}

/** Whether the marks of a drive pass under a standard. */
function passes(standard: EffectiveStandard, { counts }: Evidence): boolean {
  const compiled = compileStandard(standard);
  const marks = [...rulesOf(standard).byBehaviour].flatMap(([behaviour, [first]]) =>
    severities.flatMap((severity) => {
      const mark = compiled.cellFor(first!.item.code, severity);
      return mark === undefined ? [] : Array.from({ length: counts[behaviour]?.[severity] ?? 0 }, () => mark);
    }),
  );
  return compiled.passes(marks, marks.length);
}
