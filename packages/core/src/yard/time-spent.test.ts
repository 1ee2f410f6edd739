import { simulateRun } from './simulate-run';
import { timedYard } from '../marking/testing-standards';
import { planWith, runWith } from './testing-runs';
import { timeSpent } from './time-spent';
import type { Finding } from './findings';

const at = (ms: number, speed: number) => ({ at: ms, speed });
const exercise = (ms: number): Finding => ({ kind: 'exercise', at: ms, exercise: 'bay' });
const left = (ms: number): Finding => ({ kind: 'exercise-left', at: ms, exercise: 'bay' });

it('adds up what the car did between the samples, and what nobody heard', () => {
  const samples = [at(0, 5), at(400, -4), at(800, 0), at(1200, 0), at(2800, 5), at(3200, 5)];
  expect(timeSpent(samples, [exercise(200), left(3000)])).toEqual([
    { exercise: 'bay', forwardMs: 200 + 200, backwardMs: 400, standingMs: 400, unknownMs: 1600 },
  ]);
});

it('goes to the last sample where an exercise was not left, and keeps two attempts apart', () => {
  const samples = [0, 400, 800, 1200, 1600].map((ms) => at(ms, ms < 800 ? 3 : -3));
  const [first, second] = timeSpent(samples, [exercise(0), left(600), exercise(1000)]);
  expect(first).toMatchObject({ forwardMs: 600, backwardMs: 0 });
  expect(second).toMatchObject({ forwardMs: 0, backwardMs: 600 });
  expect(timeSpent([], [])).toEqual([]);
});

it('comes to the time of each exercise by its clock, in a whole run', () => {
  const samples = simulateRun(timedYard, planWith('garage-bay', [{ sign: 'extra-reverse' }]));
  const { findings, drive } = runWith('garage-bay', [{ sign: 'extra-reverse' }]);
  const spent = timeSpent(samples, findings);
  expect(spent.map((one) => one.exercise)).toEqual(timedYard.exercises.map(({ code }) => code));
  const spans = drive.spans.filter((span) => span.exercise !== undefined);
  spent.forEach(({ standingMs, forwardMs, backwardMs, unknownMs }, i) => {
    const { fromMs, toMs } = spans[i]!;
    // The last is left with the car, some seconds before the last sample.
    if (toMs !== undefined && i < spent.length - 1)
      expect(standingMs + forwardMs + backwardMs + unknownMs).toBeCloseTo(toMs - fromMs, -2);
  });
  const garage = spent.find((one) => one.exercise === 'garage-bay')!;
  const without = timeSpent(simulateRun(timedYard, planWith('slope', [])), runWith('slope', []).findings);
  expect(garage.backwardMs).toBeGreaterThan(without.find((one) => one.exercise === 'garage-bay')!.backwardMs);
});
