import { randomFrom } from '../safety-questions/random';
import type { EffectiveStandard } from '../marking/standard';
import { compileStandard, type CompiledStandard } from './compiled';
import { drawGamma, drawPoisson } from './gamma';
import type { Posterior } from './posterior';

/** How the simulation is cut: draws of what the learner may be like, and tests driven by each. */
export interface Effort {
  readonly draws: number;
  readonly testsEach: number;
  /** Whether to ask of failed tests what would have saved them; it takes as long as the rest. */
  readonly asksFailed: boolean;
}

export const usualEffort: Effort = { draws: 240, testsEach: 100, asksFailed: true };
/** The same without what halving an area would bring; it changes nothing of the chance. */
export const withoutAreas: Effort = { ...usualEffort, asksFailed: false };

/** The chance of a pass, and what it rests on. */
export interface Chance {
  /** 0 to 1. */
  readonly mean: number;
  /** Where the chance lies in nine of ten cases, 0 to 1. */
  readonly from: number;
  readonly to: number;
  /** What the chance would be with the faults of one category halved, by category, 0 to 1. */
  readonly halved: ReadonlyMap<string, number>;
  /** Tests that were simulated; 0 where the chance was worked out exactly. */
  readonly tests: number;
}

/** A chance as it is simulated, with the chances of the learners that were drawn, each as likely as the others. */
export interface Simulated extends Omit<Chance, 'from' | 'to'> {
  readonly chances: readonly number[];
}

/** Of the failed tests, every fourth is asked what would have saved it: enough for a tenth of a test day of twenty. */
const askedOfFailed = 4;
const { min } = Math;

/**
 * Simulates tests through the standard's own limits: a learner as the posterior has them, then their faults on one
 * test, then the verdict.
 * @param seed any whole number; the same gives the same chance
 */
export function simulate(
  standard: EffectiveStandard,
  posterior: Posterior,
  seed: number,
  { draws, testsEach, asksFailed }: Effort = usualEffort,
  compiled: CompiledStandard = compileStandard(standard),
): Simulated {
  const random = randomFrom(seed);
  // Asking what would have saved a test changes nothing of the tests themselves.
  const asking = randomFrom(seed + 1);
  const cells = posterior.cells.flatMap((cell) => {
    const mark = compiled.cellFor(cell.item, cell.severity);
    return mark === undefined ? [] : [{ ...cell, mark }];
  });
  const categories = [...new Set(cells.map(({ category }) => category))];
  const categoryOf = Int32Array.from(cells, ({ category }) => categories.indexOf(category));
  const marks = Int32Array.from(cells, ({ mark }) => mark);
  const upTo = new Float64Array(cells.length);
  const drawn = new Float64Array(cells.length);
  const test = new Int32Array(512);
  const kept = new Int32Array(512);
  const from = new Int32Array(512);
  const chances = new Float64Array(draws);
  const rescued = new Float64Array(categories.length);
  const seen = new Uint8Array(categories.length);
  const { form } = posterior;
  const dayShape = form > 0 ? 1 / form ** 2 : 0;
  const pointAt = pointsByChance(posterior);
  let failed = 0;
  for (let d = 0; d < draws; d++) {
    const { counted, outright } = pointAt((d + random()) / draws);
    // Shares of each severity: gamma numbers made to add up to one.
    let [sumCounted, sumOutright] = [0, 0];
    for (let c = 0; c < cells.length; c++) {
      const one = drawGamma(cells[c]!.shape, random);
      drawn[c] = one;
      if (cells[c]!.severity === 'counted') sumCounted += one;
      else sumOutright += one;
    }
    let total = 0;
    for (let c = 0; c < cells.length; c++) {
      total += drawn[c]! * (cells[c]!.severity === 'counted' ? counted / sumCounted : outright / sumOutright);
      upTo[c] = total;
    }
    let passed = 0;
    for (let t = 0; t < testsEach; t++) {
      const day = dayShape > 0 ? drawGamma(dayShape, random) / dayShape : 1;
      const faults = min(test.length, drawPoisson(total * day, random));
      for (let i = 0; i < faults; i++) {
        const cell = firstAbove(upTo, random() * total);
        from[i] = categoryOf[cell]!;
        test[i] = marks[cell]!;
      }
      if (compiled.passes(test, faults)) {
        passed++;
        continue;
      }
      failed++;
      if (!asksFailed || failed % askedOfFailed !== 0) continue;
      // The same test with half the faults of one category: would it have passed?
      seen.fill(0);
      for (let i = 0; i < faults; i++) {
        const category = from[i]!;
        if (seen[category]) continue;
        seen[category] = 1;
        let left = 0;
        for (let j = 0; j < faults; j++) if (from[j] !== category || asking() < 0.5) kept[left++] = test[j]!;
        if (compiled.passes(kept, left)) rescued[category]! += askedOfFailed;
      }
    }
    chances[d] = passed / testsEach;
  }
  const tests = draws * testsEach;
  const mean = chances.reduce((sum, one) => sum + one, 0) / draws;
  return {
    mean,
    chances: drawnTogether(chances, mean, testsEach),
    halved: new Map(categories.map((category, i) => [category, mean + rescued[i]! / tests])),
    tests,
  };
}

/** Finds the way a learner may be by its place among all of them, 0 to 1. */
function pointsByChance({ points }: Posterior) {
  let sum = 0;
  const upTo = Float64Array.from(points, ({ weight }) => (sum += weight));
  return (share: number) => points[firstAbove(upTo, share * sum)]!;
}

/** The first place at which the running total is above a value. */
export function firstAbove(upTo: Float64Array, value: number): number {
  let [low, high] = [0, upTo.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (upTo[middle]! > value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Each draw drove a finite number of tests, which spreads its share more than its chance: they are drawn together by as much. */
function drawnTogether(chances: Float64Array, mean: number, testsEach: number): readonly number[] {
  const variance = chances.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, chances.length - 1);
  const noise = chances.reduce((sum, one) => sum + one * (1 - one), 0) / chances.length / testsEach;
  const shrink = variance > 0 ? Math.sqrt(Math.max(0, variance - noise) / variance) : 0;
  return Array.from(chances, (one) => mean + (one - mean) * shrink);
}
