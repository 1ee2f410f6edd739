import { tally } from '../marking/testing-standards';
import { defaultAssumptions } from './assumptions';
import { fitSchool } from './fit';
import { measureCalibration } from './testing-calibration';
import { laws, populationOf } from './testing-populations';

const lawNamed = (name: string) => laws.find((law) => law.name === name)!;
const school = (name: string, learners: number, seed = 3) =>
  fitSchool(populationOf(tally, lawNamed(name), learners, seed).map(({ evidence }) => evidence));

describe('the figures of a school', () => {
  it('are the stated defaults where nobody has driven', () => {
    for (const learners of [[], [[], []]]) {
      const { assumptions, learners: n } = fitSchool(learners);
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
    expect(school('improving by up to 12 % a drive', 120).assumptions.fall).toBeGreaterThan(0.12);
    expect(school('steady', 120).assumptions.fall).toBeLessThan(0.06);
    expect(school('easier known roads', 120).assumptions.knownRoads).toBeLessThan(0.78);
    expect(school('days that differ', 120).assumptions.form).toBeGreaterThan(0.32);
    expect(school('steady', 120).assumptions.form).toBeLessThan(0.2);
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
