import { drivenMs } from './clock';
import { foldDrive } from './fold';
import { logOf, minute, start } from './testing';
import { undoTarget } from './undo';

const opened = { ...start(), briefing: true } as const;
const check = (code: string, result: 'done' | 'failed' | 'skipped', reason?: string) =>
  ({ type: 'check', check: code, result, ...(reason && { reason }) }) as const;

describe('a drive that opens with its briefing', () => {
  it('keeps its clock at 0 until the car moves', () => {
    const before = logOf([
      [0, opened],
      [0, check('documents', 'done')],
    ]);
    expect(foldDrive(before).phase).toBe('briefing');
    expect(drivenMs(foldDrive(before), 9 * minute)).toBe(0);
    const moving = foldDrive([...before, ...logOf([[0, { type: 'moved-off' }]], 'later')]);
    expect(moving.phase).toBe('running');
    expect(drivenMs(moving, 9 * minute)).toBe(9 * minute);
  });

  it('remembers the last word on each step, and an undone one not at all', () => {
    const log = logOf([
      [0, opened],
      [0, check('eyesight', 'failed', 'Third letter')],
      [0, check('eyesight', 'done')],
      [0, check('documents', 'skipped', 'Seen last week')],
      [0, check('riders', 'done'), 'riders'],
      [0, { type: 'strike', target: 'riders', reason: 'Undone', undo: true }],
    ]);
    expect(foldDrive(log).checks).toMatchObject([
      { check: 'eyesight', result: 'done' },
      { check: 'documents', result: 'skipped', why: { reason: 'Seen last week' } },
    ]);
  });

  it('cannot be driven backwards by undo', () => {
    const log = logOf([
      [0, opened],
      [0, { type: 'moved-off' }],
    ]);
    expect(undoTarget(log, 'tablet')).toBeUndefined();
  });

  it('is no matter for drives recorded without one', () => {
    expect(foldDrive(logOf([[0, start()]])).phase).toBe('running');
  });
});

describe('what is counted, noted and answered', () => {
  const drive = foldDrive(
    logOf([
      [0, start()],
      [1, { type: 'step', step: 'pull-up' }],
      [2, { type: 'step', step: 'move-off' }],
      [3, { type: 'note', text: 'Sun in the eyes' }],
      [3, { type: 'note', text: 'Nervous; ring the mother', private: true }],
      [4, { type: 'answer', item: 'checks.show', right: false }],
      [5, { type: 'answer', item: 'checks.show', right: true }, 'second'],
      [6, { type: 'strike', target: 'second', reason: 'Undone', undo: true }],
      [7, { type: 'pause', state: 'paused', reason: 'Toilet' }],
      [9, { type: 'pause', state: 'resumed' }],
      [20, { type: 'ended', ending: 'abandoned', cause: 'safety', reason: 'Ran a red light' }],
      [20, { type: 'debriefed', workOn: ['signs.lights'] }],
    ]),
  );

  it('stands in the drive with its moment', () => {
    expect(drive.steps.map(({ step }) => step)).toEqual(['pull-up', 'move-off']);
    expect(drive.notes).toMatchObject([
      { text: 'Sun in the eyes', private: false },
      { text: 'Nervous; ring the mother', private: true },
    ]);
    expect(drive.answers).toEqual([{ id: 'tablet-5', atMs: 4 * minute, item: 'checks.show', right: false }]);
    expect(drive.pauses).toEqual([{ fromMs: 7 * minute, toMs: 9 * minute, why: { reason: 'Toilet' } }]);
    expect(drive.ended).toEqual({
      atMs: 20 * minute,
      ending: 'abandoned',
      cause: 'safety',
      why: { reason: 'Ran a red light' },
    });
    expect(drive.debriefed?.workOn).toEqual(['signs.lights']);
  });
});
