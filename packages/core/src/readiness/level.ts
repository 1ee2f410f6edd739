import type { Assumptions, School } from './assumptions';
import type { Evidence, FaultKind } from './evidence';
import { goneAfter, practiceOf, type Lesson, type Practice } from './practice';
import type { Shown } from './shown';

// Looked up once: these run millions of times.
const { exp, log, max, min, sqrt } = Math;
const dayMs = 86_400_000;

/** The lattice on which a learner is weighed: levels in spreads from the middle, failing faults as logarithms. */
interface Lattice {
  readonly levels: Float64Array;
  readonly own: Float64Array;
}

const steps = (from: number, to: number, step: number) =>
  Float64Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + step * i);
const fine: Lattice = { levels: steps(-3, 3, 0.25), own: steps(-5.25, 3.5, 0.25) };
/** Enough where only sums over many learners are asked for. */
export const coarse: Lattice = { levels: steps(-3, 3, 0.5), own: steps(-5, 3.5, 0.5) };

/** Gauss-Hermite points and weights: how fast a learner's faults fall, in spreads about the school's. */
const fallAt = [-sqrt(3), 0, sqrt(3)] as const;
const fallWeights = [1 / 6, 2 / 3, 1 / 6] as const;

/** One drive as the level sees it. */
export interface Sight {
  /** When it was driven, in milliseconds. */
  readonly atMs: number;
  readonly counted: number;
  readonly outright: number;
  /** Logarithms of the tests that it could have shown of either kind, times what was driven there and how it was marked. */
  readonly logCounted: number;
  readonly logOutright: number;
  /** How well the roads were known, 0 to 1. */
  readonly known: number;
  /** What was practised before it, since the learner began. */
  readonly practised: Practice;
  readonly weight: number;
  /** Stands for so many drives whose days differ; one where it is missing. */
  readonly drives?: number;
}

/** One way a learner may be. */
export interface WeighedPoint {
  readonly weight: number;
  /** Faults expected per test today, on strange roads, by an average marker. */
  readonly counted: number;
  readonly outright: number;
  /** How fast faults fall, as the logarithm of their share a lesson and a week. */
  readonly fall: Practice;
}

/** What a drive weighs on a day, 0 to 1: less as it ages. */
export const ageWeight = (at: string, on: number, { halfLifeDays }: Pick<Assumptions, 'halfLifeDays'>): number =>
  2 ** (-max(0, on - Date.parse(at)) / dayMs / halfLifeDays);

/** The marker of most of the mock tests among drives: whose marking the forecast rests on. */
export function usualMarker(evidence: readonly Pick<Evidence, 'marker'>[]): string | undefined {
  const drives = new Map<string, number>();
  for (const { marker } of evidence) if (marker !== undefined) drives.set(marker, (drives.get(marker) ?? 0) + 1);
  return [...drives].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0];
}

type Factors = Pick<School, 'markers' | 'centres' | 'realTests'>;

/** The logarithm of what driving tests at a centre bring beside the mock tests of a marker. */
export function logOfRealTest(factors: Factors, centre: string | undefined, marker: string | undefined): number {
  const of = (map: Factors['centres'], key: string | undefined) => log(map.get(key ?? '')?.factor ?? 1);
  return of(factors.centres, centre) + of(factors.realTests, marker);
}

/** A drive with what it could have shown of the test that is asked about. */
export interface Seen {
  readonly evidence: Evidence;
  readonly shown: Shown;
  /** Faults of a test of the drive's own standard, as multiples of those of the test that is asked about. */
  readonly factor: Readonly<Record<FaultKind, number>>;
}

/** A level is begun to be worked on with the first drive or lesson, and is asked for at a moment. */
export interface Course {
  /** Moment in milliseconds up to which practice counts. */
  readonly on: number;
  /** Moment from which drives fade; missing where none is to. */
  readonly fadesFrom?: number;
  readonly lessons: readonly Lesson[];
}

/** What a learner has practised in all, up to the moment that is asked for. */
export function practisedUpTo(evidence: readonly Evidence[], { on, lessons }: Course): Practice {
  const held = lessons.filter(({ start }) => Date.parse(`${start}Z`) <= on);
  const first = min(on, ...evidence.map(({ at }) => Date.parse(at)));
  // The first drive is where the learner begins.
  return practiceOf(evidence, held).between(first, on);
}

/**
 * The drives of a learner as the level sees them.
 * @param seen none later than the moment of the course, in any order
 */
export function sightsOf(
  seen: readonly Seen[],
  course: Course,
  assumptions: Pick<Assumptions, 'promptWeight' | 'halfLifeDays'>,
  factors: Factors,
): readonly Sight[] {
  const evidence = seen.map((one) => one.evidence);
  const marker = usualMarker(evidence);
  const held = course.lessons.filter(({ start }) => Date.parse(`${start}Z`) <= course.on);
  const { between } = practiceOf(evidence, held);
  const whole = practisedUpTo(evidence, course);
  return seen
    .filter(({ evidence: { exposure }, shown: { share } }) => exposure > 0 && share.counted + share.outright > 0)
    .map(({ evidence: one, shown, factor }) => {
      const total = (severity: FaultKind) => {
        let sum = 0;
        for (const behaviour in one.counts)
          if (shown.behaviours.has(behaviour)) sum += one.counts[behaviour]![severity];
        return sum;
      };
      const marked =
        one.kind === 'sheet'
          ? logOfRealTest(factors, one.centre, marker)
          : log(factors.markers.get(one.marker ?? '')?.factor ?? 1);
      const still = between(Date.parse(one.at), course.on);
      return {
        atMs: Date.parse(one.at),
        counted: total('counted') + assumptions.promptWeight * one.promptsAlone * shown.share.counted,
        outright: total('outright') + assumptions.promptWeight * one.interventionsAlone * shown.share.outright,
        logCounted: log(one.exposure * shown.share.counted * factor.counted) + marked,
        logOutright: log(one.exposure * shown.share.outright * factor.outright) + marked,
        known: one.knownShare ?? (one.familiarity === 'known' ? 1 : one.familiarity === 'partly' ? 0.5 : 0),
        practised: { lessons: whole.lessons - still.lessons, weeks: whole.weeks - still.weeks },
        weight: course.fadesFrom === undefined ? 1 : ageWeight(one.at, course.fadesFrom, assumptions),
      };
    });
}

/** Everything a test shows, of a standard that has no other beside it. */
export const wholly = (evidence: Evidence): Seen => ({
  evidence,
  shown: { share: { counted: 1, outright: 1 }, behaviours: new Set(Object.keys(evidence.counts)) },
  factor: { counted: 1, outright: 1 },
});

/** The chances of a lattice before anything is driven: log-normal levels, failing faults with a factor of their own. */
export function priorLattice({ levelSpread, power, ownShape }: Assumptions, { levels, own }: Lattice): Float64Array {
  const prior = new Float64Array(levels.length * own.length);
  let at = 0;
  let total = 0;
  for (const z of levels) {
    const level = levelSpread * z - levelSpread ** 2 / 2;
    for (const one of own) {
      const logFactor = one - power * level;
      const chance = exp(-0.5 * z * z + ownShape * (logFactor - exp(logFactor)));
      prior[at++] = chance;
      total += chance;
    }
  }
  return prior.map((chance) => chance / total);
}

interface Likelihoods {
  readonly byLevel: Float64Array;
  readonly byOwn: Float64Array;
  /** Logarithm that was taken off both, so that the largest of each is 1. */
  readonly scale: number;
}

/** How likely the drives are at each level and at each rate of failing faults. */
function likelihoods(sights: readonly Sight[], a: Assumptions, fall: Practice, { levels, own }: Lattice): Likelihoods {
  const byLevel = new Float64Array(levels.length);
  const byOwn = new Float64Array(own.length);
  const isSteady = a.form <= 0;
  const [logKnown, logCounted, logOutright] = [log(a.knownRoads), log(a.counted), log(a.outright)];
  // From one point of the lattice to the next the mean changes by the same factor: few exponentials are needed.
  const levelFactor = exp(a.levelSpread * (levels[1]! - levels[0]!));
  const ownFactor = exp(own[1]! - own[0]!);
  for (const sight of sights) {
    const { counted, outright, known, practised, weight, drives = 1 } = sight;
    const shape = drives / a.form ** 2;
    const gone = goneAfter(fall, practised, a.fallsFor);
    const worthCounted = sight.logCounted + known * logKnown;
    if (worthCounted > -Infinity) {
      const firstLevel = logCounted + worthCounted - gone + a.levelSpread * levels[0]! - a.levelSpread ** 2 / 2;
      for (let i = 0, logMean = firstLevel, mean = exp(firstLevel); i < levels.length; i++) {
        byLevel[i]! += weight * (counted * logMean - (isSteady ? mean : (shape + counted) * log(1 + mean / shape)));
        logMean += a.levelSpread * (levels[1]! - levels[0]!);
        mean *= levelFactor;
      }
    }
    const worthOutright = sight.logOutright + known * logKnown;
    if (worthOutright === -Infinity) continue;
    const firstOwn = logOutright + worthOutright - a.power * gone + own[0]!;
    for (let j = 0, logMean = firstOwn, mean = exp(firstOwn); j < own.length; j++) {
      byOwn[j]! += weight * (outright * logMean - mean);
      logMean += own[1]! - own[0]!;
      mean *= ownFactor;
    }
  }
  let [topLevel, topOwn] = [-Infinity, -Infinity];
  for (const one of byLevel) topLevel = max(topLevel, one);
  for (const one of byOwn) topOwn = max(topOwn, one);
  for (let i = 0; i < byLevel.length; i++) byLevel[i] = exp(byLevel[i]! - topLevel);
  for (let j = 0; j < byOwn.length; j++) byOwn[j] = exp(byOwn[j]! - topOwn);
  return { byLevel, byOwn, scale: topLevel + topOwn };
}

/**
 * How fast the faults of a learner may fall, each with its chance: never below nothing, so that a drive without a fault never
 * hurts. What a learner's own drives say of it is not used.
 */
export function fallsOf({
  fallLesson,
  fallWeek,
  fallSpread,
}: Assumptions): readonly (readonly [fall: Practice, weight: number])[] {
  const usual: Practice = { lessons: -log(1 - min(0.9, fallLesson)), weeks: -log(1 - min(0.9, fallWeek)) };
  if (fallSpread === 0) return [[usual, 1]];
  return fallAt.map((z, i) => {
    const speed = max(0, 1 + z * fallSpread);
    return [{ lessons: speed * usual.lessons, weeks: speed * usual.weeks }, fallWeights[i]!] as const;
  });
}

/** The logarithm of how likely the drives of a learner are, up to what depends on the counts alone. */
export function logEvidence(sights: readonly Sight[], a: Assumptions, prior: Float64Array, lattice: Lattice): number {
  let top = -Infinity;
  const logs = fallsOf(a).map(([fall, weight]) => {
    const { byLevel, byOwn, scale } = likelihoods(sights, a, fall, lattice);
    let sum = 0;
    let at = 0;
    for (const level of byLevel) {
      let row = 0;
      for (let j = 0; j < byOwn.length; j++) row += prior[at++]! * byOwn[j]!;
      sum += level * row;
    }
    const one = scale + log(weight * sum);
    top = max(top, one);
    return one;
  });
  return top + log(logs.reduce((sum, one) => sum + exp(one - top), 0));
}

/**
 * What a learner may be like, given their drives. The speed of the fall keeps its chances whatever the drives say, so
 * that a fault more never helps and a clean drive never hurts.
 * @param whole what was practised in all, up to the moment that is asked for
 */
export function weigh(sights: readonly Sight[], a: Assumptions, whole: Practice): readonly WeighedPoint[] {
  const { levels, own } = fine;
  const prior = priorLattice(a, fine);
  return fallsOf(a).flatMap(([fall, share]) => {
    const { byLevel, byOwn } = likelihoods(sights, a, fall, fine);
    const weights = new Float64Array(prior.length);
    let total = 0;
    for (let i = 0, at = 0; i < levels.length; i++)
      for (let j = 0; j < own.length; j++, at++) total += weights[at] = prior[at]! * byLevel[i]! * byOwn[j]!;
    const gone = goneAfter(fall, whole, a.fallsFor);
    const points: WeighedPoint[] = [];
    for (let i = 0, at = 0; i < levels.length; i++)
      for (let j = 0; j < own.length; j++, at++)
        if (weights[at]! > 0)
          points.push({
            weight: (share * weights[at]!) / total,
            counted: a.counted * exp(a.levelSpread * levels[i]! - a.levelSpread ** 2 / 2 - gone),
            outright: a.outright * exp(own[j]! - a.power * gone),
            fall,
          });
    return points;
  });
}
