import lgamma from '@stdlib/math-base-special-gammaln';
import { defaultAssumptions, sharesOf, type Assumptions, type MarkerSeverity, type School } from './assumptions';
import type { Evidence } from './evidence';
import { coarse, logEvidence, priorLattice, sightsOf } from './level';

const { abs, exp, log, max, min } = Math;

/** A figure of a school: the scale on which it is fitted, and how far schools differ from the stated default. */
interface Figure {
  readonly key: keyof Assumptions;
  readonly scale: 'log' | 'plain';
  /** Standard deviation about the default, on that scale (house default). */
  readonly spread: number;
  readonly from: number;
  readonly to: number;
}

const figures: readonly Figure[] = [
  { key: 'counted', scale: 'log', spread: 0.7, from: 0.5, to: 60 },
  { key: 'outright', scale: 'log', spread: 0.7, from: 0.01, to: 6 },
  { key: 'levelSpread', scale: 'log', spread: 0.35, from: 0.1, to: 1.5 },
  { key: 'fall', scale: 'plain', spread: 0.12, from: -0.3, to: 0.6 },
  { key: 'form', scale: 'log', spread: 0.6, from: 0.02, to: 0.8 },
  { key: 'power', scale: 'plain', spread: 0.25, from: 0, to: 1.5 },
  { key: 'ownShape', scale: 'log', spread: 0.5, from: 0.3, to: 6 },
  { key: 'knownRoads', scale: 'log', spread: 0.12, from: 0.4, to: 1.2 },
];
/** How far markers differ in severity, as a standard deviation of the logarithm (house default): all are shrunk to 1. */
const markerSpread = 0.15;
const rounds = 5;
/** Figures are fitted on so many learners at most, spread over the school. */
const mostLearners = 600;

/**
 * The figures of a school by empirical Bayes: those under which its learners' drives were likeliest, drawn toward the
 * stated defaults by how far schools are taken to differ. Where there are few learners the defaults hold; there is no
 * step from one to the other. Yields between pieces of work of some milliseconds, so that a server can do other things.
 * @param learners the drives and sheets of each learner of the school
 */
export function* fitSteps(learners: readonly (readonly Evidence[])[]): Generator<undefined, School> {
  const driven = learners.filter((evidence) => evidence.length > 0);
  const every = max(1, driven.length / mostLearners);
  const some = Array.from({ length: min(driven.length, mostLearners) }, (_, i) => driven[Math.floor(i * every)]!);
  // A learner's own drives do not fade against each other here: the figures are of the school, at any time.
  const seen = some.map((evidence) => sightsOf(evidence, 0, defaultAssumptions));
  const markers = [...new Set(some.flat().flatMap(({ marker }) => marker ?? []))].sort();
  const start = figures.map(({ key, scale }) =>
    scale === 'log' ? log(defaultAssumptions[key]) : defaultAssumptions[key],
  );
  const at = [...start, ...markers.map(() => 0)];
  const spreads = [...figures.map(({ spread }) => spread), ...markers.map(() => markerSpread)];
  const errors = [...spreads];

  const assumptionsAt = (x: readonly number[]): Assumptions => {
    const changed = figures.map(({ key, scale, from, to }, i) => [
      key,
      max(from, min(to, scale === 'log' ? exp(x[i]!) : x[i]!)),
    ]);
    return { ...defaultAssumptions, ...(Object.fromEntries(changed) as Partial<Assumptions>) };
  };
  const drivesBy = new Map<string, number>();
  for (const { marker } of some.flat()) if (marker !== undefined) drivesBy.set(marker, (drivesBy.get(marker) ?? 0) + 1);
  const markedDrives = [...drivesBy.values()].reduce((sum, n) => sum + n, 0);
  /** The average marker is that of the school, else a weak school would pass for one with strict markers. */
  const severities = (x: readonly number[]) => {
    const own = x.slice(figures.length);
    const average = markers.reduce((sum, marker, i) => sum + (own[i]! * drivesBy.get(marker)!) / markedDrives, 0);
    return new Map(markers.map((marker, i) => [marker, { factor: exp(own[i]! - average) }]));
  };
  /** The logarithm of how likely everything is at these figures. */
  function* likely(x: readonly number[]): Generator<undefined, number> {
    const a = assumptionsAt(x);
    const prior = priorLattice(a, coarse);
    const known = severities(x);
    let sum = 0;
    for (let i = 0; i < x.length; i++) sum -= 0.5 * ((x[i]! - (start[i] ?? 0)) / spreads[i]!) ** 2;
    for (const [n, sights] of seen.entries()) {
      sum += logEvidence(sights, a, known, prior, coarse);
      if (a.form > 0) {
        const shape = 1 / a.form ** 2;
        for (const { counted } of sights) sum += lgamma(shape + counted) - lgamma(shape) - counted * log(shape);
      }
      if (n % 50 === 49) yield;
    }
    return sum;
  }

  let here = yield* likely(at);
  for (let round = 0; round < rounds && some.length > 0; round++) {
    let moved = 0;
    for (let i = 0; i < at.length; i++) {
      const step = max(0.25 * errors[i]!, 0.02 * spreads[i]!);
      const asked = (x: number) => likely(at.map((value, j) => (j === i ? x : value)));
      const above = yield* asked(at[i]! + step);
      const below = yield* asked(at[i]! - step);
      const slope = (above - below) / (2 * step);
      const bend = (above - 2 * here + below) / step ** 2;
      // Where it bends the wrong way a step uphill does.
      const error = bend < -1e-9 ? min(spreads[i]!, (-bend) ** -0.5) : spreads[i]!;
      const wanted = bend < -1e-9 ? -slope / bend : Math.sign(slope) * spreads[i]! * 0.5;
      const to = at[i]! + max(-2 * spreads[i]!, min(2 * spreads[i]!, wanted));
      const there = yield* asked(to);
      errors[i] = error;
      const best = max(here, above, below, there);
      const next = best === there ? to : best === above ? at[i]! + step : best === below ? at[i]! - step : at[i]!;
      moved = max(moved, abs(next - at[i]!) / error);
      at[i] = next;
      here = best;
    }
    if (moved < 0.05) break;
  }

  const factors = severities(at);
  return {
    assumptions: assumptionsAt(at),
    errors: Object.fromEntries(figures.map(({ key }, i) => [key, errors[i]!])),
    ...sharesOf(driven.flat().map(({ counts }) => counts)),
    markers: new Map(
      markers.map((marker, i): readonly [string, MarkerSeverity] => [
        marker,
        {
          ...factors.get(marker)!,
          error: errors[figures.length + i]!,
          drives: drivesBy.get(marker)!,
        },
      ]),
    ),
    learners: driven.length,
    drives: driven.reduce((sum, evidence) => sum + evidence.filter(({ kind }) => kind === 'drive').length, 0),
  };
}

/** `fitSteps` at one go. */
export function fitSchool(learners: readonly (readonly Evidence[])[]): School {
  const steps = fitSteps(learners);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
