import { foldDrive } from '../drive/fold';
import type { EventBody } from '../drive/event';
import { fullTest, logOf, start } from '../drive/testing';
import { independentPart } from './independent';
import { judgeDrive } from './judge';
import { gradeOfValue } from './measured';
import { tally, timedYard } from './testing-standards';
import { nearLimits } from './verdict';

const second = 1 / 60;
const lights = (n: number): EventBody[] =>
  Array.from({ length: n }, () => ({ type: 'mark', item: 'signs.lights', grade: 'driving' }));

/** Every rule of a result at its value and at either side of it. */
describe('at the boundary', () => {
  const driven = (minutes: number, independent: number, begins = 0) =>
    judgeDrive(
      tally,
      foldDrive(
        logOf([
          [begins, start()],
          [begins + minutes - independent - 1, { type: 'section', section: 'independent' }],
          [begins + minutes - 1, { type: 'section', section: 'guided' }],
          [begins + minutes, { type: 'ended', ending: 'completed' }],
        ]),
      ),
    ).missing.map(({ kind }) => kind);
  const [whole, independent] = tally.requirements.flatMap((one) =>
    one.kind === 'exercise' ? [] : [one.atLeastMin.value],
  );

  it.each([
    [-second, true],
    [0, false],
    [second, false],
  ])('the required minutes of a test, %d min more, are missing: %s', (more, missing) => {
    expect(driven(whole! + more, independent!).includes('driving-time')).toBe(missing);
    // A clock that began at 25:00 counts from where the drive began.
    expect(driven(whole! + more, independent!, 25).includes('driving-time')).toBe(missing);
  });

  it.each([
    [-second, true],
    [0, false],
    [second, false],
  ])('the required independent minutes, %d min more, are missing: %s', (more, missing) => {
    expect(driven(40, independent! + more).includes('section-time')).toBe(missing);
  });

  it.each([
    [0, true],
    [second, false],
  ])('a test that ended %d min after its start has not moved off: %s', (minutes, missing) => {
    const drive = foldDrive(
      logOf([
        [3, start()],
        [3 + minutes, { type: 'ended', ending: 'completed' }],
      ]),
    );
    expect(judgeDrive(tally, drive).missing.some(({ kind }) => kind === 'not-moved-off')).toBe(missing);
  });

  it.each([
    [14, 'pass'],
    [15, 'pass'],
    [16, 'fail'],
  ] as const)('%d faults where 15 are allowed are a %s', (n, outcome) => {
    const verdict = judgeDrive(tally, foldDrive(fullTest(lights(n))));
    expect(verdict.outcome).toBe(outcome);
  });

  it.each([
    [11, false],
    [12, true],
    [15, true],
    [16, false],
  ])('%d of 15 is near a limit: %s', (n, near) => {
    const verdict = judgeDrive(tally, foldDrive(fullTest(lights(n))));
    expect(nearLimits(verdict).some(({ limit }) => limit.measure.kind === 'count')).toBe(near);
  });

  it('a clock of an exercise runs out a moment after its seconds, not on them', () => {
    const timed = timedYard.limits.find(({ measure, scope }) => measure.kind === 'time' && scope.kind === 'exercise')!;
    const exercise = (timed.scope as { readonly exercise?: string }).exercise ?? timedYard.exercises[0]!.code;
    const crossed = (seconds: number) =>
      judgeDrive(
        timedYard,
        foldDrive(
          logOf([
            [0, start('timed-yard')],
            [1, { type: 'section', section: 'exercise', exercise }],
            [1 + seconds / 60, { type: 'section', section: 'guided' }],
            [9, { type: 'ended', ending: 'completed' }],
          ]),
        ),
      ).failedExercises.some(({ limit }) => limit.measure.kind === 'time');
    const allowed = timed.allowed.value;
    expect([allowed - 1, allowed, allowed + 0.5].map(crossed)).toEqual([false, false, true]);
  });

  it('a measured value is in the band it reaches, over what is over, at what is at least, below what is below', () => {
    const provenance = { kind: 'house default' as const };
    const bands = [
      { over: 30, grade: 'over', provenance },
      { atLeast: 20, grade: 'at-least', provenance },
      { below: 10, grade: 'below', provenance },
    ];
    const grade = (value: number) => gradeOfValue({ unit: 'cm', bands } as never, value);
    expect([30.1, 30, 29.9].map(grade)).toEqual(['over', 'at-least', 'at-least']);
    expect([20, 19.9].map(grade)).toEqual(['at-least', undefined]);
    expect([10, 9.9].map(grade)).toEqual([undefined, 'below']);
  });

  it('independent driving is enough at three quarters, and late once too little time is left', () => {
    const at = (independentFrom: number, now: number) => {
      const drive = foldDrive(
        logOf([
          [0, start()],
          [independentFrom, { type: 'section', section: 'independent' }],
        ]),
      );
      return independentPart(tally, drive, now * 60_000)!.state;
    };
    expect([14.99, 15, 15.01].map((minutes) => at(10, 10 + minutes))).toEqual(['in-time', 'enough', 'enough']);
    const unbegun = (now: number) => independentPart(tally, foldDrive(logOf([[0, start()]])), now * 60_000)!.state;
    expect(unbegun(25)).toBe('soon');
    expect(unbegun(25.01)).toBe('late');
  });
});
