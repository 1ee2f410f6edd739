import { gradesOf, rulesOf } from '../marking/rules';
import type { Grade, EffectiveStandard } from '../marking/standard';
import { unknownSchool, type Assumptions, type School } from './assumptions';
import { severities, severityOf, type Evidence, type FaultKind } from './evidence';
import { ageWeight, sightsOf, weigh, type WeighedPoint } from './level';

/** The faults of one item and severity: how large a share of all of that severity it has. */
export interface Cell {
  readonly item: string;
  readonly category: string;
  readonly behaviour: string;
  readonly severity: FaultKind;
  /** Parameter of a Dirichlet distribution of the shares: what is known beforehand plus weighted faults. */
  readonly shape: number;
}

/** What is believed about a learner's faults under a standard on a day. */
export interface Posterior {
  readonly cells: readonly Cell[];
  /** Ways the learner may be, with their chances, from the best to the worst. */
  readonly points: readonly WeighedPoint[];
  /** How far days differ, as the standard deviation of a factor on the day's faults. */
  readonly form: number;
  /** How failing faults follow the level, as a power of it. */
  readonly power: number;
  /** Weighted tests driven that stand behind it. */
  readonly exposure: number;
  readonly school: School;
}

/** Points this unlikely are left out: together they would not move a chance by a thousandth. */
const leastWeight = 1e-6;

/**
 * The posterior on a day. Evidence of later days is not looked at.
 *
 * A learner has one level, which all areas inform, and a rate of failing faults that follows it; both are weighed on a
 * lattice by how likely the drives are. Where faults fall is a share of the whole, drawn toward where they fall in the
 * school.
 */
export function posteriorOn(
  on: Date,
  standard: EffectiveStandard,
  evidence: readonly Evidence[],
  assumptions: Assumptions,
  school: School = unknownSchool,
): Posterior {
  // In one order, so that a sum is the same to the last digit however the drives arrive.
  const past = evidence.filter(({ at }) => Date.parse(at) <= on.getTime()).sort(inOrder);
  const listed = new Set(rulesOf(standard).byBehaviour.keys());
  const sights = sightsOf(past, on.getTime(), assumptions, listed);
  return {
    cells: cellsOf(standard, past, on.getTime(), assumptions, school),
    points: weigh(sights, assumptions, school.markers)
      .filter(({ weight }) => weight > leastWeight)
      .sort((a, b) => a.counted - b.counted || a.outright - b.outright),
    form: assumptions.form,
    power: assumptions.power,
    exposure: sights.reduce((sum, { weight, logExposure }) => sum + weight * Math.exp(logExposure), 0),
    school,
  };
}

function inOrder(a: Evidence, b: Evidence): number {
  const key = ({ at, kind, counts }: Evidence) => `${at} ${kind} ${JSON.stringify(counts)}`;
  return a.at === b.at ? (key(a) < key(b) ? -1 : 1) : a.at < b.at ? -1 : 1;
}

function cellsOf(
  standard: EffectiveStandard,
  past: readonly Evidence[],
  on: number,
  assumptions: Assumptions,
  school: School,
): readonly Cell[] {
  const rules = rulesOf(standard);
  const { byBehaviour, items } = rules;
  const weights = past.map(({ at }) => ageWeight(at, on, assumptions));
  const cells = [...items.values()].flatMap(({ item, category }) =>
    severities.map((severity) => ({
      item: item.code,
      category: category.code,
      behaviour: item.behaviour,
      severity,
      // Several items of one behaviour share what is known of it.
      share: 1 / (byBehaviour.get(item.behaviour)?.length ?? 1),
      // Beforehand nothing is expected of a severity that an item has no grade for.
      before: hasGradeFor(gradesOf(rules.standard, item), severity) ? (school[severity].get(item.behaviour) ?? 0) : 0,
    })),
  );
  const whole = { counted: 0, outright: 0 };
  for (const { severity, share, before } of cells) whole[severity] += share * before;
  return cells.flatMap(({ share, before, ...cell }) => {
    const { behaviour, severity } = cell;
    const marks = past.reduce((sum, { counts }, i) => sum + weights[i]! * (counts[behaviour]?.[severity] ?? 0), 0);
    const shape = share * ((before * assumptions.shareWeight) / (whole[severity] || 1) + marks);
    return shape > 0 ? [{ ...cell, shape }] : [];
  });
}

const hasGradeFor = (grades: readonly Grade[], severity: FaultKind): boolean =>
  grades.some(({ sign }) => severityOf(sign) === severity);

/** Faults of a severity expected on a test. */
export function expectedTotal({ points }: Posterior, severity: FaultKind): number {
  return points.reduce((sum, point) => sum + point.weight * point[severity], 0);
}

/** Faults of a severity expected on a test, by category of the standard. */
export function expectedByCategory(posterior: Posterior, severity: FaultKind): ReadonlyMap<string, number> {
  const own = posterior.cells.filter((cell) => cell.severity === severity);
  const perShape = expectedTotal(posterior, severity) / own.reduce((sum, { shape }) => sum + shape, 0);
  const expected = new Map<string, number>();
  for (const { category, shape } of own) expected.set(category, (expected.get(category) ?? 0) + shape * perShape);
  return expected;
}

/** What will be believed after some days of lessons if faults go on falling as they may have: each point at its own speed. */
export function projected(posterior: Posterior, days: number): Posterior {
  const { power } = posterior;
  return {
    ...posterior,
    points: posterior.points.map((point) => ({
      ...point,
      counted: point.counted * Math.exp(-point.fallADay * days),
      outright: point.outright * Math.exp(-power * point.fallADay * days),
    })),
  };
}
