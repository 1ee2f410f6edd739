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

describe('of any drive', () => {
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
