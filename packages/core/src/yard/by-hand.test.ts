import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { exerciseBegins as begin, exerciseEnds as end, logOf, start } from '../drive/testing';
import { judgeDrive } from '../marking/judge';
import { gradeOfValue } from '../marking/measured';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { attemptsYard, choosing, reversingArea, timedYard } from '../marking/testing-standards';

/** Every threshold of the yards from both sides (common practice), marked by hand: timers, a keypad and touches. */

type Timed = readonly [seconds: number, body: EventBody];

const mark = (item: string, grade = 'demerit'): EventBody => ({ type: 'mark', item, grade });
const step = (what: 'movement' | 'shunt' | 'look'): EventBody => ({ type: 'step', step: what });

/** The verdict over a whole course in which one exercise goes so; the others take 10 seconds each. */
function verdictOf(
  standard: EffectiveStandard,
  exercise: string,
  within: readonly Timed[],
  lastsS: number,
  retest = false,
) {
  let atS = 0;
  const log: Timed[] = [];
  for (const { code } of standard.exercises) {
    log.push([atS, begin(code, retest)]);
    if (code === exercise) log.push(...within.map(([s, body]) => [atS + s, body] as const));
    atS += code === exercise ? lastsS : 10;
    log.push([atS, end]);
  }
  const drive = foldDrive(
    logOf([
      [0, start(standard.id)],
      ...log.map(([s, body]) => [s / 60, body] as const),
      [(atS + 1) / 60, { type: 'ended', ending: 'completed' }],
    ]),
  );
  return judgeDrive(standard, drive);
}

const failed = (...args: Parameters<typeof verdictOf>) =>
  verdictOf(...args).failedExercises.map(({ scope, limit }) => [scope, limit.code]);

/** What the keypad brings for a value: the mark it records, or nothing where the value is within what is allowed. */
function keyed(standard: EffectiveStandard, item: string, measured: number): readonly EventBody[] {
  const grade = gradeOfValue(rulesOf(standard).items.get(item)!.item.measured!, measured);
  return grade === undefined ? [] : [{ type: 'mark', item, grade, measured }];
}

describe('a value keyed in', () => {
  it.each([
    ['slope.roll-back', 14, undefined],
    ['slope.roll-back', 15, undefined],
    ['slope.roll-back', 16, 'demerit'],
    ['slope.roll-back', 29, 'demerit'],
    ['slope.roll-back', 30, 'fail'],
    ['slope.revs', 2999, undefined],
    ['slope.revs', 3000, undefined],
    ['slope.revs', 3001, 'fail'],
    ['brake.speed', 19, 'fail'],
    ['brake.speed', 20, undefined],
    ['brake.speed', 30, undefined],
    ['brake.speed', 31, 'fail'],
  ])('for %s: %d brings %s', (item, value, grade) => {
    const exercise = item.split('.')[0]!;
    const marks = keyed(timedYard, item, value);
    expect(marks.map((one) => 'grade' in one && one.grade)).toEqual(grade === undefined ? [] : [grade]);
    const verdict = verdictOf(
      timedYard,
      exercise,
      marks.map((body) => [5, body] as const),
      10,
    );
    expect(verdict.outcome).toBe(grade === 'fail' ? 'fail' : 'pass');
  });

  it.each([
    ['over-35', 34, 'pass'],
    ['over-35', 35, 'pass'],
    ['over-35', 36, 'fail'],
    ['over-34', 34, 'pass'],
    ['over-34', 35, 'fail'],
  ])('with the option %s: %d km/h in the yard, %s', (choice, value, outcome) => {
    const standard = choosing(timedYard, 'yard-speed', choice);
    const marks = keyed(standard, 'whole.overspeed', value).map((body) => [5, body] as const);
    expect(verdictOf(standard, 'slope', marks, 10).outcome).toBe(outcome);
  });
});

describe('a timer', () => {
  it.each([
    ['slope', 90],
    ['brake', 90],
    ['angle-bay', 120],
    ['garage-bay', 180],
    ['parallel-bay', 300],
  ])('lets the %s take %d s and not 50 ms more', (exercise, allowedS) => {
    expect(failed(timedYard, exercise, [], allowedS - 0.05)).toEqual([]);
    expect(failed(timedYard, exercise, [], allowedS)).toEqual([]);
    expect(failed(timedYard, exercise, [], allowedS + 0.05)).toEqual([[exercise, `time-${exercise}`]]);
  });

  it.each([
    ['slope', 390],
    ['garage-bay', 480],
    ['parallel-bay', 600],
  ])('lets a repeat of the %s take %d s', (exercise, allowedS) => {
    expect(failed(timedYard, exercise, [], allowedS - 1, true)).toEqual([]);
    expect(failed(timedYard, exercise, [], allowedS + 1, true)).toEqual([[exercise, `time-${exercise}`]]);
  });

  it('stands still while the test is paused', () => {
    const paused: readonly Timed[] = [
      [80, { type: 'pause', state: 'paused' }],
      [140, { type: 'pause', state: 'resumed' }],
    ];
    expect(failed(timedYard, 'slope', paused, 149.95)).toEqual([]);
    expect(failed(timedYard, 'slope', paused, 150.05)).toEqual([['slope', 'time-slope']]);
  });

  it('lets the whole course take 20 minutes', () => {
    const whole = (restS: number) => {
      const drive = foldDrive(
        logOf([
          [0, start('timed-yard')],
          [restS / 60, { type: 'ended', ending: 'completed' }],
        ]),
      );
      return judgeDrive(timedYard, drive).reasons.some(
        (reason) => 'limit' in reason && reason.limit.measure.kind === 'time',
      );
    };
    expect([whole(1199.95), whole(1200.05)]).toEqual([false, true]);
  });
});

describe('touches', () => {
  const marks = (...items: readonly string[]): readonly Timed[] => items.map((item, i) => [1 + i, mark(item)]);

  it('pass five demerits of an exercise and fail six', () => {
    const five = ['garage-bay.extra', 'garage-bay.extra', 'garage-bay.dry'];
    expect(failed(timedYard, 'garage-bay', marks(...five), 20)).toEqual([]);
    expect(failed(timedYard, 'garage-bay', marks(...five, 'garage-bay.dry'), 20)).toEqual([['garage-bay', 'demerits']]);
    // Six over two exercises fail neither.
    expect(failed(timedYard, 'slope', marks(...Array<string>(5).fill('slope.look')), 20)).toEqual([]);
  });

  it('let the engine stop twice, or three times by the option', () => {
    const stops = (n: number) => marks(...Array<string>(n).fill('whole.stalled'));
    const outcome = (n: number, standard = timedYard) => verdictOf(standard, 'slope', stops(n), 20).outcome;
    expect([outcome(2), outcome(3)]).toEqual(['pass', 'fail']);
    const lenient = choosing(timedYard, 'engine-stops', 'more-than-three');
    expect([outcome(3, lenient), outcome(4, lenient)]).toEqual(['pass', 'fail']);
  });

  it('give three movements to park beside the lane; a fourth fails the attempt, and the last attempt the exercise', () => {
    const moved = (n: number): readonly Timed[] => Array.from({ length: n }, (_, i) => [1 + i, step('movement')]);
    const three = verdictOf(attemptsYard, 'parallel-left', moved(3), 20);
    expect([three.failedAttempts, three.failedExercises]).toEqual([[], []]);
    const four = verdictOf(attemptsYard, 'parallel-left', moved(4), 20);
    expect(four.failedAttempts.map(({ scope }) => scope)).toEqual(['parallel-left']);
    expect(four.failedExercises).toEqual([]);
    // The turn in the road has one attempt.
    expect(failed(attemptsYard, 'turn-in-road', moved(3), 20)).toEqual([]);
    expect(failed(attemptsYard, 'turn-in-road', moved(4), 20)).toEqual([['turn-in-road', 'failed-turn-in-road']]);
  });

  it('give two shunts in the reversing area, and fail with the third', () => {
    const shunts = (n: number) => Array.from({ length: n }, (_, i): Timed => [1 + i, mark('reverse.shunt', 'fault')]);
    const [exercise] = reversingArea.exercises;
    const outcome = (n: number) => verdictOf(reversingArea, exercise!.code, shunts(n), 60).outcome;
    expect([outcome(2), outcome(3)]).toEqual(['pass', 'fail']);
  });
});

it('asks for no exercise on a branch that was not taken, and for all others', () => {
  const next: Readonly<Record<string, readonly string[]>> = {
    'alley-left': ['parallel-left', 'parallel-right'],
    'parallel-left': ['incline'],
    'parallel-right': ['incline'],
  };
  const forked = {
    ...attemptsYard,
    exercises: attemptsYard.exercises
      .filter(({ code }) => code !== 'alley-right')
      .map((one) => ({ ...one, ...(next[one.code] && { next: next[one.code] }) })),
    requirements: attemptsYard.requirements.filter((one) => !('exercise' in one && one.exercise === 'alley-right')),
  } as EffectiveStandard;
  const missing = (...driven: readonly string[]) => {
    const log = driven.flatMap((code, i): Timed[] => [
      [20 * i, begin(code)],
      [20 * i + 10, end],
    ]);
    const verdict = judgeDrive(
      forked,
      foldDrive(
        logOf([
          [0, start(forked.id)],
          ...log.map(([s, body]) => [s / 60, body] as const),
          [10, { type: 'ended', ending: 'completed' }],
        ]),
      ),
    );
    return [verdict.outcome, ...verdict.missing.map((one) => ('exercise' in one ? one.exercise : one.kind))];
  };
  expect(missing('alley-left', 'parallel-right', 'incline', 'left-turn', 'turn-in-road')).toEqual(['pass']);
  expect(missing('alley-left', 'parallel-right', 'left-turn', 'turn-in-road')).toEqual(['incomplete', 'incline']);
  expect(missing('alley-left')).toEqual([
    'incomplete',
    'parallel-left',
    'parallel-right',
    'incline',
    'left-turn',
    'turn-in-road',
  ]);
});
