import lgamma from '@stdlib/math-base-special-gammaln';
import { defaultAssumptions, sharesOf, unknownSchool, type Assumptions, type Factor, type School } from './assumptions';
import type { Evidence } from './evidence';
import { coarse, logEvidence, priorLattice, sightsOf, usualMarker, wholly, type Sight } from './level';
import type { Lesson } from './practice';
import type { TestKind } from '../marking/test-kind';

const { abs, exp, log, max, min } = Math;

/** What is known of one learner of a school. */
export interface SchoolLearner {
  readonly evidence: readonly Evidence[];
  readonly lessons?: readonly Lesson[];
}

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
  { key: 'fallLesson', scale: 'plain', spread: 0.025, from: 0, to: 0.2 },
  { key: 'fallsFor', scale: 'log', spread: 1, from: 2, to: 200 },
  { key: 'fallWeek', scale: 'plain', spread: 0.003, from: 0, to: 0.1 },
  { key: 'form', scale: 'log', spread: 0.6, from: 0.02, to: 0.8 },
  { key: 'power', scale: 'plain', spread: 0.25, from: 0, to: 1.5 },
  { key: 'ownShape', scale: 'log', spread: 0.5, from: 0.3, to: 6 },
  { key: 'knownRoads', scale: 'log', spread: 0.12, from: 0.4, to: 1.2 },
];
/** How far markers, standards, test centres and real tests differ: standard deviations of the logarithm (house defaults). */
const spreads = { marker: 0.15, standard: 0.5, centre: 0.14, 'real-test': 0.14 } as const;
type FactorKind = keyof typeof spreads;
const rounds = 8;
const farthest = 4;
/** Figures are fitted on so many learners at most, spread over the school. */
const mostLearners = 600;

/** A factor that is fitted beside the figures. */
interface Parameter {
  readonly kind: FactorKind;
  readonly of: string;
  /** Which faults it bears on. */
  readonly on: 'both' | 'counted' | 'outright';
  readonly drives: number;
}

/** The drives of a learner with the factors that bear on each, by their places among the parameters. */
interface Fitted {
  readonly sights: readonly Sight[];
  readonly factors: readonly { readonly counted: readonly number[]; readonly outright: readonly number[] }[];
}

const countsBy = <T>(all: readonly T[], key: (one: T) => string | undefined): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>();
  for (const one of all) {
    const of = key(one);
    if (of !== undefined) counts.set(of, (counts.get(of) ?? 0) + 1);
  }
  return new Map([...counts].sort(([a], [b]) => (a < b ? -1 : 1)));
};

/** The standard that is driven most, of which the others are multiples. */
const mostDriven = (counts: ReadonlyMap<string, number>): string | undefined =>
  [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0];

function parametersOf(learners: readonly SchoolLearner[]): readonly Parameter[] {
  const all = learners.flatMap(({ evidence }) => evidence);
  const sheets = all.filter(({ kind }) => kind === 'sheet');
  const standards = countsBy(all, ({ standard }) => standard);
  const first = mostDriven(standards);
  const tests = learners.flatMap(({ evidence }) => {
    const marker = usualMarker(evidence);
    return marker === undefined ? [] : evidence.filter(({ kind }) => kind === 'sheet').map(() => marker);
  });
  const factor =
    (kind: FactorKind, on: Parameter['on'] = 'both') =>
    ([of, drives]: readonly [string, number]): Parameter => ({ kind, of, on, drives });
  const others = [...standards].filter(([id]) => id !== first);
  return [
    ...[...countsBy(all, ({ marker }) => marker)].map(factor('marker')),
    ...others.map(factor('standard', 'counted')),
    ...others.map(factor('standard', 'outright')),
    ...[...countsBy(sheets, ({ centre }) => centre)].map(factor('centre')),
    ...[...countsBy(tests, (marker) => marker)].map(factor('real-test')),
  ];
}

/**
 * The figures of a school by empirical Bayes, in tests of one kind: those under which its learners' drives were likeliest, drawn
 * toward the stated defaults by how far schools are taken to differ. Where there are few learners the defaults hold; there is no
 * step from one to the other. Standards, markers, test centres and real tests have factors of their own, drawn to one. Yields
 * between pieces of work of some milliseconds, so that a server can do other things.
 * @param learners the drives, sheets and lessons of each learner of the school
 */
export function* fitSteps(learners: readonly SchoolLearner[], test: TestKind): Generator<undefined, School> {
  const driven = learners
    .map(({ evidence, lessons }) => ({
      evidence: evidence.filter((one) => one.test === test),
      ...(lessons && { lessons }),
    }))
    .filter(({ evidence }) => evidence.length > 0);
  if (driven.length === 0) return unknownSchool;
  // Those who had a real test tell what mock tests cannot: all of them are among those looked at.
  const tested = driven.filter(({ evidence }) => evidence.some(({ kind }) => kind === 'sheet'));
  const rest = driven.filter((one) => !tested.includes(one));
  const room = max(0, mostLearners - min(mostLearners, tested.length));
  const some = [...everyFew(tested, mostLearners), ...everyFew(rest, room)];
  const parameters = parametersOf(some);
  const offset = figures.length;
  const fitted = some.map((learner) => fittedOf(learner, parameters, offset));
  const markers = parameters.flatMap(({ kind, drives }, i) =>
    kind === 'marker' ? [[offset + i, drives] as const] : [],
  );
  const marked = markers.reduce((sum, [, drives]) => sum + drives, 0);

  const start = [
    ...figures.map(({ key, scale }) => (scale === 'log' ? log(defaultAssumptions[key]) : defaultAssumptions[key])),
    ...parameters.map(() => 0),
  ];
  const spread = [...figures.map((figure) => figure.spread), ...parameters.map(({ kind }) => spreads[kind])];
  const at = [...start];
  const errors = [...spread];

  const assumptionsAt = (x: readonly number[]): Assumptions => {
    const changed = figures.map(({ key, scale, from, to }, i) => [
      key,
      max(from, min(to, scale === 'log' ? exp(x[i]!) : x[i]!)),
    ]);
    return { ...defaultAssumptions, ...(Object.fromEntries(changed) as Partial<Assumptions>) };
  };
  /** The average marker is that of the school, else a weak school would pass for one with strict markers. */
  const centred = (x: readonly number[]): readonly number[] => {
    const average = markers.reduce((sum, [i, drives]) => sum + (x[i]! * drives) / marked, 0);
    const logs = [...x];
    for (const [i] of markers) logs[i]! -= average;
    return logs;
  };
  /** The logarithm of how likely everything is at these figures. */
  function* likely(x: readonly number[]): Generator<undefined, number> {
    const a = assumptionsAt(x);
    const prior = priorLattice(a, coarse);
    const logs = centred(x);
    let sum = 0;
    for (let i = 0; i < x.length; i++) sum -= 0.5 * ((x[i]! - start[i]!) / spread[i]!) ** 2;
    for (const [n, one] of fitted.entries()) {
      sum += logEvidence(withFactors(one, logs), a, prior, coarse);
      if (a.form > 0) {
        const shape = 1 / a.form ** 2;
        for (const { counted } of one.sights) sum += lgamma(shape + counted) - lgamma(shape) - counted * log(shape);
      }
      if (n % 50 === 49) yield;
    }
    return sum;
  }

  let here = yield* likely(at);
  for (let round = 0; round < rounds; round++) {
    let moved = 0;
    const before = [...at];
    for (let i = 0; i < at.length; i++) {
      const step = max(0.25 * errors[i]!, 0.02 * spread[i]!);
      const asked = (x: number) => likely(at.map((value, j) => (j === i ? x : value)));
      const above = yield* asked(at[i]! + step);
      const below = yield* asked(at[i]! - step);
      const slope = (above - below) / (2 * step);
      const bend = (above - 2 * here + below) / step ** 2;
      // Where it bends the wrong way a step uphill does.
      const error = bend < -1e-9 ? min(spread[i]!, (-bend) ** -0.5) : spread[i]!;
      const wanted = bend < -1e-9 ? -slope / bend : Math.sign(slope) * spread[i]! * 0.5;
      const to = at[i]! + max(-2 * spread[i]!, min(2 * spread[i]!, wanted));
      const there = yield* asked(to);
      errors[i] = error;
      const best = max(here, above, below, there);
      const next = best === there ? to : best === above ? at[i]! + step : best === below ? at[i]! - step : at[i]!;
      moved = max(moved, abs(next - at[i]!) / error);
      at[i] = next;
      here = best;
    }
    if (moved < 0.05) break;
    // Figures that go together creep along a ridge: further the same way for as long as it is uphill.
    for (let far = 1; far <= farthest; far *= 2) {
      const further = at.map((value, i) => value + far * (value - before[i]!));
      const there = yield* likely(further);
      if (there <= here) break;
      here = there;
      for (const [i, value] of further.entries()) at[i] = value;
    }
  }

  const logs = centred(at);
  const factors = (kind: FactorKind): ReadonlyMap<string, Factor> =>
    new Map(
      parameters.flatMap((one, i) =>
        one.kind === kind
          ? [[one.of, { factor: exp(logs[offset + i]!), error: errors[offset + i]!, drives: one.drives }] as const]
          : [],
      ),
    );
  return {
    assumptions: assumptionsAt(at),
    errors: Object.fromEntries(figures.map(({ key }, i) => [key, errors[i]!])),
    ...sharesOf(driven.flatMap(({ evidence }) => evidence.map(({ counts }) => counts))),
    markers: factors('marker'),
    standards: standardsOf(some, parameters, logs.slice(offset)),
    centres: factors('centre'),
    realTests: factors('real-test'),
    learners: driven.length,
    drives: driven.reduce((sum, { evidence }) => sum + evidence.length, 0),
  };
}

function everyFew<T>(all: readonly T[], most: number): readonly T[] {
  const every = max(1, all.length / max(1, most));
  return Array.from({ length: min(all.length, most) }, (_, i) => all[Math.floor(i * every)]!);
}

const noFactors = { markers: new Map(), centres: new Map(), realTests: new Map() };

function fittedOf({ evidence, lessons = [] }: SchoolLearner, parameters: readonly Parameter[], offset: number): Fitted {
  const on = max(...evidence.map(({ at }) => Date.parse(at)));
  const marker = usualMarker(evidence);
  // A learner's own drives do not fade against each other here: the figures are of the school, at any time.
  const driven = evidence.filter(({ exposure }) => exposure > 0);
  const sights = sightsOf(driven.map(wholly), { on, lessons }, defaultAssumptions, noFactors);
  const factors = driven.map((one) => {
    const keys: Readonly<Record<FactorKind, string | undefined>> =
      one.kind === 'sheet'
        ? { marker: undefined, standard: one.standard, centre: one.centre, 'real-test': marker }
        : { marker: one.marker, standard: one.standard, centre: undefined, 'real-test': undefined };
    const on = (severity: 'counted' | 'outright') =>
      parameters.flatMap((parameter, i) =>
        keys[parameter.kind] === parameter.of && (parameter.on === 'both' || parameter.on === severity)
          ? [offset + i]
          : [],
      );
    return { counted: on('counted'), outright: on('outright') };
  });
  return { sights, factors };
}

function withFactors({ sights, factors }: Fitted, logs: readonly number[]): readonly Sight[] {
  return sights.map((sight, n) => {
    let { logCounted, logOutright } = sight;
    for (const i of factors[n]!.counted) logCounted += logs[i]!;
    for (const i of factors[n]!.outright) logOutright += logs[i]!;
    return { ...sight, logCounted, logOutright };
  });
}

/** The standards of a school, the one that is driven most being 1. */
function standardsOf(
  learners: readonly SchoolLearner[],
  parameters: readonly Parameter[],
  logs: readonly number[],
): School['standards'] {
  const counts = countsBy(
    learners.flatMap(({ evidence }) => evidence),
    ({ standard }) => standard,
  );
  return new Map(
    [...counts].map(([id, drives]) => {
      const of = (on: Parameter['on']) => {
        const i = parameters.findIndex((one) => one.kind === 'standard' && one.of === id && one.on === on);
        return i < 0 ? 1 : exp(logs[i]!);
      };
      return [id, { counted: of('counted'), outright: of('outright'), drives }] as const;
    }),
  );
}

/** The figures of a school at once. It takes seconds for a large one: never where others wait. */
export function fitSchool(learners: readonly SchoolLearner[], test: TestKind): School {
  const steps = fitSteps(learners, test);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
