import fc from 'fast-check';
import { tally } from '../marking/testing-standards';
import { defaultAssumptions as usual } from './assumptions';
import { wholeTest, type Evidence } from './evidence';
import { ageWeight, coarse, fallsOf, logEvidence, priorLattice, sightsOf, weigh, wholly, type Sight } from './level';
import { goneAfter } from './practice';

const on = Date.parse('2026-05-20T12:00:00Z');
const day = 86_400_000;
const daysAgo = (days: number) => new Date(on - days * day).toISOString();
const driven = (days: number, counts: Evidence['counts'] = {}, more: Partial<Evidence> = {}): Evidence => ({
  ...wholeTest(tally, daysAgo(days), counts),
  ...more,
});
const noFactors = { markers: new Map(), centres: new Map(), realTests: new Map() };
const nothing = { lessons: 0, weeks: 0 };
const seenBy = (evidence: readonly Evidence[], factors: Parameters<typeof sightsOf>[3] = noFactors) =>
  sightsOf(evidence.map(wholly), { on, fadesFrom: on, lessons: [] }, usual, factors);
const mean = (sights: readonly Sight[], a = usual) => {
  const points = weigh(sights, a, nothing);
  return points.reduce((sum, { weight, counted }) => sum + weight * counted, 0);
};
const sight = (more: Partial<Sight> = {}): Sight => ({
  atMs: on,
  counted: 4,
  outright: 0,
  logCounted: 0,
  logOutright: 0,
  known: 0,
  practised: nothing,
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
    const [one, ...others] = seenBy([
      driven(10, counts, { promptsAlone: 2, interventionsAlone: 1 }),
      driven(5, {}, { exposure: 0 }),
    ]);
    expect(others).toEqual([]);
    expect(one).toMatchObject({
      counted: 5 + 2 * usual.promptWeight,
      outright: 1 + usual.promptWeight,
      logCounted: 0,
      logOutright: 0,
    });
    const shown = { share: { counted: 0.5, outright: 0.25 }, behaviours: new Set(['speed.limit']) };
    const part = [{ evidence: driven(10, counts), shown, factor: { counted: 2, outright: 1 } }];
    const [listed] = sightsOf(part, { on, lessons: [] }, usual, noFactors);
    expect(listed).toMatchObject({ counted: 3, outright: 0 });
    expect(listed!.logCounted).toBeCloseTo(0, 12);
    expect(listed!.logOutright).toBeCloseTo(Math.log(0.25), 12);
  });

  it('knows the roads by what was driven before what was said, and counts lessons and weeks up to it', () => {
    const known = (more: Partial<Evidence>) => seenBy([driven(1, {}, more)])[0]!.known;
    expect(known({ familiarity: 'known' })).toBe(1);
    expect(known({ familiarity: 'partly' })).toBe(0.5);
    expect(known({ familiarity: 'unknown' as never })).toBe(0);
    expect(known({ familiarity: 'known', knownShare: 0.25 })).toBe(0.25);
    // Seventeen weeks count: from 200 days ago on the weeks before them do not.
    const practised = seenBy([driven(200), driven(190), driven(10)]).map((one) => one.practised);
    expect(practised.map(({ lessons }) => lessons)).toEqual([0, 1, 2]);
    expect(practised.map(({ weeks }) => weeks)).toEqual([0, 0, expect.closeTo(17 - 10 / 7, 9)]);
  });

  it('is marked as strictly as its marker marks, and a driving test as its centre and the mock tests before it', () => {
    const factor = (n: number) => ({ factor: n, error: 0.1, drives: 9 });
    const factors = {
      markers: new Map([['ada', factor(1.5)]]),
      centres: new Map([['port', factor(1.2)]]),
      realTests: new Map([['ada', factor(1.1)]]),
    };
    const evidence = [driven(9, {}, { marker: 'ada' }), driven(3, {}, { kind: 'sheet', centre: 'port' })];
    const [drive, test] = seenBy(evidence, factors);
    expect(drive!.logCounted).toBeCloseTo(Math.log(1.5), 12);
    expect(test!.logOutright).toBeCloseTo(Math.log(1.2 * 1.1), 12);
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
          faults.map((counted, i) => sight({ counted, practised: { lessons: i, weeks: i } })),
          usual,
          { lessons: faults.length, weeks: faults.length },
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
    expect(pulled({ ...clean, logCounted: Math.log(0.5), logOutright: Math.log(0.5) })).toBeLessThan(pulled(clean));
    expect(pulled({ ...clean, weight: 0.25 })).toBeGreaterThan(0);
  });

  it('takes a severe marker’s faults for fewer', () => {
    const of = (factor: number) =>
      mean([sight({ counted: 6, logCounted: Math.log(factor), logOutright: Math.log(factor) })]);
    expect(of(1.5)).toBeLessThan(of(1));
    expect(of(1)).toBeLessThan(of(0.7));
  });

  it('falls with lessons at the speeds it says, never upwards, and not where nothing falls', () => {
    for (const [{ lessons, weeks }] of fallsOf({ ...usual, fallLesson: 0, fallWeek: 0 }))
      expect(lessons + weeks).toBeCloseTo(0, 12);
    const speeds = fallsOf({ ...usual, fallLesson: 0.1, fallSpread: 1 });
    expect(speeds.reduce((sum, [, weight]) => sum + weight, 0)).toBeCloseTo(1, 12);
    for (const [{ lessons }] of speeds) expect(lessons).toBeGreaterThanOrEqual(0);
    const [steady] = fallsOf({ ...usual, fallLesson: 0.1, fallWeek: 0, fallSpread: 0 });
    // Of the first lessons each takes a tenth, and later ones less.
    expect(Math.exp(-goneAfter(steady![0], { lessons: 1, weeks: 0 }, 1e9))).toBeCloseTo(0.9, 6);
    const gone = (lessons: number) => goneAfter(steady![0], { lessons, weeks: 0 }, 10);
    expect(gone(20) - gone(10)).toBeLessThan(gone(10));
    expect(gone(20)).toBeGreaterThan(gone(10));
    const learnt = weigh([sight()], { ...usual, fallLesson: 0.1 }, { lessons: 8, weeks: 4 });
    const still = weigh([sight()], { ...usual, fallLesson: 0, fallWeek: 0 }, { lessons: 8, weeks: 4 });
    const expected = (points: typeof learnt) => points.reduce((sum, { weight, counted }) => sum + weight * counted, 0);
    expect(expected(learnt)).toBeLessThan(expected(still));
  });
});

it('finds drives more likely under what made them: clean ones under few faults a test', () => {
  const clean = Array.from({ length: 5 }, () => sight({ counted: 0 }));
  const of = (counted: number) => {
    const a = { ...usual, counted };
    return logEvidence(clean, a, priorLattice(a, coarse), coarse);
  };
  expect(of(2)).toBeGreaterThan(of(8));
  expect(of(8)).toBeGreaterThan(of(20));
});
