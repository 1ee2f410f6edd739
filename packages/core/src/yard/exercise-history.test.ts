import { chanceOf, courseChance, exerciseHistory, exerciseResults } from './exercise-history';
import { runWith } from './testing-runs';
import { tally, timedYard } from '../marking/testing-standards';

const results = (slips: Parameters<typeof runWith>[1]) => {
  const { drive, verdict } = runWith('garage-bay', slips);
  return exerciseResults(timedYard, drive, verdict);
};

it('says of each exercise of a drive whether it was passed, how long it took and what it used', () => {
  const [slope, , , garage] = results([{ sign: 'line' }, { sign: 'dry-steering' }]);
  expect(slope).toMatchObject({ exercise: 'slope', passed: true, allowedS: 90, used: 0, allowed: 5 });
  expect(garage).toMatchObject({ exercise: 'garage-bay', passed: false, allowedS: 180, used: 1 });
  expect(garage!.timeMs).toBeGreaterThan(5000);
  const { drive, verdict } = runWith('slope', []);
  expect(exerciseResults(tally, drive, verdict)).toEqual([]);
  expect(exerciseResults(timedYard, { ...drive, ended: undefined! }, verdict)).toEqual([]);
});

it('gives a chance by the prior of Jeffreys where drives weigh alike, and weighs the latest most', () => {
  // One success: beta(1.5, 0.5) has the mean 0.75; SciPy 1.11, stats.beta.ppf([.05, .95], 1.5, .5), from memory.
  const one = chanceOf([true]);
  expect(one.mean).toBeCloseTo(0.75, 10);
  expect(one.low).toBeCloseTo(0.2289, 2);
  expect(one.high).toBeCloseTo(0.9986, 2);
  expect(chanceOf([]).mean).toBe(0.5);
  expect(chanceOf([false, true]).mean).toBeGreaterThan(0.5);
  expect(chanceOf([true, false]).mean).toBeCloseTo(1 - chanceOf([false, true]).mean, 10);
  for (const passed of [[], [true], [false, true], [true, true, true]]) {
    const { low, mean, high } = chanceOf(passed);
    expect(low).toBeLessThan(mean);
    expect(mean).toBeLessThan(high);
  }
});

it('adds the drives up by exercise, and speaks of the course only once all of it was driven', () => {
  const history = exerciseHistory([results([{ sign: 'line' }]), results([])]);
  expect(history.map(({ exercise }) => exercise)).toEqual(timedYard.exercises.map(({ code }) => code));
  const garage = history.find(({ exercise }) => exercise === 'garage-bay')!;
  expect([garage.passed, garage.results.length]).toEqual([1, 2]);
  const all = courseChance(history, timedYard.exercises)!;
  expect(all).toBeLessThan(Math.min(...history.map(({ chance }) => chance.mean)));
  expect(courseChance(history.slice(1), timedYard.exercises)).toBeUndefined();
});

it('takes the mean over the ways through a course with branches, and asks for every exercise that may come', () => {
  const chance = (exercise: string, mean: number) => ({ exercise, chance: { mean, low: 0, high: 1 } });
  const exercises = [{ code: 'a', next: ['b', 'c'] }, { code: 'b', next: [] }, { code: 'c' }].map((one) => ({
    name: one.code,
    ...one,
  }));
  const history = [chance('a', 0.5), chance('b', 0.8), chance('c', 0.4)];
  expect(courseChance(history, exercises)).toBeCloseTo(0.5 * 0.6, 12);
  expect(courseChance(history.slice(0, 2), exercises)).toBeUndefined();
  expect(courseChance([], [])).toBeUndefined();
});

it('counts the movements of an exercise where they were counted or limited', () => {
  const { drive, verdict } = runWith('garage-bay', [{ sign: 'extra-reverse' }]);
  const garage = exerciseResults(timedYard, drive, verdict).find(({ exercise }) => exercise === 'garage-bay')!;
  const [calm] = [results([])].map((all) => all.find(({ exercise }) => exercise === 'garage-bay')!);
  expect(garage.movements).toBeGreaterThan(calm!.movements ?? 0);
});
