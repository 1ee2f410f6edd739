import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import type { Factor } from './assumptions';

/** An estimate made before a real test, and how the test went. */
export interface PastTest {
  /** 0 to 1. */
  readonly chance: number;
  readonly passed: boolean;
}

/** Below this many results nothing is said about a school's estimates (house default). */
export const resultsWanted = 20;
/** Two-sided 5 % of the normal distribution: chance alone shows as much in one school of twenty (house default). */
const tendencyFrom = 1.959963984540054;

/**
 * The Brier score: the mean squared distance of what was said from what came (Brier 1950, "Verification of forecasts
 * expressed in terms of probability"). 0 is perfect, 1 the worst; NaN where there are no results.
 */
export function brierScore(outcomes: readonly PastTest[]): number {
  return outcomes.reduce((sum, { chance, passed }) => sum + (chance - (passed ? 1 : 0)) ** 2, 0) / outcomes.length;
}

/** The score of always saying the share that passed. */
export function baseRateScore(outcomes: readonly PastTest[]): number {
  const share = outcomes.filter(({ passed }) => passed).length / outcomes.length;
  return share * (1 - share);
}

/** Estimates of about the same size, and how many of them came true. */
export interface ReliabilityBin {
  readonly from: number;
  readonly to: number;
  readonly meanChance: number;
  readonly passed: number;
  readonly of: number;
}

/** The outcomes by fifths of what was said; empty fifths are left out. */
export function reliability(outcomes: readonly PastTest[]): readonly ReliabilityBin[] {
  return [0, 1, 2, 3, 4].flatMap((i) => {
    const [from, to] = [i / 5, (i + 1) / 5];
    const inside = outcomes.filter(({ chance }) => chance >= from && (chance < to || (i === 4 && chance <= to)));
    if (inside.length === 0) return [];
    return [
      {
        from,
        to,
        meanChance: inside.reduce((sum, { chance }) => sum + chance, 0) / inside.length,
        passed: inside.filter(({ passed }) => passed).length,
        of: inside.length,
      },
    ];
  });
}

export interface Calibration {
  readonly results: number;
  /** How many more are wanted before anything is said. */
  readonly missing: number;
  readonly brier?: number;
  readonly baseRate?: number;
  readonly bins: readonly ReliabilityBin[];
  /** Only where the numbers bear it. */
  readonly tendency?: 'too-hopeful' | 'too-gloomy';
}

/** How a school's estimates have done, as far as the numbers bear it. */
export function calibrationOf(outcomes: readonly PastTest[]): Calibration {
  const missing = Math.max(0, resultsWanted - outcomes.length);
  if (missing > 0) return { results: outcomes.length, missing, bins: [] };
  const tendency = tendencyOf(outcomes);
  return {
    results: outcomes.length,
    missing,
    brier: brierScore(outcomes),
    baseRate: baseRateScore(outcomes),
    bins: reliability(outcomes),
    ...(tendency && { tendency }),
  };
}

/** Spiegelhalter's idea: under true estimates the passes have a known mean and variance; far from it is a tendency. */
function tendencyOf(outcomes: readonly PastTest[]): Calibration['tendency'] {
  const expected = outcomes.reduce((sum, { chance }) => sum + chance, 0);
  const variance = outcomes.reduce((sum, { chance }) => sum + chance * (1 - chance), 0);
  const passed = outcomes.filter((one) => one.passed).length;
  if (variance === 0) return undefined;
  const z = (passed - expected) / Math.sqrt(variance);
  return Math.abs(z) < tendencyFrom ? undefined : z < 0 ? 'too-hopeful' : 'too-gloomy';
}

/** How the driving tests of a group went beside what was expected of them. */
export interface TestsHere {
  readonly name: string;
  readonly tests: number;
  readonly passed: number;
  /** The mean of what was estimated before, 0 to 1. */
  readonly expected: number;
  /** Where the share that passes lies in nine of ten cases, 0 to 1 (Jeffreys' interval). */
  readonly from: number;
  readonly to: number;
  /** Faults of these tests beside what mock tests lead to expect, drawn to 1 until there are enough. */
  readonly factor?: Factor;
  /** Mock tests and driving tests part: what was expected lies outside the interval. */
  readonly parts: boolean;
}

/** Below so many tests nothing is said of mock and driving tests parting (house default). */
export const testsWanted = 8;

/** How the tests of one group went; undefined where none has an estimate from before. */
export function testsHere(name: string, outcomes: readonly PastTest[], factor?: Factor): TestsHere | undefined {
  if (outcomes.length === 0) return undefined;
  const tests = outcomes.length;
  const passed = outcomes.filter((one) => one.passed).length;
  const expected = outcomes.reduce((sum, { chance }) => sum + chance, 0) / tests;
  const at = (share: number) => betaQuantile(share, passed + 0.5, tests - passed + 0.5);
  const [from, to] = [at(0.05), at(0.95)];
  const parts = tests >= testsWanted && (expected < from || expected > to);
  return { name, tests, passed, expected, from, to, ...(factor && { factor }), parts };
}
