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
const changesBeforehand = 0.65;
const changeSpread = 0.8;
const lastDrives = 2;
/** The last of many drives tell in threes. */
const manyDrives = 6;
/** Earlier drives count no further than so many standard errors from what the last ones explain (house default). */
const heldWithin = 1.25;

/** Drives of a learner as one: faults and tests by their weights, and so many drives that do not differ from each other. */
interface Together {
  readonly count: number;
  readonly tests: number;
  readonly drives: number;
}

/** Drives in the order of their moments, earlier ones as one, held to what the last ones explain. */
export interface HeldTogether {
  readonly sights: readonly Sight[];
  /** The last ones alone, where there are earlier ones. */
  readonly change?: Change & { readonly last: readonly Sight[] };
}

/**
 * Holds the faults of earlier drives to a band about what the last drives lead to expect of them, so that after a jump an
 * estimate follows. The band moves with the faults of the last drives alone, and only ever up with them, and earlier drives tell
 * by their sum: a fault more never helps.
 * @param sights in order of their moments
 * @param fall the usual fall of the school
 */
export function heldTogether(sights: readonly Sight[], a: Assumptions, fall: Practice): HeldTogether {
  // Clean drives at the end widen what is last and move nothing out of it, so that one more never makes early of late.
  const clean = sights.length - 1 - sights.findLastIndex(({ counted, outright }) => counted + outright > 0);
  const wanted = clean + (sights.length - clean >= manyDrives ? lastDrives + 1 : lastDrives);
  // Drives of one moment are on one side, whatever order they come in.
  const lastFrom = sights.at(-wanted)?.atMs ?? -Infinity;
  const [early, last] = [sights.filter(({ atMs }) => atMs < lastFrom), sights.filter(({ atMs }) => atMs >= lastFrom)];
  if (early.length === 0) return { sights };
  const together = (of: readonly Sight[], kind: FaultKind): Together => {
    const sum = { count: 0, tests: 0, drives: 0 };
    for (const sight of of) {
      const { weight, known, practised } = sight;
      const gone = goneAfter(fall, practised, a.fallsFor);
      const logTests = kind === 'counted' ? sight.logCounted - gone : sight.logOutright - a.power * gone;
      sum.count += weight * sight[kind];
      sum.tests += weight * exp(logTests + known * log(a.knownRoads));
      sum.drives += weight;
    }
    return sum;
  };
  const before = { counted: together(early, 'counted'), outright: together(early, 'outright') };
  const held = (kind: FaultKind): number => heldTo(before[kind], together(last, kind), a[kind], a.form);
  const { drives } = before.counted;
  const mean = (key: keyof Practice) =>
    early.reduce((sum, { practised, weight }) => sum + weight * practised[key], 0) / drives;
  const practised: Practice = { lessons: mean('lessons'), weeks: mean('weeks') };
  const gone = goneAfter(fall, practised, a.fallsFor);
  const asOne: Sight = {
    atMs: early.at(-1)!.atMs,
    counted: held('counted'),
    outright: held('outright'),
    logCounted: log(before.counted.tests) + gone,
    logOutright: log(before.outright.tests) + a.power * gone,
    known: 0,
    practised,
    weight: 1,
    drives,
  };
  const change = changeBetween(before.counted, together(last, 'counted'), a.form);
  return { sights: [asOne, ...last], ...(change && { change: { drives: last.length, ...change, last } }) };
}

/** The faults of earlier drives, held to a band about what the last ones lead to expect; `usual` are those of a test in the school. */
function heldTo(before: Together, now: Together, usual: number, form: number): number {
  if (before.tests <= 0 || now.tests <= 0) return before.count;
  const expected = (before.tests * (now.count + 1)) / (now.tests + 1 / usual);
  const spread = sqrt(1 / (now.count + 1) + form ** 2 * (1 / before.drives + 1 / now.drives));
  return max(expected * exp(-heldWithin * spread), min(expected * exp(heldWithin * spread), before.count));
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
