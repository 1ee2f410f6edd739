import { choosing, timedYard } from '../marking/testing-standards';
import { judged, planWith, runWith } from './testing-runs';
import { simulateRun } from './simulate-run';
import type { JudgedRun } from './judge-run';

/** Every threshold of the timed yard from both sides (common practice), told by sensors alone. */

const marksOf = ({ drive }: JudgedRun) =>
  drive.marks.map(({ item, grade, measured }) => [item, grade, ...(measured === undefined ? [] : [measured])]);
const failedBy = ({ verdict }: JudgedRun) => verdict.failedExercises.map(({ limit }) => limit.code);

it('finds nothing in a run without a fault, and passes it', () => {
  const run = runWith('slope', []);
  expect(marksOf(run)).toEqual([]);
  expect(run.verdict.outcome).toBe('pass');
  expect(run.drive.spans.flatMap(({ exercise }) => exercise ?? [])).toEqual(
    timedYard.exercises.map(({ code }) => code),
  );
});

it.each([
  [14, []],
  [15, []],
  [16, [['slope.roll-back', 'demerit', 16]]],
  [29, [['slope.roll-back', 'demerit', 29]]],
  [30, [['slope.roll-back', 'fail', 30]]],
])('grades %d cm rolled back', (value, marks) => {
  const run = runWith('slope', [{ sign: 'roll-back', value }]);
  expect(marksOf(run)).toEqual(marks);
  expect(run.verdict.outcome).toBe(value < 30 ? 'pass' : 'fail');
});

it.each([
  [2999, []],
  [3000, []],
  [3001, [['slope.revs', 'fail', 3001]]],
])('grades %d rpm on the slope', (value, marks) => {
  expect(marksOf(runWith('slope', [{ sign: 'revs', value }]))).toEqual(marks);
});

it.each([
  [19, [['brake.speed', 'fail', 19]]],
  [20, []],
  [30, []],
  [31, [['brake.speed', 'fail', 31]]],
])('grades %d km/h at the tone', (value, marks) => {
  expect(marksOf(runWith('brake', [{ sign: 'tone-speed', value }]))).toEqual(marks);
});

it.each([
  ['over-35', 34, []],
  ['over-35', 35, []],
  ['over-35', 35.1, [['whole.overspeed', 'fail', 35.1]]],
  ['over-34', 34, []],
  ['over-34', 35, [['whole.overspeed', 'fail', 35]]],
])('with the option %s grades %d km/h in the yard', (choice, value, marks) => {
  const standard = choosing(timedYard, 'yard-speed', choice);
  const between = [{ sign: 'speed', value, after: 'brake' }] as const;
  expect(marksOf(runWith('slope', [], { standard, between }))).toEqual(marks);
});

/** A run in which one exercise takes so many seconds. */
function lasting(exercise: string, seconds: number, retest = false): JudgedRun {
  const base = judged(simulateRun(timedYard, planWith(exercise, [])));
  const spans = base.drive.spans.filter((span) => span.exercise === exercise);
  const needsS = (spans[0]!.toMs! - spans[0]!.fromMs) / 1000;
  return judged(simulateRun(timedYard, planWith(exercise, [], { waitS: seconds - needsS })), timedYard, { retest });
}

it.each([
  ['slope', 89.95, 90.05],
  ['brake', 89.95, 90.05],
  ['angle-bay', 119.95, 120.05],
  ['garage-bay', 179.95, 180.05],
  ['parallel-bay', 299.95, 300.05],
])('times the %s from its trigger: %d s pass, %d s fail', (exercise, within, beyond) => {
  expect(lasting(exercise, within).verdict.outcome).toBe('pass');
  const late = lasting(exercise, beyond);
  expect(late.verdict.outcome).toBe('fail');
  expect(failedBy(late)).toContain(`time-${exercise}`);
});

it.each([
  [479.95, 'pass'],
  [480.05, 'fail'],
])('gives a retest of the garage bay 480 s: %d s %s', (seconds, outcome) => {
  expect(lasting('garage-bay', seconds, true).verdict.outcome).toBe(outcome);
});

it('passes five demerits in an exercise and fails six', () => {
  // An extra reverse is two demerits, the others are one each.
  const [reverse, dry, brake] = [{ sign: 'extra-reverse' }, { sign: 'dry-steering' }, { sign: 'brake-on' }] as const;
  const five = runWith('garage-bay', [reverse, reverse, dry]);
  expect([five.drive.marks.length, five.verdict.outcome, failedBy(five)]).toEqual([3, 'pass', []]);
  const six = runWith('garage-bay', [reverse, reverse, dry, brake]);
  expect([six.drive.marks.length, six.verdict.outcome, failedBy(six)]).toEqual([4, 'fail', ['demerits']]);
});

it('fails a line touched, a bay parked outside of and a late extra reverse at once', () => {
  for (const sign of ['line', 'parked-outside', 'late-extra-reverse'] as const)
    expect([sign, runWith('garage-bay', [{ sign }]).verdict.outcome]).toEqual([sign, 'fail']);
});

it('lets the engine stop twice and fails the third time, or the fourth by the option', () => {
  const stops = (n: number) =>
    timedYard.exercises.slice(0, n).map(({ code }) => ({ sign: 'stalled' as const, after: code }));
  const outcome = (n: number, standard = timedYard) =>
    runWith('slope', [], { standard, between: stops(n) }).verdict.outcome;
  expect([outcome(2), outcome(3)]).toEqual(['pass', 'fail']);
  const lenient = choosing(timedYard, 'engine-stops', 'more-than-three');
  expect([outcome(3, lenient), outcome(4, lenient)]).toEqual(['pass', 'fail']);
});

it.each(['belt', 'door'] as const)('fails a %s in the yard, and not when the car is left', (sign) => {
  expect(runWith('slope', [], { between: [{ sign, after: 'brake' }] }).verdict.outcome).toBe('fail');
});

it('marks the clutch before the brake, and both together where brake comes first', () => {
  expect(marksOf(runWith('brake', [{ sign: 'clutch-first' }]))).toEqual([['brake.footwork', 'fail']]);
  const together = choosing(timedYard, 'emergency-footwork', 'together');
  expect(marksOf(runWith('brake', [{ sign: 'clutch-first' }], { standard: together }))).toEqual([
    ['brake.footwork', 'demerit'],
  ]);
});

it('marks a car that is left in another order', () => {
  const run = runWith('slope', [], { leaving: ['gear', 'parking-brake', 'belt', 'door'] });
  expect(marksOf(run)).toEqual([['whole.finish', 'demerit']]);
  expect(marksOf(runWith('slope', [], { leaving: ['parking-brake', 'gear', 'belt', 'door'] }))).toEqual([]);
});

it('measures reaction and stopping distance', () => {
  const facts = runWith('brake', []).findings.flatMap((one) => (one.kind === 'fact' ? [[one.fact, one.value]] : []));
  expect(facts).toEqual([
    ['reaction', expect.closeTo(0.45, 1)],
    ['stopping-distance', expect.closeTo(3.5, 0)],
  ]);
});
