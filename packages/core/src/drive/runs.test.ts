import fc from 'fast-check';
import { exerciseRuns, momentAfter } from './clock';
import { foldDrive } from './fold';
import { logOf, minute, start } from './testing';
import { anyLog } from './testing-arbitraries';

const begin = (exercise: string, retest?: boolean) =>
  ({ type: 'section', section: 'exercise', exercise, ...(retest && { retest }) }) as const;
const none = { movement: [], shunt: [], correction: [], look: [] };
const step = (what: 'movement' | 'look') => ({ type: 'step', step: what }) as const;

describe('goes at an exercise', () => {
  const drive = foldDrive(
    logOf([
      [0, start('attempts-yard')],
      [1, begin('alley-left')],
      [1.5, step('movement')],
      [2, { type: 'pause', state: 'paused' }],
      [4, { type: 'pause', state: 'resumed' }],
      [5, begin('alley-left')],
      [5.5, step('movement')],
      [5.6, step('look')],
      [6, { type: 'section', section: 'guided' }],
      [6.5, step('movement')],
      [7, begin('incline', true)],
    ]),
  );

  it('are told apart, with their time less pauses and their own steps', () => {
    expect(exerciseRuns(drive, 9 * minute)).toEqual([
      {
        exercise: 'alley-left',
        retest: false,
        fromMs: minute,
        timeMs: 2 * minute,
        steps: { ...none, movement: [1.5 * minute] },
      },
      {
        exercise: 'alley-left',
        retest: false,
        fromMs: 5 * minute,
        timeMs: minute,
        steps: { ...none, movement: [5.5 * minute], look: [5.6 * minute] },
      },
      { exercise: 'incline', retest: true, fromMs: 7 * minute, timeMs: 2 * minute, steps: none },
    ]);
  });

  it('lose a step that is undone', () => {
    const undone = foldDrive(
      logOf([
        [0, start()],
        [1, begin('turn')],
        [2, step('movement'), 'one'],
        [3, { type: 'strike', target: 'one', reason: 'Undone', undo: true }],
      ]),
    );
    expect(exerciseRuns(undone, 4 * minute)[0]?.steps.movement).toEqual([]);
  });

  it('never take less than no time, whatever the log', () => {
    fc.assert(
      fc.property(anyLog, fc.nat(4_000_000), (log, nowMs) => {
        for (const run of exerciseRuns(foldDrive(log), nowMs)) expect(run.timeMs).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('reach a time at a moment that leaves the pauses out', () => {
    expect(momentAfter(drive, minute, 0.5 * minute)).toBe(1.5 * minute);
    expect(momentAfter(drive, minute, 2 * minute)).toBe(5 * minute);
    expect(momentAfter(drive, 3 * minute, minute)).toBe(5 * minute);
    expect(momentAfter(drive, 6 * minute, minute)).toBe(7 * minute);
  });
});

describe('advice and measured values', () => {
  it('stay with their mark, the last standing ones', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [1, { type: 'mark', item: 'slope.roll-back', grade: 'demerit', measured: 16 }, 'm'],
        [2, { type: 'advice', target: 'm', answers: { affected: 'no' }, proposed: 'demerit' }],
        [3, { type: 'advice', target: 'm', answers: { affected: 'yes' }, proposed: 'fail' }, 'second'],
        [4, { type: 'regrade', target: 'm', grade: 'fail', measured: 31 }, 'again'],
      ]),
    );
    expect(drive.marks[0]).toMatchObject({
      grade: 'fail',
      firstGrade: 'demerit',
      measured: 31,
      advice: { answers: { affected: 'yes' }, proposed: 'fail' },
    });
  });

  it('go back to what they were when the later word is struck', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [1, { type: 'mark', item: 'slope.roll-back', grade: 'demerit', measured: 16 }, 'm'],
        [2, { type: 'advice', target: 'm', answers: { near: 'close' }, proposed: 'fail' }, 'a'],
        [3, { type: 'regrade', target: 'm', grade: 'fail', measured: 31 }, 'r'],
        [4, { type: 'strike', target: 'a', reason: 'Wrong mark' }],
        [5, { type: 'strike', target: 'r', reason: 'Wrong mark' }],
      ]),
    );
    expect(drive.marks[0]).toMatchObject({ grade: 'demerit', measured: 16 });
    expect(drive.marks[0]?.advice).toBeUndefined();
  });
});
