import type { Assumptions } from './assumptions';
import type { FaultKind } from './evidence';
import { goneAfter, type Practice } from './practice';
import type { Sight } from './level';

const { exp, log, max, min, sqrt } = Math;

/** That the last drives differ from the ones before: after a break, in a new car, or when something was understood. */
export interface Change {
  /** How many last drives. */
  readonly drives: number;
  /** How likely it is that they differ by more than the course of lessons explains, 0 to 1. */
  readonly chance: number;
  readonly to: 'fewer' | 'more';
}

/** House defaults: how often something changes, by how much on a log scale, and how many last drives tell. */
const changesBeforehand = 0.5;
const changeSpread = 0.8;
const lastDrives = 2;
/** The last of many drives tell in threes. */
const manyDrives = 6;
/** Earlier drives count no further than so many standard errors from what the last ones explain (house default). */
const heldWithin = 2;

interface Together {
  readonly count: number;
  readonly tests: number;
  readonly drives: number;
}

/** Drives in the order of their moments, with earlier ones held to what the last ones explain. */
export interface HeldTogether {
  readonly sights: readonly Sight[];
  /** The last ones alone, where something seems to have changed. */
  readonly change?: Change & { readonly last: readonly Sight[] };
}

/**
 * Holds the faults of earlier drives to a band about what the last drives lead to expect of them, so that after a jump an
 * estimate follows. The band moves with the faults of the last drives alone, and only ever up with them: a fault more never helps.
 * @param sights in order of their moments
 * @param fall the usual fall of the school
 */
export function heldTogether(
  sights: readonly Sight[],
  a: Pick<Assumptions, 'counted' | 'outright' | 'form' | 'knownRoads' | 'power' | 'fallsFor'>,
  fall: Practice,
): HeldTogether {
  const n = sights.length >= manyDrives ? lastDrives + 1 : lastDrives;
  if (sights.length < n + 1) return { sights };
  const [early, last] = [sights.slice(0, -n), sights.slice(-n)];
  const together = (of: readonly Sight[], kind: FaultKind): Together => ({
    count: of.reduce((sum, sight) => sum + sight[kind], 0),
    tests: of.reduce((sum, { logCounted, logOutright, known, practised }) => {
      const gone = goneAfter(fall, practised, a.fallsFor);
      return kind === 'counted'
        ? sum + exp(logCounted + known * log(a.knownRoads) - gone)
        : sum + exp(logOutright + known * log(a.knownRoads) - a.power * gone);
    }, 0),
    drives: of.length,
  });
  const scale = { counted: 1, outright: 1 };
  const add = { counted: 0, outright: 0 };
  for (const kind of ['counted', 'outright'] as const) {
    const [before, now] = [together(early, kind), together(last, kind)];
    if (before.tests <= 0 || now.tests <= 0) continue;
    const expected = (before.tests * (now.count + 1)) / (now.tests + 1 / a[kind]);
    const spread = sqrt(1 / (now.count + 1) + a.form ** 2 * (1 / before.drives + 1 / now.drives));
    const most = expected * exp(heldWithin * spread);
    const least = expected * exp(-heldWithin * spread);
    if (before.count > most) scale[kind] = most / before.count;
    else if (before.count < least && before.count > 0) scale[kind] = least / before.count;
    else if (before.count < least) add[kind] = least / before.drives;
  }
  const held = early.map((sight) => ({
    ...sight,
    counted: sight.counted * scale.counted + add.counted,
    outright: sight.outright * scale.outright + add.outright,
  }));
  const change = changeBetween(together(early, 'counted'), together(last, 'counted'), a.form);
  return { sights: [...held, ...last], ...(change && { change: { drives: n, ...change, last } }) };
}

/** How likely two groups of drives have different rates: Bayes' factor of normal log rates. */
function changeBetween(before: Together, now: Together, form: number): Omit<Change, 'drives'> | undefined {
  if (before.tests <= 0 || now.tests <= 0) return undefined;
  const away = log((now.count + 0.5) / now.tests) - log((before.count + 0.5) / before.tests);
  const variance = 1 / (before.count + 0.5) + 1 / (now.count + 0.5) + form ** 2 * (1 / before.drives + 1 / now.drives);
  const wide = variance + changeSpread ** 2;
  const factor = sqrt(variance / wide) * exp((away ** 2 / 2) * (1 / variance - 1 / wide));
  const odds = (changesBeforehand / (1 - changesBeforehand)) * factor;
  return { chance: max(0, min(1, odds / (1 + odds))), to: away < 0 ? 'fewer' : 'more' };
}
