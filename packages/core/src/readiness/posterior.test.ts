import fc from 'fast-check';
import gammaCdf from '@stdlib/stats-base-dists-gamma-cdf';
import negativeBinomialCdf from '@stdlib/stats-base-dists-negative-binomial-cdf';
import poissonPmf from '@stdlib/stats-base-dists-poisson-pmf';
import { randomFrom } from '../safety-questions/random';
import { graded, tally } from '../marking/testing-standards';
import { defaultAssumptions, type Assumptions } from './assumptions';
import { whatMovesIt } from './estimate';
import type { Evidence } from './evidence';
import { exactChance } from './exact';
import { drawGamma, drawPoisson } from './gamma';
import { expectedByCategory, expectedTotal, posteriorOn, projected } from './posterior';
import { chanceOf } from './chance';
import { simulate } from './simulate';
import { cleanDrive } from './testing-learners';
import { knownLearner, listedBy } from './testing-populations';

const on = new Date('2026-06-01T12:00:00Z');
const daysBefore = (days: number) => new Date(on.getTime() - days * 86_400_000).toISOString();
const drive = (days: number, counts: Evidence['counts'] = {}, more: Partial<Evidence> = {}) =>
  cleanDrive(daysBefore(days), { counts, ...more });
/** No fall, no days that differ: the plain counts of a textbook. */
const plain: Assumptions = { ...defaultAssumptions, fallLesson: 0, fallWeek: 0, form: 0 };
const looking = 'junctions.observation';
const lights = 'signs.lights';
const of = (evidence: readonly Evidence[], assumptions = plain) => posteriorOn(on, tally, evidence, assumptions);
const chance = (evidence: readonly Evidence[], assumptions = defaultAssumptions) =>
  exactChance(tally, of(evidence, assumptions))!;

describe('the level of a learner', () => {
  it('begins at the stated average', () => {
    expect(expectedTotal(of([]), 'counted')).toBeCloseTo(8, 1);
    expect(expectedTotal(of([]), 'outright')).toBeCloseTo(0.35, 1);
    const areas = [...expectedByCategory(of([]), 'counted').values()];
    expect(areas.reduce((sum, one) => sum + one, 0)).toBeCloseTo(expectedTotal(of([]), 'counted'), 8);
  });

  it('is that of a textbook where it is all there is: the posterior of a Poisson rate with a log-normal prior', () => {
    // Worked out apart, by the midpoint rule over 20,000 levels: 12 faults in two tests, prior mean 8, spread 0.6.
    const [sigma, counted, tests] = [0.6, 12, 2];
    let [weights, sum] = [0, 0];
    for (let i = 0; i < 20_000; i++) {
      const z = -6 + (12 * (i + 0.5)) / 20_000;
      const rate = 8 * Math.exp(sigma * z - sigma ** 2 / 2);
      const weight = Math.exp(-0.5 * z * z + counted * Math.log(rate) - tests * rate);
      weights += weight;
      sum += weight * rate;
    }
    const apart: Assumptions = { ...plain, power: 0, halfLifeDays: 1e9 };
    const evidence = [
      drive(3, { [looking]: { counted: 5, outright: 0 } }),
      drive(1, { [lights]: { counted: 7, outright: 0 } }),
    ];
    expect(expectedTotal(of(evidence, apart), 'counted')).toBeCloseTo(sum / weights, 2);
  });

  it('is informed by all areas, and failing faults follow it', () => {
    const many = [drive(3, { [looking]: { counted: 20, outright: 0 } })];
    expect(expectedTotal(of(many), 'outright')).toBeGreaterThan(expectedTotal(of([drive(3)]), 'outright'));
    const signs = expectedByCategory(of(many), 'counted').get('signs')!;
    expect(signs).toBeGreaterThan(expectedByCategory(of([drive(3)]), 'counted').get('signs')!);
  });

  it('takes faults on known roads, and by a strict marker, for what they are', () => {
    const faults = { [looking]: { counted: 8, outright: 0 } };
    const [strange, known] = (['new', 'known'] as const).map((familiarity) =>
      expectedTotal(of([drive(2, faults, { familiarity })]), 'counted'),
    );
    expect(known).toBeGreaterThan(strange!);
    const school = { ...of([]).school, markers: new Map([['strict', { factor: 1.5, error: 0.1, drives: 40 }]]) };
    const strict = posteriorOn(on, tally, [drive(2, faults, { marker: 'strict' })], plain, school);
    expect(expectedTotal(strict, 'counted')).toBeLessThan(strange!);
  });

  it('takes a prompt without a mark for half the fault it prevented', () => {
    const prompted = expectedTotal(of([drive(0, {}, { promptsAlone: 4 })]), 'counted');
    const marked = expectedTotal(of([drive(0, { [looking]: { counted: 2, outright: 0 } })]), 'counted');
    expect(prompted).toBeCloseTo(marked, 10);
  });

  it('lets what was practised fall against the rest, once it was', () => {
    const evidence = [drive(9, { [looking]: { counted: 6, outright: 0 }, [lights]: { counted: 6, outright: 0 } })];
    const share = (lessons: readonly { readonly start: string; readonly areas: readonly string[] }[]) => {
      const posterior = posteriorOn(on, tally, evidence, plain, undefined, { lessons });
      const by = expectedByCategory(posterior, 'counted');
      return by.get('signs')! / by.get('junctions')!;
    };
    const lesson = (days: number) => ({ start: daysBefore(days).slice(0, 16), areas: ['signs'] });
    expect(share([lesson(5), lesson(3)])).toBeLessThan(share([lesson(5)]));
    expect(share([lesson(5)])).toBeLessThan(share([]));
    // Before the drive it is in what was seen; after today it was not given yet.
    expect(share([lesson(20), lesson(-3)])).toBeCloseTo(share([]), 12);
  });

  it('never looks at later days', () => {
    const past = [drive(20, { [looking]: { counted: 2, outright: 0 } })];
    const later = drive(-3, { [lights]: { counted: 0, outright: 4 } });
    expect(of([...past, later])).toEqual(of(past));
  });

  it('falls on with lessons to come, each speed at its own', () => {
    const today = of([drive(3)], defaultAssumptions);
    const later = projected(today, { lessons: 12, weeks: 8 });
    const share = expectedTotal(later, 'counted') / expectedTotal(today, 'counted');
    expect(share).toBeGreaterThan(0.7);
    expect(share).toBeLessThan(0.92);
  });
});

describe('draws', () => {
  it('of gamma and Poisson numbers follow their distributions', () => {
    const random = randomFrom(11);
    for (const shape of [0.07, 0.8, 5]) {
      const numbers = Array.from({ length: 20_000 }, () => drawGamma(shape, random)).sort((a, b) => a - b);
      // Kolmogorov and Smirnov: 1.63 / sqrt(n) is passed by chance once in a hundred.
      const distance = Math.max(...numbers.map((x, i) => Math.abs((i + 0.5) / numbers.length - gammaCdf(x, shape, 1))));
      expect(distance).toBeLessThan(1.95 / Math.sqrt(numbers.length));
    }
    for (const mean of [0.4, 8, 70]) {
      const counts = new Map<number, number>();
      for (let i = 0; i < 40_000; i++) {
        const n = drawPoisson(mean, random);
        counts.set(n, (counts.get(n) ?? 0) + 1);
      }
      for (const [n, times] of counts) expect(times / 40_000).toBeCloseTo(poissonPmf(n, mean), 1.7);
    }
  });
});

describe('the exact chance', () => {
  it('of a learner wholly known is that of the library: negative binomial counts over days that differ', () => {
    const listed = listedBy(tally);
    const even = (codes: readonly string[]) => new Map(codes.map((code) => [code, 1 / codes.length]));
    for (const [counted, form] of [
      [8, 0.3],
      [14, 0.5],
    ] as const) {
      const shape = 1 / form ** 2;
      const known = knownLearner(tally, counted, 1e-12, form, {
        counted: even(listed.counted),
        outright: even(listed.outright),
      });
      expect(exactChance(tally, known)).toBeCloseTo(negativeBinomialCdf(15, shape, shape / (shape + counted)), 6);
    }
  });

  it('is absent where limits look at areas', () => {
    expect(exactChance(graded, posteriorOn(on, graded, [], defaultAssumptions))).toBeUndefined();
  });
});

describe('the simulation', () => {
  const anyEvidence = fc.array(
    fc.record({
      days: fc.nat(60),
      looking: fc.nat(4),
      lights: fc.nat(2),
      grave: fc.nat(1),
      exposure: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    }),
    { maxLength: 6 },
  );
  const evidenceOf = (
    rows: readonly { days: number; looking: number; lights: number; grave: number; exposure: number }[],
  ) =>
    rows.map(({ days, looking: n, lights: m, grave, exposure }) =>
      drive(days, { [looking]: { counted: n, outright: grave }, [lights]: { counted: m, outright: 0 } }, { exposure }),
    );

  it('agrees with the exact answer within its own error, over random learners', () => {
    fc.assert(
      fc.property(anyEvidence, fc.nat(1000), (rows, seed) => {
        const posterior = posteriorOn(on, tally, evidenceOf(rows), defaultAssumptions);
        const exact = exactChance(tally, posterior)!;
        const simulated = simulate(tally, posterior, seed, { draws: 1500, testsEach: 12, asksFailed: false });
        // The draws share their learners, so the error is that of 1,500 and not of 18,000; five of it.
        expect(Math.abs(simulated.mean - exact)).toBeLessThan(5 * Math.sqrt(0.25 / 1500));
        const { from, to, mean } = chanceOf(tally, posterior, seed);
        expect(from).toBeLessThanOrEqual(to);
        expect(mean).toBe(exact);
      }),
      { numRuns: 12 },
    );
  });

  it('is the same for the same seed', () => {
    const posterior = posteriorOn(
      on,
      graded,
      evidenceOf([{ days: 3, looking: 2, lights: 1, grave: 0, exposure: 1 }]),
      defaultAssumptions,
    );
    expect(simulate(graded, posterior, 5)).toEqual(simulate(graded, posterior, 5));
  });

  it('names what a halved area would bring, and it is never less than the chance', () => {
    const posterior = of([drive(2, { [lights]: { counted: 0, outright: 2 } })], defaultAssumptions);
    const { mean, halved } = simulate(tally, posterior, 1);
    expect(Math.max(...halved.values())).toBe(halved.get('signs'));
    for (const one of halved.values()) expect(one).toBeGreaterThanOrEqual(mean);
  });

  it('forgets: what is long ago moves the chance less', () => {
    // As many minor faults as anybody, so that only the failing ones speak.
    const bad = { [lights]: { counted: 8, outright: 2 } };
    const [recent, old, ancient] = [1, 200, 3000].map((days) => chance([drive(days, bad)]));
    expect(recent).toBeLessThan(old!);
    expect(old).toBeLessThan(ancient!);
    expect(ancient).toBeCloseTo(chance([drive(3000)]), 4);
  });

  it('says what the school contributes and what one more mock test would change', () => {
    const evidence = [drive(9, { [looking]: { counted: 4, outright: 0 } }), drive(2)];
    const question = { standard: tally, evidence, on, assumptions: defaultAssumptions, seed: 1 };
    const { schoolAlone, afterClean, afterFailing } = whatMovesIt(question);
    const now = chance(evidence);
    expect(afterClean).toBeGreaterThan(now);
    expect(afterFailing).toBeLessThan(now);
    expect(schoolAlone).toBeCloseTo(chance([]), 1);
  });
});
