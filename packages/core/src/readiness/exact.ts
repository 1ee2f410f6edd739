import { gradeFor } from '../marking/compare/translate';
import { cellAt, countsMarks, gradesOf, rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import type { FaultKind } from './evidence';
import type { WeighedPoint } from './level';
import type { Posterior } from './posterior';

// Looked up once: they are asked for millions of times.
const { exp } = Math;

/** How many of the faults of an area are left, by its code; all where it is missing. */
type Left = (category: string) => number;
const all: Left = () => 1;

/** What one limit adds up, as shares of the faults of each severity: free ones, and groups that a cap holds together. */
interface Sums {
  readonly allowed: number;
  readonly free: Record<FaultKind, number>;
  readonly capped: Map<string, { readonly atMost: number } & Record<FaultKind, number>>;
}

/**
 * The chance of a pass without simulation, where the standard has a closed form: every fault draws on one limit of
 * the whole test at most, and caps hold groups of items together. Counts are Poisson then, given the learner and the
 * day. Where faults fall is taken at its mean.
 * @returns 0 to 1; undefined where the standard has no such form
 */
export function exactChance(standard: EffectiveStandard, posterior: Posterior, left: Left = all): number | undefined {
  const chances = exactChances(standard, posterior, left);
  return chances && posterior.points.reduce((sum, { weight }, i) => sum + weight * chances(posterior.points[i]!), 0);
}

/** The same for each way a learner may be. */
export function exactChances(
  standard: EffectiveStandard,
  posterior: Posterior,
  left: Left = all,
): ((point: Pick<WeighedPoint, 'counted' | 'outright'>) => number) | undefined {
  const limits = sumsOf(standard, posterior, left);
  if (!limits) return undefined;
  const days = daysOf(posterior.form);
  const byDay = limits.map((limit) => withinByDay(limit, days));
  return ({ counted, outright }) => {
    const each = byDay.map((of) => of(counted, outright));
    let passed = 0;
    for (let d = 0; d < days.length; d++) {
      let within = days[d]!.chance;
      for (const one of each) within *= one[d]!;
      passed += within;
    }
    return passed;
  };
}

/**
 * The chances to stay within a limit on each day. Many ways a learner may be share their minor or their failing faults: where a
 * limit looks at one kind alone it is worked out once for all of them.
 */
function withinByDay(limit: Sums, days: readonly Day[]): (counted: number, outright: number) => Float64Array {
  const groups = [limit.free, ...limit.capped.values()];
  const looksAt = (kind: FaultKind) => groups.some((group) => group[kind] > 0);
  const known = new Map<number, Float64Array>();
  const work = (counted: number, outright: number) =>
    Float64Array.from(days, ({ factor }) => withinLimit(limit, counted * factor, outright * factor));
  const both = looksAt('counted') && looksAt('outright');
  return (counted, outright) => {
    if (both) return work(counted, outright);
    const key = looksAt('outright') ? outright : counted;
    const found = known.get(key) ?? work(counted, outright);
    known.set(key, found);
    return found;
  };
}

function sumsOf(standard: EffectiveStandard, posterior: Posterior, left: Left): readonly Sums[] | undefined {
  const rules = rulesOf(standard);
  const limits = standard.limits.filter(({ effect }) => effect.kind !== 'ask-upgrade');
  const simple = limits.every(
    ({ scope, measure, effect }) => scope.kind === 'test' && measure.kind === 'count' && effect.kind === 'fail-test',
  );
  if (!simple || standard.caps.some(({ over, free }) => over === 'each' || free !== undefined)) return undefined;
  const wholes = { counted: 0, outright: 0 };
  for (const { severity, shape } of posterior.cells) wholes[severity] += shape;
  const sums = new Map<string, Sums>(
    limits.map(({ code, allowed }) => [
      code,
      { allowed: allowed.value, free: { counted: 0, outright: 0 }, capped: new Map() },
    ]),
  );
  for (const { item: code, category, severity, shape } of posterior.cells) {
    const item = rules.items.get(code)?.item;
    const grade = item && gradeFor(gradesOf(standard, item), severity);
    if (!grade) continue;
    const cell = cellAt(rules, code, grade.code);
    const drawn = (cell?.draws ?? []).filter(
      ({ limit }) => limit.effect.kind === 'fail-test' && countsMarks(limit.measure),
    );
    if (drawn.length > 1) return undefined;
    const sum = drawn[0] && sums.get(drawn[0].limit.code);
    if (!sum) continue;
    const cap = cell?.cap?.cap;
    const group = cap
      ? (sum.capped.get(cap.code) ?? { atMost: cap.atMost?.value ?? Infinity, counted: 0, outright: 0 })
      : sum.free;
    group[severity] += (left(category) * shape) / wholes[severity];
    if (cap) sum.capped.set(cap.code, group as { atMost: number } & Record<FaultKind, number>);
  }
  return [...sums.values()];
}

interface Day {
  readonly factor: number;
  readonly chance: number;
}

/** Factors of a day with their chances: a gamma distribution of mean 1, in steps of its logarithm. */
function daysOf(form: number): readonly Day[] {
  if (form === 0) return [{ factor: 1, chance: 1 }];
  const shape = 1 / form ** 2;
  const steps = Array.from({ length: 33 }, (_, i) => (i - 20) * 0.5 * form);
  const densities = steps.map((x) => exp(shape * (x - exp(x) + 1)));
  const total = densities.reduce((sum, one) => sum + one, 0);
  return steps.map((x, i) => ({ factor: exp(x), chance: densities[i]! / total }));
}

/** The chance that faults, with those of each capped group counting at most so often, stay within what is allowed. */
function withinLimit({ allowed, free, capped }: Sums, counted: number, outright: number): number {
  const mean = (group: Record<FaultKind, number>) => counted * group.counted + outright * group.outright;
  let sums = poissonChances(mean(free), allowed);
  for (const group of capped.values()) {
    const one = poissonChances(mean(group), allowed);
    sums = convolved(sums, group.atMost > allowed ? one : cappedAt(one, group.atMost));
  }
  return sums.reduce((sum, chance) => sum + chance, 0);
}

/** The chances of 0, 1, … `most` events of a Poisson count. */
function poissonChances(mean: number, most: number): readonly number[] {
  const chances = [exp(-mean)];
  for (let n = 1; n <= most; n++) chances.push((chances[n - 1]! * mean) / n);
  return chances;
}

/** What counts of a capped group: all that is above the cap stands at the cap. */
function cappedAt(chances: readonly number[], atMost: number): readonly number[] {
  const below = chances.slice(0, atMost);
  return [...below, 1 - below.reduce((sum, chance) => sum + chance, 0)];
}

function convolved(one: readonly number[], other: readonly number[]): readonly number[] {
  return one.map((_, n) => {
    let chance = 0;
    for (let i = 0; i <= n; i++) chance += one[i]! * (other[n - i] ?? 0);
    return chance;
  });
}
