import { randomFrom } from '../safety-questions/random';
import { drawGamma, drawPoisson } from '../readiness/gamma';
import { leastPasses, ratesOf, type PlaceSum } from './hot-spots';
import { likeliestRate, logLikelihood, possibleDiffering, shrunkRate, standOut, tailOf } from './rates';

/**
 * Lip cancer in the 56 counties of Scotland, 1975 to 1980, observed and expected: the worked example of D. Clayton and
 * J. Kaldor, Empirical Bayes estimates of age-standardized relative risks for use in disease mapping, Biometrics 43 (1987). From memory.
 */
const observed = [
  9, 39, 11, 9, 15, 8, 26, 7, 6, 20, 13, 5, 3, 8, 17, 9, 2, 7, 9, 7, 16, 31, 11, 7, 19, 15, 7, 10, 16, 11, 5, 3, 7, 8,
  11, 9, 11, 8, 6, 4, 10, 8, 2, 6, 19, 3, 2, 3, 28, 6, 1, 1, 1, 1, 0, 0,
];
const expected = [
  1.4, 8.7, 3, 2.5, 4.3, 2.4, 8.1, 2.3, 2, 6.6, 4.4, 1.8, 1.1, 3.3, 7.8, 4.6, 1.1, 4.2, 5.5, 4.4, 10.5, 22.7, 8.8, 5.6,
  15.5, 12.5, 6, 9, 14.4, 10.2, 4.8, 2.9, 7, 8.5, 12.3, 10.1, 12.7, 9.4, 7.2, 5.3, 18.8, 15.8, 4.3, 14.6, 50.7, 8.2,
  5.6, 9.3, 88.7, 19.6, 3.4, 3.6, 5.7, 7, 4.2, 1.8,
];
const counties = observed.map((count, i) => ({ observed: count, expected: expected[i]! }));

/** The shape and the rate under which the counts are likeliest, by trying shapes closer and closer together. */
function likeliest() {
  let [middle, step] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const tries = [-1, 0, 1].map((k) => {
      const at = middle + k * step;
      return { at, value: logLikelihood(counties, Math.exp(at), likeliestRate(counties, Math.exp(at))) };
    });
    const best = tries.reduce((a, b) => (b.value > a.value ? b : a));
    if (best.at === middle) step /= 2;
    middle = best.at;
  }
  return { shape: Math.exp(middle), rate: likeliestRate(counties, Math.exp(middle)) };
}

describe('the worked example of Clayton and Kaldor', () => {
  const { shape, rate } = likeliest();

  it('has the shape and the rate of the paper', () => {
    // 1.88 and 1.32 there; more digits by scipy.stats.nbinom and Nelder and Mead.
    expect(shape).toBeCloseTo(1.879489936, 5);
    expect(rate).toBeCloseTo(1.321667137, 5);
  });

  it.each([
    // By scipy.stats.gamma.ppf.
    [0, 3.99736242, 2.23346521, 6.17687247],
    [44, 0.40136141, 0.26860513, 0.55591681],
    [54, 0.34038451, 0.05580497, 0.82350695],
  ])('draws county %i towards the others', (at, mean, low, high) => {
    const found = shrunkRate([{ shape, rate, weight: 1 }], counties[at]!);
    expect(found.mean).toBeCloseTo(mean, 5);
    expect(found.low).toBeCloseTo(low, 5);
    expect(found.high).toBeCloseTo(high, 5);
  });
});

it('has the tail of the Poisson distribution', () => {
  // 1 - scipy.stats.poisson.cdf(7, 3.2), 1 - exp(-0.5).
  expect(tailOf({ observed: 8, expected: 3.2 })).toBeCloseTo(0.0168297, 6);
  expect(tailOf({ observed: 1, expected: 0.5 })).toBeCloseTo(1 - Math.exp(-0.5), 12);
  expect(tailOf({ observed: 0, expected: 0.5 })).toBe(1);
});

it('lets the worst of many counts stand out only where chance does not explain it', () => {
  const plain = Array.from({ length: 40 }, () => ({ observed: 2, expected: 2 }));
  expect(standOut(plain, 0.05).size).toBe(0);
  expect([...standOut([...plain, { observed: 14, expected: 2 }], 0.05)]).toEqual([40]);
  expect(standOut([...plain, { observed: 6, expected: 2 }], 0.05).size).toBe(0);
});

/** A school of 60 places; `differ` is the standard deviation of their relative rates. */
function school(seed: number, differ: number): readonly (PlaceSum & { readonly truth: number })[] {
  const random = randomFrom(seed);
  const shape = 1 / differ ** 2;
  return Array.from({ length: 60 }, (_, i) => {
    const truth = differ === 0 ? 1 : drawGamma(shape, random) / shape;
    const passes = leastPasses + Math.floor(random() * 60);
    const mean = passes * 0.15;
    return { place: `p${i}`, passes, expected: mean, observed: drawPoisson(mean * truth, random), truth: truth * 0.15 };
  });
}

it.each([0.5, 0.9])('gives ranges that hold the truth nine times of ten, where places differ by %f', (differ) => {
  let [inside, all] = [0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const places = school(seed, differ);
    const truths = new Map(places.map(({ place, truth }) => [place, truth]));
    for (const { place, low, high } of ratesOf(places).rates) {
      all++;
      if (low <= truths.get(place)! && truths.get(place)! <= high) inside++;
    }
  }
  expect(inside / all).toBeGreaterThan(0.87);
  expect(inside / all).toBeLessThan(0.93);
});

it('calls no place a hot spot in 95 of 100 schools whose places are all alike', () => {
  let some = 0;
  for (let seed = 1; seed <= 400; seed++) if (ratesOf(school(seed, 0)).rates.some(({ hot }) => hot)) some++;
  expect(some / 400).toBeLessThanOrEqual(0.05);
});

it('ranks nothing on few passes, and says how many such places there are', () => {
  const few = { place: 'few', passes: 2, observed: 2, expected: 0.2 };
  const { rates, tooFew } = ratesOf([...school(3, 0.5), few]);
  expect(tooFew).toBe(1);
  expect(rates.map(({ place }) => place)).not.toContain('few');
  expect(ratesOf([])).toEqual({ rates: [], tooFew: 0 });
});

it('never takes places for quite alike, since few counts cannot show it', () => {
  for (const { shape } of possibleDiffering(school(1, 0)))
    expect(1 / Math.sqrt(shape)).toBeGreaterThanOrEqual(0.2 - 1e-9);
});
