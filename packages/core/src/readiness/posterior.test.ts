import fc from 'fast-check';
import gammaCdf from '@stdlib/stats-base-dists-gamma-cdf';
import negativeBinomialCdf from '@stdlib/stats-base-dists-negative-binomial-cdf';
import poissonPmf from '@stdlib/stats-base-dists-poisson-pmf';
import { randomFrom } from '../checks/random';
import { rulesOf } from '../marking/rules';
import { graded } from '../marking/templates/graded';
import { tally } from '../marking/templates/tally';
import { defaultAssumptions, defaultPrior, priorTotal, schoolPrior, type Assumptions } from './assumptions';
import type { Evidence } from './evidence';
import { exactChance } from './exact';
import { countChances, drawGamma, drawPoisson } from './gamma';
import { expectedByCategory, posteriorOn, weightOf } from './posterior';
import { simulate } from './simulate';
import { schoolsToMeasure, measureCalibration } from './testing-calibration';
import { cleanDrive } from './testing-learners';

const on = new Date('2026-06-01T12:00:00Z');
const daysBefore = (days: number) => new Date(on.getTime() - days * 86_400_000).toISOString();
const drive = (days: number, counts: Evidence['counts'] = {}, more: Partial<Evidence> = {}) =>
  cleanDrive(daysBefore(days), { counts, ...more });
/** One level, no improvement: the plain gamma and Poisson of a textbook. */
const plain: Assumptions = { ...defaultAssumptions, levelSpread: 1e-9, improvement: 0 };
const looking = 'junctions.observation';
const lights = 'signs.lights';
const chance = (evidence: readonly Evidence[], assumptions = defaultAssumptions) =>
  exactChance(tally, posteriorOn(on, tally, evidence, assumptions))!;

describe('weights', () => {
  it('halve with the half-life and give way to known roads, by hand', () => {
    expect(weightOf(drive(0), on, plain)).toBe(1);
    expect(weightOf(drive(28), on, plain)).toBeCloseTo(0.5, 12);
    expect(weightOf(drive(56, {}, { familiarity: 'known' }), on, plain)).toBeCloseTo(0.125, 12);
    expect(weightOf(drive(28, {}, { familiarity: 'partly' }), on, plain)).toBeCloseTo(0.375, 12);
  });
});

describe('rates', () => {
  const cellOf = (evidence: readonly Evidence[], severity: 'counted' | 'outright', assumptions = plain) => {
    const posterior = posteriorOn(on, tally, evidence, assumptions);
    const share = rulesOf(tally).byBehaviour.get(looking)!.length;
    const cell = posterior.cells.find((one) => one.behaviour === looking && one.severity === severity)!;
    return { shape: cell.shape * share, rate: posterior.components.find(({ weight }) => weight > 0.2)!.rate };
  };
  const priorMean = defaultPrior(plain).counted.get(looking)!;

  it('are prior plus weighted faults over prior plus weighted tests, by hand', () => {
    // Three faults today, two four weeks ago: 3 + 2/2 faults in 1 + 1/2 tests, beside one test of prior.
    const evidence = [
      drive(0, { [looking]: { counted: 3, outright: 0 } }),
      drive(28, { [looking]: { counted: 2, outright: 1 } }),
    ];
    const counted = cellOf(evidence, 'counted');
    expect(counted.shape).toBeCloseTo(priorMean + 4, 10);
    expect(counted.rate).toBeCloseTo(2.5, 6);
    const outright = cellOf(evidence, 'outright');
    expect(outright.shape).toBeCloseTo(defaultPrior(plain).outright.get(looking)! + 0.5, 10);
  });

  it('take a prompt without a mark for half the fault it prevented, where faults fall', () => {
    const posterior = posteriorOn(on, tally, [drive(0, {}, { promptsAlone: 4 })], plain);
    const total = posterior.cells.reduce((sum, { severity, shape }) => sum + (severity === 'counted' ? shape : 0), 0);
    const before = posteriorOn(on, tally, [drive(0)], plain).cells.reduce(
      (sum, { severity, shape }) => sum + (severity === 'counted' ? shape : 0),
      0,
    );
    expect(total - before).toBeCloseTo(2, 8);
  });

  it('never look at later days', () => {
    const past = [drive(20, { [looking]: { counted: 2, outright: 0 } })];
    const later = drive(-3, { [lights]: { counted: 0, outright: 4 } });
    expect(posteriorOn(on, tally, [...past, later], plain)).toEqual(posteriorOn(on, tally, past, plain));
  });

  it('begin with 8 and 0.35 faults a test, as stated', () => {
    const prior = defaultPrior(defaultAssumptions);
    expect(priorTotal(prior, 'counted')).toBeCloseTo(8, 10);
    expect(priorTotal(prior, 'outright')).toBeCloseTo(0.35, 10);
    const expected = [...expectedByCategory(posteriorOn(on, tally, [], plain), 'counted').values()];
    // The tally standard has most of the catalogue, not the yard.
    expect(expected.reduce((sum, one) => sum + one, 0)).toBeGreaterThan(6);
    expect(expected.reduce((sum, one) => sum + one, 0)).toBeLessThanOrEqual(8);
  });

  it('begin with the school’s own once it has thirty drives', () => {
    const drives = Array.from({ length: 30 }, () => drive(5, { [looking]: { counted: 2, outright: 0 } }));
    expect(schoolPrior(drives.slice(1), plain).drives).toBe(0);
    const own = schoolPrior(drives, plain);
    expect(own.drives).toBe(30);
    expect(own.counted.get(looking)).toBeCloseTo((priorMean + 60) / 31, 10);
  });
});

describe('draws and chances', () => {
  it('are those of the distributions of the library', () => {
    // @stdlib: negative binomial with r successes; our gamma rate makes p = rate / (rate + 1).
    for (const [shape, rate] of [
      [0.3, 1.4],
      [4, 2.5],
      [11.7, 1.2],
      [60, 3],
    ] as const) {
      let sum = 0;
      countChances(shape, rate, 25).forEach((one, n) => {
        sum += one;
        expect(sum).toBeCloseTo(negativeBinomialCdf(n, shape, rate / (rate + 1)), 9);
      });
    }
  });

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
      drive(
        days,
        {
          [looking]: { counted: n, outright: grave },
          [lights]: { counted: m, outright: 0 },
          'checks.tell': { counted: m, outright: 0 },
        },
        { exposure },
      ),
    );

  it('agrees with the exact answer within its own error, over random learners', () => {
    fc.assert(
      fc.property(anyEvidence, fc.nat(1000), (rows, seed) => {
        const posterior = posteriorOn(on, tally, evidenceOf(rows), defaultAssumptions);
        const exact = exactChance(tally, posterior)!;
        const simulated = simulate(tally, posterior, seed, { draws: 1500, testsEach: 12 });
        // The draws share their learners, so the error is that of 1,500 and not of 18,000; five of it.
        expect(Math.abs(simulated.mean - exact)).toBeLessThan(5 * Math.sqrt(0.25 / 1500));
        expect(simulated.from).toBeLessThanOrEqual(simulated.to);
      }),
      { numRuns: 25 },
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
    const posterior = posteriorOn(on, tally, [drive(2, { [lights]: { counted: 0, outright: 2 } })], defaultAssumptions);
    const { mean, halved } = simulate(tally, posterior, 1);
    expect(Math.max(...halved.values())).toBe(halved.get('signs'));
    for (const one of halved.values()) expect(one).toBeGreaterThanOrEqual(mean);
  });

  it('has no closed form where limits look at areas', () => {
    expect(exactChance(graded, posteriorOn(on, graded, [], defaultAssumptions))).toBeUndefined();
  });

  it('never falls with a clean unfamiliar drive and never rises with a fault', () => {
    fc.assert(
      fc.property(anyEvidence, fc.nat(60), fc.boolean(), fc.nat(5), (rows, days, outright, at) => {
        const evidence = evidenceOf(rows);
        const before = chance(evidence);
        expect(chance([...evidence, drive(days)])).toBeGreaterThanOrEqual(before - 1e-12);
        const target = evidence[at % Math.max(1, evidence.length)];
        if (!target) return;
        const known = target.counts[looking]!;
        const worse = {
          ...target,
          counts: {
            ...target.counts,
            [looking]: outright ? { ...known, outright: known.outright + 1 } : { ...known, counted: known.counted + 1 },
          },
        };
        expect(chance(evidence.map((one) => (one === target ? worse : one)))).toBeLessThanOrEqual(before + 1e-12);
      }),
    );
  });

  it('forgets: what is long ago moves the chance less', () => {
    const bad = { [lights]: { counted: 0, outright: 2 } };
    const [recent, old, ancient] = [1, 60, 900].map((days) => chance([drive(days, bad)]));
    expect(recent).toBeLessThan(old!);
    expect(old).toBeLessThan(ancient!);
    expect(ancient).toBeCloseTo(chance([]), 4);
  });
});

describe('on learners whose true chance is known', () => {
  it.each([false, true])(
    'the intervals hold it and the score is near the best there is, improving: %s',
    (improving) => {
      const result = measureCalibration(schoolsToMeasure[0]!, 60, improving);
      // The full measurement is `npm run calibration`; on 60 learners the bounds are wider by what chance does.
      expect(result.coverage).toBeGreaterThan(0.8);
      expect(result.excess).toBeLessThan(0.035);
      expect(result.brier).toBeLessThan(result.share);
    },
  );
});
