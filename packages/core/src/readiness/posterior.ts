import { rulesOf } from '../marking/rules';
import type { Standard } from '../marking/standard';
import { defaultPrior, type Assumptions, type Prior } from './assumptions';
import { severities, type Evidence, type Severity } from './evidence';

const dayMs = 86_400_000;
const fourWeeks = 28;
/** Points at which the unknown level of a learner is weighed, in spreads from the middle. */
const levelPoints = [-2.5, -2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2, 2.5];

/** The faults of one item and severity: a gamma distribution with this shape, and the rate of the component. */
export interface Cell {
  readonly item: string;
  readonly category: string;
  readonly behaviour: string;
  readonly severity: Severity;
  /** Prior shape plus weighted faults. */
  readonly shape: number;
}

/** One way things may stand: a level of the learner, and how fast faults have fallen. */
export interface Component {
  /** Chance that it is this one, 0 to 1; all together 1. */
  readonly weight: number;
  /** Inverse scale of every cell's gamma distribution, in tests. */
  readonly rate: number;
  /** How fast faults have fallen, as the logarithm of their share a day, 0 or more. */
  readonly fallADay: number;
}

/** What is believed about a learner's faults under a standard on a day. */
export interface Posterior {
  readonly cells: readonly Cell[];
  readonly components: readonly Component[];
  /** Weighted tests driven that stand behind it. */
  readonly exposure: number;
  readonly prior: Prior;
}

/** What a piece of evidence weighs on a day, 0 to 1: less as it ages, less on known roads. */
export function weightOf({ at, familiarity }: Evidence, on: Date, assumptions: Assumptions): number {
  const age = (on.getTime() - Date.parse(at)) / dayMs;
  const known = familiarity === 'known' ? 1 : familiarity === 'partly' ? 0.5 : 0;
  return 2 ** (-Math.max(0, age) / assumptions.halfLifeDays) * (1 - known * assumptions.familiarityWeight);
}

/**
 * The posterior on a day. Evidence of later days is not looked at.
 *
 * Faults of a cell are Poisson with a gamma rate; a drive counts by `weightOf`. The level of the learner multiplies
 * all prior means and is weighed on a few points by its marginal likelihood. How fast faults have fallen is not
 * learnt but mixed with fixed weights, so that a fault more never helps and a clean drive never hurts.
 */
export function posteriorOn(
  on: Date,
  standard: Standard,
  evidence: readonly Evidence[],
  assumptions: Assumptions,
  prior: Prior = defaultPrior(assumptions),
): Posterior {
  const { priorTests, levelSpread, improvement } = assumptions;
  const past = evidence
    .filter(({ at }) => Date.parse(at) <= on.getTime())
    .map((one) => ({
      one,
      weight: weightOf(one, on, assumptions),
      age: Math.max(0, (on.getTime() - Date.parse(one.at)) / dayMs),
    }));
  const cells = cellsOf(standard, past, assumptions, prior);
  const priorShape = cells.reduce((sum, cell) => sum + cell.priorShape, 0);
  const shape = cells.reduce((sum, cell) => sum + cell.shape, 0);
  const falls = improvement === 0 ? [0] : [0, improvement / 2, improvement];
  const components = falls.flatMap((fall) => {
    // A drive of four weeks ago was driven at rates that much higher: it stands for more driving of today.
    const speed = -Math.log(1 - fall) / fourWeeks;
    const exposure = past.reduce((sum, { one, weight, age }) => sum + weight * one.exposure * Math.exp(speed * age), 0);
    const points = levelPoints.map((z) => {
      const level = Math.exp(levelSpread * z - levelSpread ** 2 / 2);
      const rate = priorTests / level;
      const logWeight = -0.5 * z * z + priorShape * Math.log(rate) - shape * Math.log(rate + exposure);
      return { rate: rate + exposure, logWeight };
    });
    const top = Math.max(...points.map(({ logWeight }) => logWeight));
    const total = points.reduce((sum, { logWeight }) => sum + Math.exp(logWeight - top), 0);
    return points.map(({ rate, logWeight }) => ({
      rate,
      weight: Math.exp(logWeight - top) / total / falls.length,
      fallADay: speed,
    }));
  });
  return {
    cells: cells.map(({ item, category, behaviour, severity, shape: own }) => ({
      item,
      category,
      behaviour,
      severity,
      shape: own,
    })),
    components,
    exposure: past.reduce((sum, { one, weight }) => sum + weight * one.exposure, 0),
    prior,
  };
}

interface Weighed {
  readonly one: Evidence;
  readonly weight: number;
}

function cellsOf(
  standard: Standard,
  past: readonly Weighed[],
  { priorTests, promptWeight }: Assumptions,
  prior: Prior,
): readonly (Cell & { readonly priorShape: number })[] {
  const { byBehaviour, items } = rulesOf(standard);
  const own = [...items.values()].flatMap(({ item, category }) => {
    // Several items of one behaviour share what is known of it.
    const share = 1 / (byBehaviour.get(item.behaviour)?.length ?? 1);
    return severities.map((severity) => {
      const priorShape = (prior[severity].get(item.behaviour) ?? 0) * priorTests * share;
      const marks = past.reduce(
        (sum, { one, weight }) => sum + weight * (one.counts[item.behaviour]?.[severity] ?? 0),
        0,
      );
      return {
        item: item.code,
        category: category.code,
        behaviour: item.behaviour,
        severity,
        priorShape,
        marks: marks * share,
      };
    });
  });
  const bySeverity = (severity: Severity) => ({
    where: own.reduce((sum, one) => (one.severity === severity ? sum + one.priorShape + one.marks : sum), 0),
    helped: past.reduce(
      (sum, { one, weight }) =>
        sum + weight * promptWeight * (severity === 'counted' ? one.promptsAlone : one.interventionsAlone),
      0,
    ),
  });
  const all = { counted: bySeverity('counted'), outright: bySeverity('outright') };
  return own
    .map(({ marks, ...cell }) => {
      const { where, helped } = all[cell.severity];
      const known = cell.priorShape + marks;
      // Help without a mark kept a fault from happening, nobody knows which: it falls where faults fall.
      return { ...cell, shape: known + (where === 0 ? 0 : (helped * known) / where) };
    })
    .filter(({ shape }) => shape > 0);
}

/** Faults of a severity expected on a test, by category of the standard. */
export function expectedByCategory({ cells, components }: Posterior, severity: Severity): ReadonlyMap<string, number> {
  const perShape = components.reduce((sum, { weight, rate }) => sum + weight / rate, 0);
  const expected = new Map<string, number>();
  for (const cell of cells)
    if (cell.severity === severity)
      expected.set(cell.category, (expected.get(cell.category) ?? 0) + cell.shape * perShape);
  return expected;
}

/** What will be believed after some days if faults go on falling as they may have: each component at its own speed. */
export function projected(posterior: Posterior, days: number): Posterior {
  return {
    ...posterior,
    components: posterior.components.map((component) => ({
      ...component,
      rate: component.rate * Math.exp(component.fallADay * days),
    })),
  };
}
