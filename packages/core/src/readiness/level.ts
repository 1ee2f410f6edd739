import type { Assumptions, MarkerSeverity } from './assumptions';
import { totalOf, type Evidence, type FaultKind } from './evidence';

// Looked up once: these run millions of times.
const { exp, log, max, min, sqrt } = Math;
const dayMs = 86_400_000;
const fourWeeksDays = 28;
/** Lessons are taken to help for so long and no longer: an old start says nothing of today (house default). */
const mostDays = 120;

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

/** Gauss-Hermite points and weights: how fast a learner's faults fall, in spreads from the school's. */
const fallAt = [-sqrt(3), 0, sqrt(3)] as const;
const fallWeights = [1 / 6, 2 / 3, 1 / 6] as const;

/** One drive as the level sees it. */
export interface Sight {
  readonly counted: number;
  readonly outright: number;
  readonly logExposure: number;
  /** How well the roads were known, 0 to 1. */
  readonly known: number;
  readonly marker: string | undefined;
  /** Days of lessons before it. */
  readonly days: number;
  readonly weight: number;
}

/** One way a learner may be. */
export interface WeighedPoint {
  readonly weight: number;
  /** Faults expected per test today, on strange roads, by an average marker. */
  readonly counted: number;
  readonly outright: number;
  /** How fast faults fall, as the logarithm of their share a day. */
  readonly fallADay: number;
}

/** How fast faults fall, as the logarithm of the share that is left a day. */
const speedOf = (fall: number): number => -log(1 - min(0.9, fall)) / fourWeeksDays;

/** What a drive weighs on a day, 0 to 1: less as it ages. */
export const ageWeight = (at: string, on: number, { halfLifeDays }: Assumptions): number =>
  2 ** (-max(0, on - Date.parse(at)) / dayMs / halfLifeDays);

/**
 * The drives of a learner as the level sees them.
 * @param evidence none later than `on`, in any order
 * @param on moment in milliseconds from which drives fade; 0 where none is to
 * @param listed which behaviours count; all where it is missing
 */
export function sightsOf(
  evidence: readonly Evidence[],
  on: number,
  assumptions: Assumptions,
  listed?: ReadonlySet<string>,
): readonly Sight[] {
  const first = min(...evidence.map(({ at }) => Date.parse(at)));
  const total = (one: Evidence, severity: FaultKind) => {
    if (!listed) return totalOf(one, severity);
    let sum = 0;
    for (const behaviour in one.counts) if (listed.has(behaviour)) sum += one.counts[behaviour]![severity];
    return sum;
  };
  return evidence
    .filter(({ exposure }) => exposure > 0)
    .map((one) => ({
      counted: total(one, 'counted') + assumptions.promptWeight * one.promptsAlone,
      outright: total(one, 'outright') + assumptions.promptWeight * one.interventionsAlone,
      logExposure: log(one.exposure),
      known: one.knownShare ?? (one.familiarity === 'known' ? 1 : one.familiarity === 'partly' ? 0.5 : 0),
      marker: one.marker,
      days: min(mostDays, (Date.parse(one.at) - first) / dayMs),
      weight: ageWeight(one.at, on, assumptions),
    }));
}

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
function likelihoods(
  sights: readonly Sight[],
  a: Assumptions,
  speed: number,
  markers: Markers,
  { levels, own }: Lattice,
): Likelihoods {
  const byLevel = new Float64Array(levels.length);
  const byOwn = new Float64Array(own.length);
  const isSteady = a.form <= 0;
  const shape = 1 / a.form ** 2;
  const [logKnown, logCounted, logOutright] = [log(a.knownRoads), log(a.counted), log(a.outright)];
  // From one point of the lattice to the next the mean changes by the same factor: few exponentials are needed.
  const levelFactor = exp(a.levelSpread * (levels[1]! - levels[0]!));
  const ownFactor = exp(own[1]! - own[0]!);
  for (const { counted, outright, logExposure, known, marker, days, weight } of sights) {
    const worth = logExposure + known * logKnown + log(markers.get(marker ?? '')?.factor ?? 1);
    const firstLevel = logCounted + worth - speed * days + a.levelSpread * levels[0]! - a.levelSpread ** 2 / 2;
    for (let i = 0, logMean = firstLevel, mean = exp(firstLevel); i < levels.length; i++) {
      byLevel[i]! += weight * (counted * logMean - (isSteady ? mean : (shape + counted) * log(1 + mean / shape)));
      logMean += a.levelSpread * (levels[1]! - levels[0]!);
      mean *= levelFactor;
    }
    const firstOwn = logOutright + worth - a.power * speed * days + own[0]!;
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

type Markers = ReadonlyMap<string, Pick<MarkerSeverity, 'factor'>>;

/** How fast the faults of a learner may fall, each with its chance; what a learner's own drives say of it is not used. */
function falls({ fall, fallSpread }: Assumptions): readonly (readonly [speed: number, weight: number])[] {
  if (fallSpread === 0) return [[speedOf(fall), 1]];
  return fallAt.map((z, i) => [speedOf(fall + z * fallSpread), fallWeights[i]!] as const);
}

/** The logarithm of how likely the drives of a learner are, up to what depends on the counts alone. */
export function logEvidence(
  sights: readonly Sight[],
  a: Assumptions,
  markers: Markers,
  prior: Float64Array,
  lattice: Lattice,
): number {
  let top = -Infinity;
  const logs = falls(a).map(([speed, weight]) => {
    const { byLevel, byOwn, scale } = likelihoods(sights, a, speed, markers, lattice);
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
 */
export function weigh(sights: readonly Sight[], a: Assumptions, markers: Markers): readonly WeighedPoint[] {
  const { levels, own } = fine;
  const prior = priorLattice(a, fine);
  const days = sights.reduce((most, sight) => max(most, sight.days), 0);
  return falls(a).flatMap(([speed, share]) => {
    const { byLevel, byOwn } = likelihoods(sights, a, speed, markers, fine);
    const weights = new Float64Array(prior.length);
    let total = 0;
    for (let i = 0, at = 0; i < levels.length; i++)
      for (let j = 0; j < own.length; j++, at++) total += weights[at] = prior[at]! * byLevel[i]! * byOwn[j]!;
    const points: WeighedPoint[] = [];
    for (let i = 0, at = 0; i < levels.length; i++)
      for (let j = 0; j < own.length; j++, at++)
        if (weights[at]! > 0)
          points.push({
            weight: (share * weights[at]!) / total,
            counted: a.counted * exp(a.levelSpread * levels[i]! - a.levelSpread ** 2 / 2 - speed * days),
            outright: a.outright * exp(own[j]! - a.power * speed * days),
            fallADay: speed,
          });
    return points;
  });
}
