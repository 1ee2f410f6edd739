import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { eventsOfDemoDrive, type DemoDrive } from './demo-drive';

const today = new Date(2026, 10, 23);
const read = (drive: DemoDrive) => foldDrive(eventsOfDemoDrive(drive, 'd', 'learner', 'me', tally, today));

describe('a demo drive', () => {
  it('is read from its words', () => {
    const drive = read({ daysAgo: 3, at: '09:30', log: 'JO1@3.5 say@4 take@5 pin@6 RL2@20' });
    expect(drive.marks.map(({ item, grade, atMs }) => [item, grade, atMs])).toEqual([
      ['junctions.observation', 'driving', 210_000],
      ['roundabouts.lane', 'serious', 1_200_000],
    ]);
    expect([drive.prompts.length, drive.interventions.length, drive.pins.length]).toEqual([1, 1, 1]);
    expect(new Date(drive.startedAt!).getTime()).toBe(new Date(2026, 10, 20, 9, 30).getTime());
  });

  it('passes when nothing is marked, and has no verdict when it is short', () => {
    const outcome = (more: Partial<DemoDrive>) =>
      judgeDrive(tally, read({ daysAgo: 1, at: '09:00', log: '', ...more })).outcome;
    expect(outcome({})).toBe('pass');
    expect(outcome({ minutes: 20, independent: null })).toBe('incomplete');
  });

  it.each(['ZZ1@3', 'JO9@3', 'JO1@soon', 'JO1'])('is refused for the word %s', (word) => {
    expect(() => read({ daysAgo: 1, at: '09:00', log: word })).toThrow(
      `The demo data has "${word.includes('soon') ? word : word.split('@')[0]}"`,
    );
  });

  it('can be read for every learner of the demo', () => {
    const learners = JSON.parse(readFileSync(join(__dirname, '../../../demo/learners.json'), 'utf8')) as {
      name: string;
      drives: DemoDrive[];
    }[];
    expect(learners).toHaveLength(8);
    for (const { drives } of learners) for (const drive of drives) expect(read(drive).phase).toBe('ended');
  });
});
