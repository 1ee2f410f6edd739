import fc from 'fast-check';
import { tally } from '../marking/testing-standards';
import { defaultAssumptions as usual } from './assumptions';
import { wholeTest, type Evidence } from './evidence';
import { ageWeight, coarse, logEvidence, priorLattice, sightsOf, weigh, type Sight } from './level';

const on = Date.parse('2026-05-20T12:00:00Z');
const day = 86_400_000;
const daysAgo = (days: number) => new Date(on - days * day).toISOString();
const driven = (days: number, counts: Evidence['counts'] = {}, more: Partial<Evidence> = {}): Evidence => ({
  ...wholeTest(tally, daysAgo(days), counts),
  ...more,
});
const noMarkers = new Map<string, { readonly factor: number }>();
const mean = (sights: readonly Sight[], a = usual) => {
  const points = weigh(sights, a, noMarkers);
  return points.reduce((sum, { weight, counted }) => sum + weight * counted, 0);
};
const sight = (more: Partial<Sight> = {}): Sight => ({
  counted: 4,
  outright: 0,
  logExposure: 0,
  known: 0,
  marker: undefined,
  days: 0,
  weight: 1,
  ...more,
});

describe('what a drive weighs', () => {
  it('is halved every half-life, and never more than one', () => {
    expect(ageWeight(daysAgo(0), on, usual)).toBe(1);
    expect(ageWeight(daysAgo(usual.halfLifeDays), on, usual)).toBeCloseTo(0.5, 12);
    expect(ageWeight(daysAgo(2 * usual.halfLifeDays), on, usual)).toBeCloseTo(0.25, 12);
    expect(ageWeight(daysAgo(-3), on, usual)).toBe(1);
  });

  it('is nothing without exposure, and its faults are those that are listed, with help as a share of one', () => {
    const counts = { 'signs.lights': { counted: 2, outright: 1 }, 'speed.limit': { counted: 3, outright: 0 } };
    const [one, ...others] = sightsOf(
      [driven(10, counts, { promptsAlone: 2, interventionsAlone: 1, marker: 'ada' }), driven(5, {}, { exposure: 0 })],
      on,
      usual,
    );
    expect(others).toEqual([]);
    expect(one).toMatchObject({
      counted: 5 + 2 * usual.promptWeight,
      outright: 1 + usual.promptWeight,
      marker: 'ada',
      logExposure: 0,
    });
    const [listed] = sightsOf([driven(10, counts)], on, usual, new Set(['speed.limit']));
    expect(listed).toMatchObject({ counted: 3, outright: 0 });
  });

  it('knows the roads by what was driven before what was said, and counts days from the first drive, to 120', () => {
    const known = (more: Partial<Evidence>) => sightsOf([driven(1, {}, more)], on, usual)[0]!.known;
    expect(known({ familiarity: 'known' })).toBe(1);
    expect(known({ familiarity: 'partly' })).toBe(0.5);
    expect(known({ familiarity: 'unknown' as never })).toBe(0);
    expect(known({ familiarity: 'known', knownShare: 0.25 })).toBe(0.25);
    const days = sightsOf([driven(200), driven(190), driven(10)], on, usual).map((one) => one.days);
    expect(days).toEqual([0, expect.closeTo(10, 9), 120]);
  });
});

describe('what a learner may be like', () => {
  it('has chances that come to one, before anything is driven and after', () => {
    const prior = priorLattice(usual, coarse);
    expect(prior.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(Math.min(...prior)).toBeGreaterThanOrEqual(0);
    fc.assert(
      fc.property(fc.array(fc.nat(12), { maxLength: 6 }), (faults) => {
        const points = weigh(
          faults.map((counted, i) => sight({ counted, days: i })),
          usual,
          noMarkers,
        );
        expect(points.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
      }),
    );
  });

  it('is the average learner of the school before anything is driven', () => {
    // The mean of a log-normal that was centred on its mean; the lattice ends at three spreads.
    expect(mean([])).toBeCloseTo(usual.counted, 0);
  });

  it('is worse with a fault more, and nearer to what was seen the more was driven', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 15 }), fc.integer({ min: 1, max: 6 }), (faults, tests) => {
        const seen = (counted: number) => Array.from({ length: tests }, () => sight({ counted }));
        expect(mean(seen(faults + 1))).toBeGreaterThan(mean(seen(faults)));
      }),
    );
    const away = (tests: number) => Math.abs(mean(Array.from({ length: tests }, () => sight({ counted: 2 }))) - 2);
    expect(away(8)).toBeLessThan(away(3));
    expect(away(3)).toBeLessThan(away(1));
  });

  it('learns less of a drive that has faded, and of one half as long', () => {
    const pulled = (one: Sight) => usual.counted - mean([one]);
    const clean = sight({ counted: 0 });
    expect(pulled({ ...clean, weight: 0.25 })).toBeLessThan(pulled(clean));
    expect(pulled({ ...clean, logExposure: Math.log(0.5) })).toBeLessThan(pulled(clean));
    expect(pulled({ ...clean, weight: 0.25 })).toBeGreaterThan(0);
  });

  it('takes a severe marker’s faults for fewer', () => {
    const of = (factor: number) => {
      const points = weigh([sight({ marker: 'ada', counted: 6 })], usual, new Map([['ada', { factor }]]));
      return points.reduce((sum, { weight, counted }) => sum + weight * counted, 0);
    };
    expect(of(1.5)).toBeLessThan(of(1));
    expect(of(1)).toBeLessThan(of(0.7));
  });

  it('falls with lessons by the speed it says, and not where nothing falls', () => {
    const still = { ...usual, fall: 0, fallSpread: 0 };
    for (const { fallADay } of weigh([sight()], still, noMarkers)) expect(fallADay).toBeCloseTo(0, 12);
    const steady = { ...usual, fall: 0.1, fallSpread: 0 };
    for (const { fallADay } of weigh([sight()], steady, noMarkers))
      expect(Math.exp(-28 * fallADay)).toBeCloseTo(0.9, 9);
  });
});

it('finds drives more likely under what made them: clean ones under few faults a test', () => {
  const clean = Array.from({ length: 5 }, () => sight({ counted: 0 }));
  const of = (counted: number) => {
    const a = { ...usual, counted };
    return logEvidence(clean, a, noMarkers, priorLattice(a, coarse), coarse);
  };
  expect(of(2)).toBeGreaterThan(of(8));
  expect(of(8)).toBeGreaterThan(of(20));
});
