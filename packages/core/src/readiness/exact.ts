import { gradeFor } from '../marking/translate';
import { countsMarks, drawKey, gradesOf, rulesOf } from '../marking/rules';
import type { Standard } from '../marking/standard';
import { countChances } from './gamma';
import type { Posterior } from './posterior';

/**
 * The chance of a pass without simulation, where the standard has a closed form: every fault draws on one limit of
 * the whole test at most, and caps hold groups of items together. Counts are negative binomial then.
 * @returns 0 to 1; undefined where the standard has no such form
 */
export function exactChance(raw: Standard, posterior: Posterior): number | undefined {
  const rules = rulesOf(raw);
  const { standard } = rules;
  const limits = standard.limits.filter(({ effect }) => effect.kind !== 'ask-upgrade');
  const simple = limits.every(
    ({ scope, measure, effect }) => scope.kind === 'test' && measure.kind === 'count' && effect.kind === 'fail-test',
  );
  if (!simple || standard.caps.some(({ over, free }) => over === 'each' || free !== undefined)) return undefined;
  // Shapes of what each limit adds up, capped groups apart.
  const groups = new Map<string, Group>();
  for (const { item: code, severity, shape } of posterior.cells) {
    const item = rules.items.get(code)?.item;
    const grade = item && gradeFor(gradesOf(standard, item), severity);
    if (!grade) continue;
    const key = drawKey(code, grade.code);
    const drawn = (rules.draws.get(key) ?? []).filter(
      ({ limit }) => limit.effect.kind === 'fail-test' && countsMarks(limit.measure),
    );
    if (drawn.length > 1) return undefined;
    const [draw] = drawn;
    if (!draw) continue;
    const group: Group = groups.get(draw.limit.code) ?? { shape: 0, capped: new Map() };
    groups.set(draw.limit.code, group);
    const cap = rules.caps.get(key);
    if (cap) {
      const known = group.capped.get(cap.code);
      group.capped.set(cap.code, { shape: (known?.shape ?? 0) + shape, atMost: cap.atMost?.value ?? Infinity });
    } else group.shape += shape;
  }
  return posterior.components.reduce((sum, { weight, rate }) => {
    let chance = weight;
    for (const limit of limits) {
      const group = groups.get(limit.code);
      if (group) chance *= withinLimit(group.shape, [...group.capped.values()], rate, limit.allowed.value);
    }
    return sum + chance;
  }, 0);
}

/** What one limit adds up: free faults, and groups that a cap holds together. */
interface Group {
  shape: number;
  readonly capped: Map<string, { readonly shape: number; readonly atMost: number }>;
}

/** The chance that faults, with those of each capped group counting at most so often, stay within what is allowed. */
function withinLimit(
  shape: number,
  capped: readonly { readonly shape: number; readonly atMost: number }[],
  rate: number,
  allowed: number,
): number {
  const distributions = [
    countChances(shape, rate, allowed),
    ...capped.map((group) => cappedChances(countChances(group.shape, rate, allowed), group.atMost, allowed)),
  ];
  const sums = distributions.reduce((one, other) =>
    Array.from({ length: allowed + 1 }, (_, n) => {
      let chance = 0;
      for (let i = 0; i <= n; i++) chance += (one[i] ?? 0) * (other[n - i] ?? 0);
      return chance;
    }),
  );
  return sums.reduce((sum, chance) => sum + chance, 0);
}

/** What counts of a capped group: all that is above the cap stands at the cap. */
function cappedChances(chances: readonly number[], atMost: number, allowed: number): readonly number[] {
  if (atMost > allowed) return chances;
  const below = chances.slice(0, atMost);
  return [...below, 1 - below.reduce((sum, chance) => sum + chance, 0)];
}
