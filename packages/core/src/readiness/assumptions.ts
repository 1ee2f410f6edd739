import { behaviours } from '../catalogue/catalogue';
import { totalOf, type Evidence, type Severity } from './evidence';

/** Everything an estimate takes for granted. Each is shown, can be changed, and changes the figure. */
export interface Assumptions {
  /** Days after which a drive counts half. */
  readonly halfLifeDays: number;
  /** How many tests the prior is worth. */
  readonly priorTests: number;
  /** Faults per test, by severity, of a learner of whom nothing is known. */
  readonly priorCounted: number;
  readonly priorOutright: number;
  /** How far learners differ in level, as the spread of a logarithm. */
  readonly levelSpread: number;
  /** What a wholly known road takes off the weight of a drive, 0 to 1. */
  readonly familiarityWeight: number;
  /** What a prompt counts of the fault it prevented, 0 to 1. */
  readonly promptWeight: number;
  /** How much rates may have fallen in four weeks of lessons, as a share; how much is not known, so both ends count. */
  readonly improvement: number;
}

/** House defaults; the reasons are in docs/statistics.md. */
export const defaultAssumptions: Assumptions = {
  halfLifeDays: 28,
  priorTests: 1,
  priorCounted: 8,
  priorOutright: 0.35,
  levelSpread: 0.6,
  familiarityWeight: 0.5,
  promptWeight: 0.5,
  improvement: 0.2,
};

/** What each assumption may be, in the order in which it is shown. */
export const assumptionBounds: Readonly<
  Record<
    keyof Assumptions,
    { readonly name: string; readonly unit: string; readonly min: number; readonly max: number; readonly step: number }
  >
> = {
  halfLifeDays: { name: 'A drive counts half after', unit: 'days', min: 7, max: 120, step: 1 },
  priorTests: {
    name: 'What is known of learners in general is worth, in tests:',
    unit: '',
    min: 0.2,
    max: 5,
    step: 0.1,
  },
  priorCounted: { name: 'Faults that add up, of an unknown learner', unit: 'a test', min: 1, max: 30, step: 0.5 },
  priorOutright: {
    name: 'Faults that fail at once, of an unknown learner',
    unit: 'a test',
    min: 0.02,
    max: 3,
    step: 0.01,
  },
  levelSpread: { name: 'How far learners differ', unit: 'on a log scale', min: 0.1, max: 1.5, step: 0.1 },
  familiarityWeight: { name: 'A wholly known road takes off', unit: 'of a drive’s weight', min: 0, max: 1, step: 0.1 },
  promptWeight: { name: 'A prompt counts', unit: 'of the fault it prevented', min: 0, max: 1, step: 0.1 },
  improvement: {
    name: 'Faults may have fallen in four weeks by up to',
    unit: 'as a share',
    min: 0,
    max: 0.8,
    step: 0.05,
  },
};

/** Mean faults per test by behaviour, before anything is known of the learner. */
export interface Prior {
  readonly counted: ReadonlyMap<string, number>;
  readonly outright: ReadonlyMap<string, number>;
  /** How many drives of the school stand behind it; 0 for the stated default. */
  readonly drives: number;
}

/** A school's own rates are used from this many drives on (house default). */
export const drivesForOwnPrior = 30;

/** The stated default: so many faults per test, spread evenly over the catalogue. */
export function defaultPrior({ priorCounted, priorOutright }: Assumptions): Prior {
  const even = (perTest: number) => new Map(behaviours.map(({ code }) => [code, perTest / behaviours.length]));
  return { counted: even(priorCounted), outright: even(priorOutright), drives: 0 };
}

/**
 * The school's own pooled rates, drawn toward the default by as much as the prior is worth; the default itself
 * while the school has too few drives.
 */
export function schoolPrior(drives: readonly Evidence[], assumptions: Assumptions): Prior {
  const given = defaultPrior(assumptions);
  if (drives.length < drivesForOwnPrior) return given;
  const exposure = drives.reduce((sum, one) => sum + one.exposure, 0);
  const pooled = (severity: Severity) =>
    new Map(
      [...given[severity]].map(([code, mean]) => {
        const all = drives.reduce((sum, { counts }) => sum + (counts[code]?.[severity] ?? 0), 0);
        return [code, (mean * assumptions.priorTests + all) / (assumptions.priorTests + exposure)] as const;
      }),
    );
  return { counted: pooled('counted'), outright: pooled('outright'), drives: drives.length };
}

/** Faults per test that a prior expects. */
export function priorTotal(prior: Prior, severity: Severity): number {
  return [...prior[severity].values()].reduce((sum, one) => sum + one, 0);
}

/** What a learner shows per test on average, for comparison: plain, without weights. */
export function plainRate(drives: readonly Evidence[], severity: Severity): number {
  const exposure = drives.reduce((sum, one) => sum + one.exposure, 0);
  return exposure === 0 ? 0 : drives.reduce((sum, one) => sum + totalOf(one, severity), 0) / exposure;
}
