import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import { logOf, start } from '../drive/testing';
import { anyLog, secretWord } from '../drive/testing-arbitraries';
import { tally } from '../marking/testing-standards';
import { driveColumns, driveTable } from './drive-table';

const rows = driveTable(
  tally,
  foldDrive(
    logOf([
      [0, start()],
      [1, { type: 'section', section: 'exercise', exercise: 'bay' }],
      [1.5, { type: 'mark', item: 'reversing.accuracy', grade: 'driving', note: 'Over the line' }, 'm'],
      [2, { type: 'regrade', target: 'm', grade: 'serious' }],
      [3, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'x'],
      [3.2, { type: 'strike', target: 'x', reason: 'It was green' }],
      [4, { type: 'mark', item: 'signs.lights', grade: 'driving' }, 'u'],
      [4.1, { type: 'strike', target: 'u', reason: 'Undone', undo: true }],
      [5, { type: 'note', text: 'Seen by nobody else', private: true }],
      [6, { type: 'note', text: 'Rain' }],
      [7, { type: 'prompt' }],
      [8, { type: 'intervention' }, 'control'],
      [8.1, { type: 'help-for', target: 'control', mark: 'm' }],
      [9, { type: 'ended', ending: 'abandoned', reason: 'Hail' }],
    ]),
  ),
);

describe('a drive as a table', () => {
  it('has a row for each thing that happened, in order of time, and no private notes', () => {
    expect(rows.map(({ at_s, event }) => [at_s, event])).toEqual([
      [0, 'section'],
      [60, 'section'],
      [90, 'mark'],
      [180, 'mark'],
      [360, 'note'],
      [420, 'prompt'],
      [480, 'intervention'],
      [540, 'abandoned'],
    ]);
  });

  it('says of a mark what it is, what it was and why it does not count', () => {
    expect(rows[2]).toMatchObject({
      category: 'Reversing',
      item: 'Accuracy',
      grade: 'serious fault',
      first_grade: 'driving fault',
      exercise: 'bay',
      text: 'Over the line',
      struck: '',
    });
    expect(rows[3]?.struck).toBe('It was green');
    expect(rows.find(({ event }) => event === 'intervention')?.item).toBe('Accuracy');
  });

  it('has no columns but the documented ones', () => {
    for (const row of rows) for (const column of Object.keys(row)) expect(driveColumns).toContain(column);
  });
});

describe('the table of any drive', () => {
  it('is in order of time, from the start to the end, with marks under names of the standard', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const table = driveTable(tally, drive);
        const times = table.map(({ at_s }) => at_s as number);
        expect(times).toEqual([...times].sort((a, b) => a - b));
        const shown = drive.marks.filter(({ struck }) => !struck?.undo);
        expect(table.filter(({ event }) => event === 'mark')).toHaveLength(shown.length);
        for (const { event, category } of table) if (event === 'mark') expect(category).toBeTruthy();
      }),
    );
  });

  it('tells nobody what is private', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        expect(JSON.stringify(driveTable(tally, foldDrive(log)))).not.toContain(secretWord);
      }),
    );
  });
});
