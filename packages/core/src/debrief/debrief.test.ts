import fc from 'fast-check';
import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, minute, start } from '../drive/testing';
import { anyLog } from '../drive/testing-arbitraries';
import { tally } from '../marking/testing-standards';
import { debriefOf } from './debrief';
import {
  comparedWords,
  goodThingWords,
  otherwiseSentence,
  patternWords,
  workOnWords,
} from '@jasperwren/words/debrief-points';

const mark = (item: string, grade = 'driving'): EventBody => ({ type: 'mark', item, grade });
type At = readonly [minutes: number, body: EventBody, id?: string];

/** A test of 40 min, 12 to 32 independent, with these events at their minutes. */
const driven = (...events: readonly At[]) =>
  foldDrive(
    logOf([
      [0, start()],
      [12, { type: 'section', section: 'independent' }],
      [32, { type: 'section', section: 'guided' }],
      ...events,
      [40, { type: 'ended', ending: 'completed' }],
    ]),
  );
const well = (drive: ReturnType<typeof driven>, past: readonly Record<string, number>[] = []) =>
  debriefOf(tally, drive, past).well.map((good) => goodThingWords(tally, good));
const patterns = (drive: ReturnType<typeof driven>) =>
  debriefOf(tally, drive, []).patterns.map((pattern) => patternWords(tally, pattern));

describe('what went well', () => {
  it('is counted: the stretches, the exercises, the questions, the moving off', () => {
    const drive = driven(
      [5, mark('signals.timing')],
      [6, { type: 'section', section: 'exercise', exercise: 'bay' }],
      [9, { type: 'section', section: 'guided' }],
      [10, { type: 'step', step: 'move-off' }],
      [20, { type: 'step', step: 'move-off' }],
      [30, { type: 'step', step: 'move-off' }],
      [31, { type: 'answer', item: 'checks.show', right: true }],
    );
    expect(well(drive)).toEqual([
      'No help needed in 40 minutes.',
      'Bay park: no fault.',
      '20 minutes of independent driving without a fault.',
      '35 minutes without a fault, from minute 5 to 40.',
      'Moved off 3 times without a fault.',
      'The safety question answered correctly.',
    ]);
  });

  it('is not said where it did not happen', () => {
    const drive = driven(
      ...Array.from({ length: 9 }, (_, i): At => [2 + i * 4, mark('moving-off.blind-spot')]),
      [3, { type: 'prompt' }],
      [10, { type: 'step', step: 'move-off' }],
      [20, { type: 'step', step: 'move-off' }],
      [30, { type: 'step', step: 'move-off' }],
      [31, { type: 'answer', item: 'checks.show', right: false }],
      [32, { type: 'answer', item: 'checks.show', right: false }],
    );
    expect(well(drive)).toEqual([]);
  });

  it('names what was marked again and again before and not today', () => {
    const past = [{ 'roundabouts.lane': 1 }, { 'roundabouts.lane': 2 }, { 'signs.lights': 1 }];
    expect(well(driven(), past)).toContain('Roundabouts: lane: in 2 of the last 3 mock tests, not today.');
  });
});

describe('patterns within a drive', () => {
  it('are seen where an area, a place and an item come together', () => {
    const three = [4, 14, 24].map((at): At => [at, mark('junctions.observation')]);
    expect(patterns(driven(...three, [30, mark('roundabouts.lane')]))).toEqual([
      'Junctions: observation: 3 times today.',
      '3 of 4 faults are in one area: junctions.',
      '4 of 4 faults were at junctions, roundabouts or crossings.',
    ]);
  });

  it('are seen late in the drive: five of six in the last third are more than chance', () => {
    const items = ['signals.timing', 'controls.gears', 'mirrors.before-speed', 'position.normal', 'speed.limit'];
    const late = items.map((item, i): At => [28 + i * 2, mark(item)]);
    // 13/729, by hand: 6 x (1/3)^5 x 2/3 + (1/3)^6.
    expect(debriefOf(tally, driven([5, mark('signs.lights')], ...late), []).patterns[0]).toMatchObject({
      kind: 'late',
      count: 5,
      of: 6,
      chance: expect.closeTo(13 / 729, 10),
    });
  });

  it('are not seen in a few scattered marks, nor where a pause makes them look late', () => {
    expect(
      patterns(driven([5, mark('signs.lights')], [20, mark('speed.limit')], [35, mark('controls.gears')])),
    ).toEqual([]);
    const paused = foldDrive(
      logOf([
        [0, start()],
        [1, { type: 'pause', state: 'paused' }],
        [61, { type: 'pause', state: 'resumed' }],
        ...[62, 64, 66, 68].map((at): At => [at, mark('speed.limit')]),
        [100, { type: 'ended', ending: 'completed' }],
      ]),
    );
    expect(debriefOf(tally, paused, []).patterns.some(({ kind }) => kind === 'late')).toBe(false);
  });
});

describe('the reasons', () => {
  it('come in order of time, with the circumstances without what the adviser made of them, the help and one myth each', () => {
    const drive = driven(
      [26, mark('controls.stalled', 'serious'), 'stall'],
      [26.1, { type: 'prompt' }],
      [26.2, { type: 'advice', target: 'stall', answers: { 'held-up': 'phase' }, proposed: 'serious' }],
      [26.3, { type: 'note', target: 'stall', text: 'On the hill' }],
      [26.4, { type: 'note', target: 'stall', text: 'Not for the learner', private: true }],
      [8, mark('controls.stalled')],
    );
    const { marks, verdict, otherwise } = debriefOf(tally, drive, []);
    expect(verdict.outcome).toBe('fail');
    expect(otherwiseSentence(tally, otherwise!)).toBe('Without that fault: pass, 1 of 15 driving faults.');
    expect(marks.map(({ mark: { atMs }, part }) => [atMs / minute, part])).toEqual([
      [8, undefined],
      [26, 'failed'],
    ]);
    expect(marks[0]?.myth?.code).toBe('stall-fails');
    expect(marks[1]).toMatchObject({
      circumstances: [{ question: 'held-up', answer: 'held-up.phase' }],
      spoke: true,
      tookControl: false,
      notes: ['On the hill'],
    });
    expect(JSON.stringify(marks[1])).not.toContain('others-waited');
    expect(marks[1]?.myth).toBeUndefined();
  });
});

describe('a limit that many faults share', () => {
  it('is crossed by one of them; the others count towards it', () => {
    // Sixteen driving faults where fifteen are allowed.
    const items = ['signs.lights', 'controls.gears', 'controls.stalled', 'speed.limit'];
    const many = Array.from({ length: 17 }, (_, i) => [i + 1, mark(items[i % items.length]!)] as const);
    const { marks, verdict } = debriefOf(tally, driven(...many), []);
    expect(verdict.outcome).toBe('fail');
    expect(marks.filter(({ part }) => part === 'failed')).toEqual([]);
    expect(marks.flatMap(({ part, mark: { atMs } }) => (part === 'crossed' ? [atMs / minute] : []))).toEqual([16]);
    expect(marks.filter(({ part }) => part === 'counts').length).toBeGreaterThanOrEqual(15);
  });
});

describe('the comparison with the last drives', () => {
  it('counts, and names what comes every time and what is new', () => {
    const past = [{ 'signs.lights': 2, 'speed.limit': 1 }, { 'signs.lights': 1 }];
    const { compared } = debriefOf(tally, driven([5, mark('signs.lights')], [6, mark('controls.gears')]), past);
    expect(comparedWords(tally, compared)).toEqual([
      '2 faults today; 3 and 1 in the last 2 mock tests.',
      'Every time: Signs and lights: traffic lights.',
      'New today: Controls: gears.',
    ]);
  });

  it('is left out with nothing to compare to', () => {
    expect(comparedWords(tally, debriefOf(tally, driven(), []).compared)).toEqual([]);
  });
});

describe('what to work on', () => {
  const past = [{ 'roundabouts.lane': 1 }, { 'roundabouts.lane': 1 }, { 'roundabouts.lane': 1 }];

  it('is two things of two areas: the gravest, and what keeps coming back', () => {
    const drive = driven(
      [5, mark('junctions.observation', 'serious')],
      [9, mark('junctions.approach')],
      [20, mark('roundabouts.lane')],
    );
    const { workOn } = debriefOf(tally, drive, past);
    expect(workOn.map(({ item }) => item)).toEqual(['junctions.observation', 'roundabouts.lane']);
    expect(workOn.map((one) => workOnWords(tally, one))).toEqual([
      'Once today (serious fault).',
      'Once today (driving fault), and in 4 of the last 4 mock tests.',
    ]);
  });

  it('is what was agreed, once it was talked through', () => {
    const drive = foldDrive([
      ...fullTest([mark('junctions.observation', 'serious'), mark('signs.lights'), mark('speed.limit')]),
      ...logOf([[43, { type: 'debriefed', workOn: ['speed.limit'] }]], 'later'),
    ]);
    expect(debriefOf(tally, drive, []).workOn.map(({ item }) => item)).toEqual(['speed.limit']);
  });

  it('is nothing after a clean first drive', () => {
    expect(debriefOf(tally, driven(), []).workOn).toEqual([]);
  });
});

describe('a debrief of any drive', () => {
  it('says only what the log holds', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const debrief = debriefOf(tally, drive, [{ 'signs.lights': 1 }]);
        expect(debrief.workOn.length).toBeLessThanOrEqual(2);
        expect(debrief.marks.every(({ mark: { struck } }) => !struck)).toBe(true);
        for (const good of debrief.well) expect(goodThingWords(tally, good)).toMatch(/\.$/);
        for (const pattern of debrief.patterns) expect(patternWords(tally, pattern)).toMatch(/[.?]$/);
      }),
    );
  });
});
