import type { EffectiveStandard } from '../marking/standard';
import { compileStandard, type CompiledStandard } from './compiled';
import { exactChance, exactChances } from './exact';
import type { Posterior } from './posterior';
import { simulate, usualEffort, type Chance, type Effort } from './simulate';

/** Where the chance lies in nine of ten cases. */
const interval = [0.05, 0.95] as const;

/** A chance and how likely it is that it is the one. */
interface Weighed {
  readonly chance: number;
  readonly weight: number;
}

/**
 * The chance of a pass: exact where the standard has a closed form, else simulated through its own limits. The interval takes in
 * that the last drives may differ from the ones before.
 * @param seed any whole number; the same gives the same chance
 */
export function chanceOf(
  standard: EffectiveStandard,
  posterior: Posterior,
  seed: number,
  effort: Effort = usualEffort,
  compiled: CompiledStandard = compileStandard(standard),
): Chance {
  return exactly(standard, posterior, effort) ?? simulated(standard, posterior, seed, effort, compiled);
}

function exactly(standard: EffectiveStandard, posterior: Posterior, { asksFailed }: Effort): Chance | undefined {
  const chanceAt = exactChances(standard, posterior);
  if (!chanceAt) return undefined;
  const { points, change } = posterior;
  const weighed = (of: Posterior['points']) => of.map((point) => ({ chance: chanceAt(point), weight: point.weight }));
  const whole = weighed(points);
  const categories = asksFailed ? [...new Set(posterior.cells.map(({ category }) => category))] : [];
  return {
    mean: whole.reduce((sum, { chance, weight }) => sum + weight * chance, 0),
    ...intervalOf(whole, change && { chance: change.chance, ways: weighed(change.points) }),
    halved: new Map(
      categories.map((code) => [code, exactChance(standard, posterior, (one) => (one === code ? 0.5 : 1))!]),
    ),
    tests: 0,
  };
}

function simulated(
  standard: EffectiveStandard,
  posterior: Posterior,
  seed: number,
  effort: Effort,
  compiled: CompiledStandard,
): Chance {
  const { chances, ...chance } = simulate(standard, posterior, seed, effort, compiled);
  const { change } = posterior;
  const alike = (of: readonly number[]) => of.map((one) => ({ chance: one, weight: 1 / of.length }));
  const last =
    change &&
    simulate(standard, { ...posterior, points: change.points }, seed, { ...effort, asksFailed: false }, compiled);
  return { ...chance, ...intervalOf(alike(chances), change && { chance: change.chance, ways: alike(last!.chances) }) };
}

/** Where nine of ten of the ways a learner may be lie, with those by the last drives alone as likely as something has changed. */
function intervalOf(
  whole: readonly Weighed[],
  change: { readonly chance: number; readonly ways: readonly Weighed[] } | undefined,
): Pick<Chance, 'from' | 'to'> {
  const ways = [
    ...whole.map((one) => ({ ...one, weight: one.weight * (1 - (change?.chance ?? 0)) })),
    ...(change?.ways ?? []).map((one) => ({ ...one, weight: one.weight * change!.chance })),
  ].sort((a, b) => a.chance - b.chance);
  const total = ways.reduce((sum, { weight }) => sum + weight, 0);
  const at = (share: number): number => {
    let sum = 0;
    for (const { chance, weight } of ways) {
      sum += weight;
      if (sum >= share * total) return chance;
    }
    return ways.at(-1)?.chance ?? 0;
  };
  return { from: at(interval[0]), to: at(interval[1]) };
}
