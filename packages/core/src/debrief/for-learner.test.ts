import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { anyLog, secretWord } from '../drive/testing-arbitraries';
import type { Drive } from '../drive/drive';
import { judgeDrive } from '../marking/judge';
import { tally } from '../marking/testing-standards';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { forLearner, isFinal, withoutPrivateNotes } from './for-learner';

const events = [
  ...fullTest([
    { type: 'mark', item: 'signs.lights', grade: 'driving' },
    { type: 'mark', item: 'speed.limit', grade: 'serious' },
    { type: 'note', text: 'Glare at the bend' },
    { type: 'note', text: 'Shaky; call the mother', private: true },
  ]),
  ...logOf(
    [
      [41, { type: 'strike', target: 'e1', reason: 'It was a 40, my error' }],
      [42, { type: 'strike', target: 'e3', reason: 'Undone', undo: true }],
    ],
    'later',
  ),
];

describe('what a learner may see of a drive', () => {
  const seen = JSON.stringify(forLearner(foldDrive(events)));

  it('holds the marks that stand and the notes that are not private', () => {
    expect(seen).toContain('signs.lights');
    expect(seen).toContain('Glare at the bend');
  });

  it.each(['Shaky', 'my error', 'speed.limit', 'instructor', 'tablet', 'learner"'])('does not hold “%s”', (word) => {
    expect(JSON.stringify(foldDrive([...events.slice(0, -1)]))).toContain(word);
    expect(seen).not.toContain(word);
  });

  it('holds no word of a fault that was struck, nor of one that may have been seen twice', () => {
    const log = logOf([
      [0, start()],
      [20, { type: 'mark', item: 'speed.limit', grade: 'serious' }, 'gone'],
      [20.2, { type: 'note', text: 'Was this you?', target: 'gone' }],
      [21, { type: 'strike', target: 'gone', reason: 'No' }],
      [30, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'one'],
    ]);
    const twice = [
      ...log,
      ...logOf([[30.1, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'two']], 'second-device'),
    ];
    const drive = foldDrive(twice);
    expect(drive.doubles).toHaveLength(1);
    const text = JSON.stringify(forLearner(drive));
    for (const word of ['Was this you?', 'second-device', 'instructor', 'tablet']) expect(text).not.toContain(word);
  });

  it('holds what was answered about a fault, and no grade that only the adviser proposed', () => {
    const log = logOf([
      [0, start()],
      [20, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'kept'],
      [20.2, { type: 'advice', target: 'kept', answers: { 'held-up': 'phase' }, proposed: 'serious' }],
    ]);
    const [mark] = forLearner(foldDrive(log)).marks;
    expect(mark?.advice).toEqual({ answers: { 'held-up': 'phase' }, proposed: 'none' });
  });

  it('judges the same as the whole log', () => {
    const drive = foldDrive(events);
    expect(judgeDrive(tally, forLearner(drive)).outcome).toBe(judgeDrive(tally, drive).outcome);
  });

  it('waits until pins are settled and the drive has ended', () => {
    expect(isFinal(foldDrive(events))).toBe(true);
    expect(isFinal(foldDrive(fullTest([{ type: 'pin' }])))).toBe(false);
    expect(isFinal(foldDrive(fullTest([]).slice(0, -1)))).toBe(false);
  });
});

/** The same with a field more in every object. */
function withMore(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withMore);
  if (typeof value !== 'object' || value === null) return value;
  const more = Object.entries(value).map(([name, inner]) => [name, withMore(inner)] as const);
  return { ...Object.fromEntries(more), addedLater: secretWord };
}

describe('of any drive', () => {
  it('a field that is added to a drive, or to anything in it, is left out', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        // What was answered about a fault is told by the codes that are known.
        const marks = drive.marks.map((mark) => ({ ...mark, advice: undefined }));
        const later = withMore({ ...drive, marks }) as Drive;
        expect(JSON.stringify(later)).toContain(secretWord);
        expect(JSON.stringify(forLearner(later))).not.toContain(secretWord);
      }),
    );
  });

  it('a learner sees nothing private, judged as the whole log is', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        expect(JSON.stringify(forLearner(drive))).not.toContain(secretWord);
        const told = (of: Drive) => verdictSentence(tally, judgeDrive(tally, of));
        if (isFinal(drive)) expect(told(forLearner(drive))).toBe(told(drive));
      }),
    );
  });

  it('a private word about a pause does not become its reason', () => {
    const log = logOf([
      [0, start()],
      [5, { type: 'pause', state: 'paused' }, 'pause'],
      [6, { type: 'note', text: secretWord, target: 'pause', private: true }],
    ]);
    expect(foldDrive(log).pauses).toEqual([{ fromMs: 300_000 }]);
    expect(JSON.stringify(forLearner(foldDrive(log)))).not.toContain(secretWord);
  });

  it('a record handed on holds nothing private, and says the same of the drive', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const kept = withoutPrivateNotes(log);
        expect(JSON.stringify(kept)).not.toContain(secretWord);
        expect(judgeDrive(tally, foldDrive(kept)).outcome).toBe(judgeDrive(tally, foldDrive(log)).outcome);
      }),
    );
  });
});

describe('a record that is handed on', () => {
  it('holds everything but the private notes and what points at them', () => {
    const kept = withoutPrivateNotes(events);
    expect(kept).toHaveLength(events.length - 2);
    expect(JSON.stringify(kept)).not.toContain('Shaky');
    expect(kept.some((event) => event.type === 'strike')).toBe(true);
  });
});
