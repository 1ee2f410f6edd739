import { tally, timedYard } from '../marking/testing-standards';
import { defaultAssumptions } from './assumptions';
import type { Evidence } from './evidence';
import { fitSchool } from './fit';
import { measureCalibration } from './testing-calibration';
import { centre, laws, populationOf } from './testing-populations';

const lawNamed = (name: string) => laws.find((law) => law.name === name)!;
const school = (name: string, learners: number, seed = 3) =>
  fitSchool(populationOf(tally, lawNamed(name), learners, seed), 'road');

describe('the figures of a school', () => {
  it('are the stated defaults where nobody has driven', () => {
    for (const learners of [[], [{ evidence: [] }]]) {
      const { assumptions, learners: n } = fitSchool(learners, 'road');
      expect(n).toBe(0);
      for (const key of Object.keys(defaultAssumptions) as (keyof typeof defaultAssumptions)[])
        expect(assumptions[key]).toBeCloseTo(defaultAssumptions[key], 9);
    }
  });

  it('glide from the defaults to the school’s own, without a step', () => {
    const weak = [1, 5, 30, 120].map((learners) => school('a weak school', learners).assumptions.counted);
    expect(weak[0]).toBeGreaterThan(5);
    // 13 faults a test is the truth of this school.
    expect(Math.abs(weak[3]! - 13)).toBeLessThan(1.5);
    expect(Math.abs(weak[3]! - 13)).toBeLessThan(Math.abs(weak[0]! - 13));
  });

  it('find how strict markers are, shrunk to the average', () => {
    const { markers } = school('two markers', 120);
    const [mild, strict] = ['marker 0', 'marker 1'].map((id) => markers.get(id)!);
    // 0.75 and 1.33 are the truth, a ratio of 1.77.
    expect(strict!.factor / mild!.factor).toBeGreaterThan(1.4);
    expect(strict!.factor / mild!.factor).toBeLessThan(1.95);
    expect(mild!.factor).toBeLessThan(1);
    expect(mild!.drives).toBeGreaterThan(100);
  });

  it('find that faults fall, that roads are easier and that days differ', () => {
    expect(school('improving by up to 12 % a drive', 120).assumptions.fallLesson).toBeGreaterThan(0.035);
    expect(school('steady', 120).assumptions.fallLesson).toBeLessThan(0.015);
    // Whoever stops improving after five lessons gains little from the tenth.
    const plateau = school('improving for five lessons, then a plateau', 120).assumptions;
    expect(plateau.fallsFor).toBeLessThan(defaultAssumptions.fallsFor / 2);
    expect(school('easier known roads', 120).assumptions.knownRoads).toBeLessThan(0.78);
    expect(school('days that differ', 120).assumptions.form).toBeGreaterThan(0.32);
    expect(school('steady', 120).assumptions.form).toBeLessThan(0.2);
  });
});

describe('drives of their own kind', () => {
  const road = populationOf(tally, lawNamed('steady'), 40, 4).map(({ evidence }) => ({ evidence }));
  const yard = populationOf(timedYard, lawNamed('steady'), 40, 4).map(({ evidence }) => ({ evidence }));

  it('fit a school for roads as if there were no yard, and the other way round', () => {
    const both = road.map(({ evidence }, i) => ({ evidence: [...evidence, ...yard[i]!.evidence] }));
    expect(fitSchool(both, 'road')).toEqual(fitSchool(road, 'road'));
    expect(fitSchool(both, 'yard')).toEqual(fitSchool(yard, 'yard'));
  });

  it('give each standard of a kind its own faults a test, drawn toward the one that is driven most', () => {
    const half = (one: Evidence): Evidence => ({
      ...one,
      standard: 'graded',
      counts: Object.fromEntries(
        Object.entries(one.counts).map(([code, { counted, outright }]) => [
          code,
          { counted: Math.floor(counted / 2), outright },
        ]),
      ),
    });
    const mixed = (others: number) =>
      fitSchool(
        road.map(({ evidence }, i) => ({ evidence: i < others ? evidence.map(half) : evidence })),
        'road',
      ).standards;
    expect(mixed(0).get('tally')).toMatchObject({ counted: 1, outright: 1 });
    const [few, many] = [mixed(2).get('graded')!.counted, mixed(15).get('graded')!.counted];
    expect(many).toBeLessThan(0.65);
    expect(few).toBeLessThan(1);
    expect(mixed(15).get('tally')).toMatchObject({ counted: 1, outright: 1 });
  });

  it('find that test roads are harder once there are results, and are drawn to nothing before', () => {
    const [none, some] = ['0 results', '40 results'].map((name) => school(`harder test roads, ${name}`, 120));
    expect(none!.centres.size + none!.realTests.size).toBe(0);
    const factor = some!.centres.get(centre)!.factor * some!.realTests.get('marker 0')!.factor;
    // 1.2 is the truth.
    expect(factor).toBeGreaterThan(1.03);
    expect(factor).toBeLessThan(1.35);
    expect(some!.centres.get(centre)!.drives).toBe(40);
  });
});

describe('on learners whose true chance is known', () => {
  // The full measurement is `npm run calibration`; on so few learners the bounds are wider by what chance does.
  it.each(['steady', 'everything at once'])('the estimate is near the best there is: %s', (name) => {
    const result = measureCalibration(tally, lawNamed(name), 80, 5);
    expect(result.shipped - result.floor).toBeLessThan(0.006);
    expect(result.coverage).toBeGreaterThan(0.8);
    expect(Math.abs(result.bias)).toBeLessThan(0.06);
    expect(result.shipped).toBeLessThan(result.share);
    expect(result.share).toBeLessThan(result.last);
  });
});
