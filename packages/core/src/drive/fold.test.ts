import fc from 'fast-check';
import { drivenMs, sectionMs } from './clock';
import { standingMarks, unsettledPins } from './drive';
import { foldDrive } from './fold';
import { logOf, minute, start } from './testing';
import { anyLog } from './testing-arbitraries';
import { undoTarget } from './undo';
import type { EventBody } from './event';

const mark = { type: 'mark', item: 'junctions.observation', grade: 'driving' } as const;

describe('folding a log', () => {
  it('says nothing of a drive that has not started', () => {
    const drive = foldDrive([]);
    expect(drive.phase).toBe('not-started');
    expect(drive.spans).toEqual([]);
    expect(drivenMs(drive, 5 * minute)).toBe(0);
  });

  it('does not depend on the order of arrival', () => {
    fc.assert(
      fc.property(
        anyLog.chain((log) => fc.tuple(fc.constant(log), fc.shuffledSubarray([...log], { minLength: log.length }))),
        ([log, shuffled]) => {
          expect(foldDrive(shuffled)).toEqual(foldDrive(log));
        },
      ),
    );
  });

  it('takes each event once, however often it arrives', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        expect(foldDrive([...log, ...log])).toEqual(foldDrive(log));
      }),
    );
  });

  it('holds the last word on which step of a sequence a mark is about', () => {
    const log = logOf([
      [0, start('sequence-checklist')],
      [2, { type: 'mark', item: 'junctions.turn-across', grade: 'not-yet' }, 'turn'],
      [2.1, { type: 'missed-step', target: 'turn', step: 'signal' }],
      [2.2, { type: 'missed-step', target: 'turn', step: 'blind spot' }, 'last'],
    ]);
    expect(foldDrive(log).marks[0]?.step).toBe('blind spot');
    const taken = [...log, ...logOf([[3, { type: 'strike', target: 'last', undo: true }]], 'phone')];
    expect(foldDrive(taken).marks[0]?.step).toBe('signal');
  });

  it('keeps a struck mark with its reason, and counts it for nothing', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [3, mark, 'm'],
        [4, { type: 'strike', target: 'm', reason: 'There was a second look.' }],
      ]),
    );
    expect(drive.marks[0]?.struck).toMatchObject({ why: { reason: 'There was a second look.' }, undo: false });
    expect(standingMarks(drive)).toEqual([]);
  });

  it('brings a mark back when its strike is struck', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [3, mark, 'm'],
        [4, { type: 'strike', target: 'm', reason: 'No.' }, 's'],
        [5, { type: 'strike', target: 's', reason: 'Yes.' }],
      ]),
    );
    expect(standingMarks(drive)).toHaveLength(1);
  });

  it('lets the last standing regrade decide and remembers the first grade', () => {
    const log = logOf([
      [0, start()],
      [3, mark, 'm'],
      [4, { type: 'regrade', target: 'm', grade: 'serious' }, 'r1'],
      [5, { type: 'regrade', target: 'm', grade: 'dangerous' }, 'r2'],
    ]);
    expect(foldDrive(log).marks[0]).toMatchObject({ grade: 'dangerous', firstGrade: 'driving' });
    const [, , , , undone] = logOf([
      [0, start()],
      [0, mark],
      [0, mark],
      [0, mark],
      [6, { type: 'strike', target: 'r2', reason: '' }],
    ]);
    expect(foldDrive([...log, undone!]).marks[0]).toMatchObject({ grade: 'serious' });
  });

  it('puts a mark that settles a pin at the moment of the pin', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [3, { type: 'pin' }, 'p'],
        [7, { type: 'pin' }, 'q'],
        [9, { ...mark, pin: 'p' }, 'm'],
        [10, { type: 'strike', target: 'q', reason: 'Nothing after all.' }],
      ]),
    );
    expect(drive.marks[0]?.atMs).toBe(3 * minute);
    expect(drive.pins.map((pin) => pin.state)).toEqual(['settled', 'dropped']);
    expect(unsettledPins(drive)).toEqual([]);
  });

  it('opens a pin again when the mark that settled it is struck', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [3, { type: 'pin' }, 'p'],
        [9, { ...mark, pin: 'p' }, 'm'],
        [10, { type: 'strike', target: 'm', reason: 'Wrong key.', undo: true }],
      ]),
    );
    expect(unsettledPins(drive)).toHaveLength(1);
  });

  it('measures sections and leaves pauses out of every clock', () => {
    const drive = foldDrive(
      logOf([
        [0, start()],
        [10, { type: 'section', section: 'independent' }],
        [15, { type: 'pause', state: 'paused', reason: 'A breakdown ahead.' }],
        [18, { type: 'pause', state: 'resumed' }],
        [30, { type: 'section', section: 'exercise', exercise: 'bay' }],
        [33, mark],
        [34, { type: 'section', section: 'guided' }],
        [40, { type: 'ended', ending: 'completed' }],
      ]),
    );
    expect(drivenMs(drive, 99 * minute)).toBe(37 * minute);
    expect(sectionMs(drive, 'independent', 99 * minute)).toBe(17 * minute);
    expect(sectionMs(drive, 'exercise', 99 * minute)).toBe(4 * minute);
    expect(sectionMs(drive, 'guided', 99 * minute)).toBe(16 * minute);
    expect(drive.marks[0]?.exercise).toBe('bay');
  });

  it('splits the time driven into its sections, whatever the log', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const sections = (['guided', 'independent', 'exercise'] as const).map((kind) =>
          sectionMs(drive, kind, drive.lastMs),
        );
        expect(sections.reduce((a, b) => a + b)).toBe(drivenMs(drive, drive.lastMs));
      }),
    );
  });
});

describe('help', () => {
  const asked = (...said: readonly EventBody[]) =>
    foldDrive(
      logOf([
        [0, start()],
        [1, mark, 'm'],
        [1.1, { type: 'intervention' }, 'control'],
        [1.2, { type: 'prompt' }, 'spoke'],
        ...said.map((body, i) => [2 + i, body] as const),
      ]),
    );

  it('has what made it necessary, a fault or a reason; the last word holds, and may be nothing', () => {
    const said = asked(
      { type: 'help-for', target: 'control', reason: 'A van pulled out' },
      { type: 'help-for', target: 'control', mark: 'm' },
      { type: 'help-for', target: 'spoke', reason: 'Lost' },
    );
    expect(said.interventions).toEqual([{ id: 'control', atMs: 66_000, mark: 'm' }]);
    expect(said.prompts).toEqual([{ id: 'spoke', atMs: 72_000, reason: 'Lost' }]);
    const back = asked({ type: 'help-for', target: 'control', mark: 'm' }, { type: 'help-for', target: 'control' });
    expect(back.interventions).toEqual([{ id: 'control', atMs: 66_000 }]);
  });

  it('was made necessary by no fault that was taken out, and by nothing that is no fault', () => {
    const gone = asked({ type: 'help-for', target: 'control', mark: 'm' }, { type: 'strike', target: 'm' });
    expect(gone.interventions[0]).not.toHaveProperty('mark');
    expect(asked({ type: 'help-for', target: 'control', mark: 'spoke' }).interventions[0]).not.toHaveProperty('mark');
  });
});

describe('undo', () => {
  it('takes back the latest thing first, then the one before, and stops at the start', () => {
    let log = logOf([
      [0, start()],
      [1, mark, 'm'],
      [2, { type: 'prompt' }, 'p'],
    ]);
    const undone: string[] = [];
    for (let target = undoTarget(log, 'tablet'); target; target = undoTarget(log, 'tablet')) {
      undone.push(target.id);
      const seq = log.length;
      log = [
        ...log,
        {
          type: 'strike',
          target: target.id,
          reason: '',
          undo: true,
          id: `u${seq}`,
          device: 'tablet',
          seq,
          atMs: 3 * minute,
          wall: log[0]!.wall,
          by: 'instructor',
        },
      ];
    }
    expect(undone).toEqual(['p', 'm']);
    expect(foldDrive(log)).toMatchObject({ prompts: [], phase: 'running' });
  });

  it('takes back a considered strike, and leaves the other device alone', () => {
    const log = [
      ...logOf([
        [0, start()],
        [1, mark, 'm'],
        [2, { type: 'strike', target: 'm', reason: 'Not so.' }, 's'],
      ]),
      ...logOf([[5, { type: 'prompt' }, 'other']], 'back-seat'),
    ];
    expect(undoTarget(log, 'tablet')?.id).toBe('s');
    expect(undoTarget(log, 'back-seat')?.id).toBe('other');
  });
});
