import { graded } from '../marking/templates/graded';
import { minorMajor } from '../marking/templates/minor-major';
import { tally } from '../marking/templates/tally';
import { rulesOf } from '../marking/rules';
import type { Standard } from '../marking/standard';
import { defaultAssumptions, type Assumptions } from './assumptions';
import { compileStandard } from './compiled';
import { posteriorOn } from './posterior';
import { severities, type Evidence } from './evidence';
import { simulate } from './simulate';
import { syntheticLearner } from './testing-learners';
import { trueChance } from './testing-truth';

export const schoolsToMeasure: readonly Standard[] = [tally, graded, minorMajor];

export interface CalibrationResult {
  /** Share of learners whose true chance lies in the 90 % interval. */
  readonly coverage: number;
  /** Expected Brier score of the estimate, of one that knows the truth, and of the share of mocks passed. */
  readonly brier: number;
  readonly best: number;
  readonly excess: number;
  readonly share: number;
  readonly width: number;
  readonly bias: number;
}

/** How the estimate does on learners whose true chance is known. */
export function measureCalibration(
  standard: Standard,
  learners: number,
  improving: boolean,
  assumptions: Assumptions = defaultAssumptions,
): CalibrationResult {
  const compiled = compileStandard(standard);
  let [inside, brier, best, share, width, bias] = [0, 0, 0, 0, 0, 0];
  for (let seed = 0; seed < learners; seed++) {
    const learner = syntheticLearner(seed, improving);
    const truth = trueChance(standard, learner, 8000, seed);
    const posterior = posteriorOn(learner.on, standard, learner.evidence, assumptions);
    const chance = simulate(standard, posterior, seed, { draws: 240, testsEach: 120 }, compiled);
    // The truth is itself known to half a hundredth.
    if (truth >= chance.from - 0.005 && truth <= chance.to + 0.005) inside++;
    const noise = truth * (1 - truth);
    brier += (chance.mean - truth) ** 2 + noise;
    best += noise;
    const passed = learner.evidence.filter((one) => passes(standard, one)).length / learner.evidence.length;
    share += (passed - truth) ** 2 + noise;
    width += chance.to - chance.from;
    bias += chance.mean - truth;
  }
  return {
    coverage: inside / learners,
    brier: brier / learners,
    best: best / learners,
    excess: (brier - best) / learners,
    share: share / learners,
    width: width / learners,
    bias: bias / learners,
  };
}

/** Whether the marks of a drive pass under a standard. */
function passes(standard: Standard, { counts }: Evidence): boolean {
  const compiled = compileStandard(standard);
  const marks = [...rulesOf(standard).byBehaviour].flatMap(([behaviour, [first]]) =>
    severities.flatMap((severity) => {
      const mark = compiled.cellFor(first!.item.code, severity);
      return mark === undefined ? [] : Array.from({ length: counts[behaviour]?.[severity] ?? 0 }, () => mark);
    }),
  );
  return compiled.passes(marks, marks.length);
}
