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
/** Shapes that are looked at: from places that have nothing in common to places that are all but alike. */
const leastShape = 0.05;
const mostShape = 1000;

/**
 * How places differ, by the counts of all of them: the gamma distribution under which these are likeliest (D. Clayton and
 * J. Kaldor, Empirical Bayes estimates of age-standardized relative risks, 1987).
 * @returns undefined where there are fewer than two places
 */
export function fitDiffering(counts: readonly Counted[]): Differing | undefined {
  if (counts.length < 2 || counts.every(({ observed }) => observed === 0)) return undefined;
  const at = (logShape: number) => {
    const shape = exp(logShape);
    const rate = likeliestRate(counts, shape);
    return { shape, rate, value: logLikelihood(counts, shape, rate) };
  };
  // One hill in the logarithm of the shape: golden section.
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [log(leastShape), log(mostShape)];
  let a = high - ratio * (high - low);
  let b = low + ratio * (high - low);
  let [valueA, valueB] = [at(a).value, at(b).value];
  while (high - low > 1e-7) {
    if (valueA >= valueB) {
      [high, b, valueB] = [b, a, valueA];
      a = high - ratio * (high - low);
      valueA = at(a).value;
    } else {
      [low, a, valueA] = [a, b, valueB];
      b = low + ratio * (high - low);
      valueB = at(b).value;
    }
  }
  const { shape, rate } = at((low + high) / 2);
  return { shape, rate };
}

/** Where the derivative of the likelihood by the rate is 0; it falls with the rate. */
function likeliestRate(counts: readonly Counted[], shape: number): number {
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

function logLikelihood(counts: readonly Counted[], shape: number, rate: number): number {
  const constant = shape * log(rate) - gammaln(shape);
  return counts.reduce(
    (sum, { observed, expected }) =>
      sum + constant + gammaln(observed + shape) - (observed + shape) * log(rate + expected),
    0,
  );
}

/** Places are taken to differ by at least this much, as standard deviation over mean: few counts cannot show that they do not. */
const leastDifference = 0.2;

/** The distribution with no less than the least difference. */
export function widened({ shape, rate }: Differing): Differing {
  const most = 1 / leastDifference ** 2;
  return shape <= most ? { shape, rate } : { shape: most, rate: (rate * most) / shape };
}

/** The relative rate of a place: what was counted there, drawn towards the others where little was. */
export function shrunkRate({ shape, rate }: Differing, { observed, expected }: Counted): ShrunkRate {
  const [a, b] = [observed + shape, expected + rate];
  return { mean: a / b, low: gammaQuantile(0.05, a, b), high: gammaQuantile(0.95, a, b) };
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
