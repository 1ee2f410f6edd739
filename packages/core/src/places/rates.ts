import gammaCdf from '@stdlib/stats-base-dists-gamma-cdf';
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
import gammaln from '@stdlib/math-base-special-gammaln';

/** How often something was seen, and how often it would have been if it were the same everywhere. */
export interface Counted {
  readonly observed: number;
  /** Above 0. */
  readonly expected: number;
}

/** How the places of a school differ: their relative rates follow a gamma distribution of this shape and rate. */
export interface Differing {
  readonly shape: number;
  readonly rate: number;
}

/** A relative rate: 1 is the average of the school. */
export interface ShrunkRate {
  readonly mean: number;
  /** It lies between these with a probability of 0.9. */
  readonly low: number;
  readonly high: number;
}

const { exp, log, max, min } = Math;

/**
 * The rate under which counts are likeliest for a shape: where the derivative of the likelihood is 0, which falls with the rate.
 */
export function likeliestRate(counts: readonly Counted[], shape: number): number {
  let [low, high] = [log(shape) - 12, log(shape) + 12];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    const rate = exp(middle);
    let slope = (counts.length * shape) / rate;
    for (const { observed, expected } of counts) slope -= (observed + shape) / (rate + expected);
    if (slope > 0) low = middle;
    else high = middle;
  }
  return exp((low + high) / 2);
}

/** Logarithm of how likely the counts are under a shape and a rate, without what is the same for all. */
export function logLikelihood(counts: readonly Counted[], shape: number, rate: number): number {
  const constant = shape * log(rate) - gammaln(shape);
  return counts.reduce(
    (sum, { observed, expected }) =>
      sum + constant + gammaln(observed + shape) - (observed + shape) * log(rate + expected),
    0,
  );
}

/**
 * How much places may differ, as standard deviation over mean: each of these is as likely as the others before anything is counted.
 * None is 0: few counts cannot show that places do not differ.
 */
const differences = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.15, 1.3, 1.5, 1.75, 2, 2.5];

/** One way places may differ, with how likely it is beside the others. */
export interface Possible extends Differing {
  readonly weight: number;
}

/**
 * The ways in which places may differ, as gamma distributions of their relative rates (D. Clayton and J. Kaldor, Empirical Bayes
 * estimates of age-standardized relative risks, 1987), weighed by the counts: these do not tell the shape exactly, and ranges by the
 * likeliest one alone are too short.
 * @returns none where nothing was seen
 */
export function possibleDiffering(counts: readonly Counted[]): readonly Possible[] {
  if (counts.every(({ observed }) => observed === 0)) return [];
  const all = differences.map((difference) => {
    const shape = 1 / difference ** 2;
    const rate = likeliestRate(counts, shape);
    return { shape, rate, value: logLikelihood(counts, shape, rate) };
  });
  const best = max(...all.map(({ value }) => value));
  const whole = all.reduce((sum, { value }) => sum + exp(value - best), 0);
  return all.map(({ shape, rate, value }) => ({ shape, rate, weight: exp(value - best) / whole }));
}

/**
 * The relative rate of a place: what was counted there, drawn towards the others where little was. The range is that of the
 * gamma distribution with the mean and the variance over all that is possible.
 * @param possible at least one
 */
export function shrunkRate(possible: readonly Possible[], { observed, expected }: Counted): ShrunkRate {
  let [mean, square] = [0, 0];
  for (const { shape, rate, weight } of possible) {
    const [a, b] = [observed + shape, expected + rate];
    mean += (weight * a) / b;
    square += (weight * a * (a + 1)) / b ** 2;
  }
  const variance = square - mean ** 2;
  const [shape, rate] = [mean ** 2 / variance, mean / variance];
  return { mean, low: gammaQuantile(0.05, shape, rate), high: gammaQuantile(0.95, shape, rate) };
}

/** Probability of so many or more where the mean is as expected, by the Poisson distribution. */
export const tailOf = ({ observed, expected }: Counted): number =>
  observed <= 0 ? 1 : max(0, min(1, gammaCdf(expected, observed, 1)));

/**
 * Which of many counts are higher than expected by more than chance, so that in no more than `level` of all schools without any
 * difference even one is said to be (S. Holm, A simple sequentially rejective multiple test procedure, 1979).
 */
export function standOut(counts: readonly Counted[], level: number): ReadonlySet<number> {
  const order = counts.map((one, i) => ({ i, tail: tailOf(one) })).sort((a, b) => a.tail - b.tail);
  const out = new Set<number>();
  for (const [rank, { i, tail }] of order.entries()) {
    if (tail > level / (counts.length - rank)) break;
    out.add(i);
  }
  return out;
}
