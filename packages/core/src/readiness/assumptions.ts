import { behaviours } from '../catalogue/catalogue';
import { severities, type FaultKind } from './evidence';
import type { TestKind } from '../marking/test-kind';

/** Everything an estimate rests on besides the drives. Each is shown, can be changed, and changes the figure. */
export interface Assumptions {
  /** Days after which a drive counts half. */
  readonly halfLifeDays: number;
  /** What a prompt counts of the fault it prevented, 0 to 1. */
  readonly promptWeight: number;
  /** Faults per test of the average learner as they begin, on roads they do not know. */
  readonly counted: number;
  readonly outright: number;
  /** How far learners differ in level: the standard deviation of its logarithm. */
  readonly levelSpread: number;
  /** How failing faults follow the level: they go with this power of it. */
  readonly power: number;
  /** How alike learners of one level are in failing faults: the shape of a gamma distribution, larger is more alike. */
  readonly ownShape: number;
  /** Share of the faults that goes with the first lesson, a mock test being one; 0 or more. */
  readonly fallLesson: number;
  /** Lessons after which a further one helps by e less: the first ones teach most. */
  readonly fallsFor: number;
  /** Share of the faults that goes in a week besides; 0 or more. */
  readonly fallWeek: number;
  /** How far learners differ in both: the standard deviation of a factor on them. */
  readonly fallSpread: number;
  /** Share by which the faults of an area fall against those of others with each lesson that is for it. */
  readonly practised: number;
  /** How far days differ for one learner: the standard deviation of a factor on the day's faults. */
  readonly form: number;
  /** Faults on wholly known roads, as a share of those on strange ones; roads known in part lie between. */
  readonly knownRoads: number;
  /** How much is known beforehand of where faults fall, as a number of faults. */
  readonly shareWeight: number;
}

/** Stated defaults for a school of which nothing is known (house defaults; the reasons are in docs/statistics.md). */
export const defaultAssumptions: Assumptions = {
  halfLifeDays: 120,
  promptWeight: 0.5,
  counted: 8,
  outright: 0.35,
  levelSpread: 0.6,
  power: 0.8,
  ownShape: 1.2,
  fallLesson: 0.01,
  fallsFor: 60,
  fallWeek: 0.001,
  fallSpread: 0.6,
  practised: 0.05,
  form: 0.25,
  knownRoads: 0.85,
  shareWeight: 10,
};

/** What each assumption may be, in the order in which it is shown. */
export const assumptionBounds: Readonly<
  Record<keyof Assumptions, { readonly min: number; readonly max: number; readonly step: number }>
> = {
  counted: { min: 1, max: 40, step: 0.5 },
  outright: { min: 0.02, max: 4, step: 0.01 },
  levelSpread: { min: 0.1, max: 1.5, step: 0.05 },
  power: { min: 0, max: 1.5, step: 0.05 },
  ownShape: { min: 0.3, max: 6, step: 0.1 },
  fallLesson: { min: 0, max: 0.2, step: 0.002 },
  fallsFor: { min: 2, max: 200, step: 1 },
  fallWeek: { min: 0, max: 0.1, step: 0.001 },
  fallSpread: { min: 0, max: 1, step: 0.1 },
  practised: { min: 0, max: 0.3, step: 0.01 },
  form: { min: 0, max: 0.8, step: 0.05 },
  knownRoads: { min: 0.4, max: 1.2, step: 0.01 },
  halfLifeDays: { min: 7, max: 365, step: 1 },
  promptWeight: { min: 0, max: 1, step: 0.1 },
  shareWeight: { min: 1, max: 60, step: 1 },
};

/** A factor on the faults that are marked, as a multiple of what is marked elsewhere. */
export interface Factor {
  readonly factor: number;
  /** Standard error of its logarithm. */
  readonly error: number;
  /** Drives or tests that stand behind it. */
  readonly drives: number;
}

/** How many faults a test of one standard brings, as multiples of those of the standard that is driven most. */
export interface StandardFactor {
  readonly counted: number;
  readonly outright: number;
  readonly drives: number;
}

/** What a school's own learners say about learners in general, in tests of one kind. */
export interface School {
  /** The stated defaults, drawn toward the school's own figures as far as its drives bear it. */
  readonly assumptions: Assumptions;
  /** Standard errors of the fitted ones, on the scale on which each was fitted. */
  readonly errors: Partial<Readonly<Record<keyof Assumptions, number>>>;
  /** Shares of the faults by behaviour, adding up to 1. */
  readonly counted: ReadonlyMap<string, number>;
  readonly outright: ReadonlyMap<string, number>;
  /** How strict each marker is beside the average marker of the school, by account. */
  readonly markers: ReadonlyMap<string, Factor>;
  /** Standards by id. */
  readonly standards: ReadonlyMap<string, StandardFactor>;
  /** Faults of driving tests beside what mock tests lead to expect: by test centre, and by who marked the mock tests. */
  readonly centres: ReadonlyMap<string, Factor>;
  readonly realTests: ReadonlyMap<string, Factor>;
  /** Learners and drives that stand behind it. */
  readonly learners: number;
  readonly drives: number;
}

/** A school by kind of test: what is driven in a yard says nothing of roads. */
export type SchoolByKind = Readonly<Record<TestKind, School>>;

const evenShares: ReadonlyMap<string, number> = new Map(behaviours.map(({ code }) => [code, 1 / behaviours.length]));

/** A school of which nothing is known: the stated defaults, faults spread evenly over the catalogue. */
export const unknownSchool: School = {
  assumptions: defaultAssumptions,
  errors: {},
  counted: evenShares,
  outright: evenShares,
  markers: new Map(),
  standards: new Map(),
  centres: new Map(),
  realTests: new Map(),
  learners: 0,
  drives: 0,
};

export const unknownSchools: SchoolByKind = { road: unknownSchool, yard: unknownSchool };

/** What is assumed of the learners of a school in tests of one standard: the faults of a test are those of that standard. */
export function assumptionsFor({ assumptions, standards }: School, standardId: string): Assumptions {
  const own = standards.get(standardId);
  if (!own) return assumptions;
  return {
    ...assumptions,
    counted: assumptions.counted * own.counted,
    outright: assumptions.outright * own.outright,
  };
}

/** How much the even spread over the catalogue counts beside a school's own faults, in faults (house default). */
const evenSpreadFaults: Readonly<Record<FaultKind, number>> = { counted: 60, outright: 30 };

/** Where the faults of a school fall: its own shares, drawn toward an even spread. */
export function sharesOf(counts: Iterable<Readonly<Record<string, Readonly<Record<FaultKind, number>>>>>) {
  const sums = { counted: new Map<string, number>(), outright: new Map<string, number>() };
  for (const one of counts)
    for (const [behaviour, count] of Object.entries(one))
      for (const severity of severities)
        sums[severity].set(behaviour, (sums[severity].get(behaviour) ?? 0) + count[severity]);
  const share = (severity: FaultKind) => {
    const weight = evenSpreadFaults[severity];
    const total = weight + [...sums[severity].values()].reduce((sum, n) => sum + n, 0);
    return new Map(
      [...evenShares].map(([code, even]) => [code, (weight * even + (sums[severity].get(code) ?? 0)) / total] as const),
    );
  };
  return { counted: share('counted'), outright: share('outright') };
}
