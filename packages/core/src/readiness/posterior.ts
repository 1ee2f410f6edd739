import { gradesOf, rulesOf } from '../marking/rules';
import type { Grade, EffectiveStandard } from '../marking/standard';
import { unknownSchool, type Assumptions, type School } from './assumptions';
import { heldTogether, type Change } from './change';
import { severities, severityOf, type Evidence, type FaultKind } from './evidence';
import {
  ageWeight,
  fallsOf,
  logOfRealTest,
  practisedUpTo,
  sightsOf,
  usualMarker,
  weigh,
  type Seen,
  type Sight,
  type WeighedPoint,
} from './level';
import { goneAfter, type Lesson, type Practice } from './practice';
import { shownOf, sightOf, type StandardSight } from './shown';

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
  /** That the last drives differ from the ones before, and the ways the learner may be by those alone. */
  readonly change?: Change & { readonly points: readonly WeighedPoint[] };
  /** How far days differ, as the standard deviation of a factor on the day's faults. */
  readonly form: number;
  /** How failing faults follow the level, as a power of it. */
  readonly power: number;
  /** What was practised up to the day, and how long lessons go on to help, see `Assumptions`. */
  readonly practised: Practice;
  readonly fallsFor: number;
  /** Weighted tests driven that stand behind it, of minor faults. */
  readonly exposure: number;
  readonly school: School;
}

/** What else is known of a learner besides the drives. */
export interface Known {
  /** What the standards of the drives look at, by id; a drive under one that is not among them shows nothing. */
  readonly sights?: ReadonlyMap<string, StandardSight>;
  readonly lessons?: readonly Lesson[];
  /** Where the driving test is. */
  readonly centre?: string;
}

/** Points this unlikely are left out: together they would not move a chance by a thousandth. */
const leastWeight = 1e-12;

/**
 * The posterior on a day. Evidence of later days is not looked at, and drives of another kind of test say nothing.
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
  known: Known = {},
): Posterior {
  const seen = seenOf(on, standard, evidence, school, known);
  const drives = seen.map((one) => one.evidence);
  const course = { on: on.getTime(), fadesFrom: on.getTime(), lessons: known.lessons ?? [] };
  const all = sightsOf(seen, course, assumptions, school);
  const whole = practisedUpTo(drives, course);
  const [usual] = fallsOf({ ...assumptions, fallSpread: 0 })[0]!;
  const { sights, change } = heldTogether(all, assumptions, usual);
  const real = Math.exp(logOfRealTest(school, known.centre, usualMarker(drives)));
  const pointsOf = (of: readonly Sight[]) =>
    weigh(of, assumptions, whole)
      .filter(({ weight }) => weight > leastWeight)
      // The test that is asked about is a real one.
      .map((point) => ({ ...point, counted: real * point.counted, outright: real * point.outright }))
      .sort((a, b) => a.counted - b.counted || a.outright - b.outright);
  return {
    cells: cellsOf(standard, seen, on.getTime(), assumptions, school, known.lessons ?? []),
    points: pointsOf(sights),
    ...(change && {
      change: { drives: change.drives, chance: change.chance, to: change.to, points: pointsOf(change.last) },
    }),
    form: assumptions.form,
    power: assumptions.power,
    practised: whole,
    fallsFor: assumptions.fallsFor,
    exposure: all.reduce((sum, { weight, logCounted }) => sum + weight * Math.exp(logCounted), 0),
    school,
  };
}

/** The drives up to a day with what each could have shown of a test, those that show nothing of it left out. */
export function seenOf(
  on: Date,
  standard: EffectiveStandard,
  evidence: readonly Evidence[],
  school: School,
  { sights }: Known,
): readonly Seen[] {
  const asked = sightOf(standard);
  const factorOf = (id: string) => school.standards.get(id) ?? { counted: 1, outright: 1 };
  const here = factorOf(standard.id);
  return (
    evidence
      .filter(({ at }) => Date.parse(at) <= on.getTime())
      // In one order, so that a sum is the same to the last digit however the drives arrive.
      .sort(inOrder)
      .flatMap((one): readonly Seen[] => {
        const own = one.standard === standard.id ? asked : sights?.get(one.standard);
        const shown = shownOf(asked, own, one.drove, school);
        if (shown.share.counted + shown.share.outright === 0) return [];
        const there = factorOf(one.standard);
        const factor = { counted: there.counted / here.counted, outright: there.outright / here.outright };
        return [{ evidence: one, shown, factor }];
      })
  );
}

function inOrder(a: Evidence, b: Evidence): number {
  const key = ({ at, kind, counts }: Evidence) => `${at} ${kind} ${JSON.stringify(counts)}`;
  return a.at === b.at ? (key(a) < key(b) ? -1 : 1) : a.at < b.at ? -1 : 1;
}

function cellsOf(
  standard: EffectiveStandard,
  seen: readonly Seen[],
  on: number,
  assumptions: Assumptions,
  school: School,
  lessons: readonly Lesson[],
): readonly Cell[] {
  const rules = rulesOf(standard);
  const { byBehaviour, items } = rules;
  const weights = seen.map(({ evidence }) => ageWeight(evidence.at, on, assumptions));
  const held = lessons.filter(({ start }) => Date.parse(`${start}Z`) <= on);
  /** What is left of the faults of an area by the lessons that were for it since a drive. */
  const practised = (category: string, { at }: Evidence) => {
    const n = held.filter(
      ({ start, areas }) => areas.includes(category) && start.slice(0, 10) > at.slice(0, 10),
    ).length;
    return (1 - assumptions.practised) ** n;
  };
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
    const { behaviour, severity, category } = cell;
    const marks = seen.reduce((sum, { evidence, shown }, i) => {
      const n = shown.behaviours.has(behaviour) ? (evidence.counts[behaviour]?.[severity] ?? 0) : 0;
      return n === 0 ? sum : sum + n * weights[i]! * practised(category, evidence);
    }, 0);
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

/** What will be believed after some practice if faults go on falling as they may: each point at its own speed. */
export function projected(posterior: Posterior, ahead: Practice): Posterior {
  const { power, change, practised, fallsFor } = posterior;
  const later: Practice = { lessons: practised.lessons + ahead.lessons, weeks: practised.weeks + ahead.weeks };
  const gone = (points: readonly WeighedPoint[]) =>
    points.map((point) => {
      const by = goneAfter(point.fall, later, fallsFor) - goneAfter(point.fall, practised, fallsFor);
      return { ...point, counted: point.counted * Math.exp(-by), outright: point.outright * Math.exp(-power * by) };
    });
  return {
    ...posterior,
    practised: later,
    points: gone(posterior.points),
    ...(change && { change: { ...change, points: gone(change.points) } }),
  };
}
