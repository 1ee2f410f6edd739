import { foldDrive } from '../drive/fold';
import { fullTest } from '../drive/testing';
import { gradesOf, rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { choosing, graded, minorMajor, pointsOff, tally, templates } from '../marking/testing-standards';
import { behaviours } from '../catalogue/catalogue';
import { advise, propose, type Answers } from './advise';
import { myths, mythsFor } from './myths';
import { questionsFor } from './questions';
import { adviserRules } from './rules';

const calm = { affected: 'no', near: 'nobody', help: 'none', control: 'kept' } as const;

/** Case, behaviour, answers, and what may be proposed under each standard. All of it is common practice. */
const cases: readonly (readonly [
  what: string,
  behaviour: string,
  answers: Answers,
  inTally: readonly string[],
  inGraded: readonly string[],
])[] = [
  [
    'stalled at the kerb, restarted with checks',
    'controls.stalled',
    { ...calm, 'held-up': 'no', righted: 'looked' },
    ['nothing', 'noted', 'counted'],
    ['nothing', 'noted', 'counted'],
  ],
  [
    'stalled on green, a phase missed',
    'controls.stalled',
    { ...calm, 'held-up': 'phase', righted: 'late' },
    ['outright'],
    ['outright'],
  ],
  [
    'crept over a stop line at walking pace',
    'junctions.stop-line',
    { ...calm, speed: 'walking' },
    ['counted'],
    ['counted'],
  ],
  [
    'drove through a stop line at speed',
    'junctions.stop-line',
    { ...calm, speed: 'usual' },
    ['outright'],
    ['outright'],
  ],
  [
    'missed the bay, looked round, pulled forward',
    'reversing.accuracy',
    { ...calm, righted: 'looked' },
    ['nothing', 'counted'],
    ['nothing', 'counted'],
  ],
  [
    'shot forward without looking and was stopped',
    'reversing.accuracy',
    { affected: 'no', help: 'control', righted: 'unlooked' },
    ['highest'],
    ['highest'],
  ],
  [
    'dipped mirrors put back seconds after moving off',
    'set-up.mirrors',
    { ...calm, righted: 'unlooked' },
    ['nothing'],
    ['nothing'],
  ],
  ['mirrors left dipped for ten minutes', 'set-up.mirrors', { ...calm, righted: 'late' }, ['outright'], ['outright']],
  ['stared in the mirrors while reversing', 'reversing.looking-back', { ...calm }, ['counted'], ['counted']],
  ['moved off on mirrors alone, no one there', 'moving-off.blind-spot', { ...calm }, ['counted'], ['counted']],
  [
    'the same with a cyclist alongside',
    'moving-off.blind-spot',
    { ...calm, near: 'close' },
    ['outright'],
    ['outright'],
  ],
  [
    'began a reverse while a car was passing close',
    'reversing.waiting',
    { affected: 'no', near: 'close' },
    ['outright'],
    ['outright'],
  ],
  [
    'clutch before brake in the emergency stop',
    'emergency-stop.footwork',
    { ...calm, which: 'clutch-first' },
    ['outright'],
    ['outright'],
  ],
  [
    'past the give-way line, traffic passing',
    'junctions.giving-way',
    { affected: 'no', near: 'close' },
    ['outright'],
    ['outright'],
  ],
  [
    'past the give-way line, no one near',
    'junctions.giving-way',
    { ...calm, speed: 'walking' },
    ['counted'],
    ['counted'],
  ],
  ['hard for amber, no one behind', 'signs.amber', { ...calm, which: 'hard' }, ['counted'], ['counted']],
  [
    'hard for amber, someone close behind',
    'signs.amber',
    { affected: 'no', near: 'close', which: 'hard' },
    ['outright'],
    ['outright'],
  ],
  ['drifted across lanes at a roundabout', 'roundabouts.lane', { ...calm }, ['counted'], ['counted']],
  ['drifted with someone alongside', 'roundabouts.lane', { affected: 'no', near: 'close' }, ['outright'], ['outright']],
  [
    'overran a tight junction onto the other side',
    'junctions.cutting',
    { ...calm, which: 'other-side' },
    ['outright'],
    ['outright'],
  ],
  [
    'right signal, then left, going straight on',
    'roundabouts.signal',
    { ...calm, which: 'both' },
    ['noted', 'counted'],
    ['noted', 'counted'],
  ],
  ['whole turn in first gear', 'controls.gears', { ...calm, which: 'low' }, ['counted'], ['counted']],
  [
    'wrong lane of a one-way road, cut back',
    'position.one-way',
    { ...calm, which: 'cut-back' },
    ['counted'],
    ['counted'],
  ],
  [
    'did not wait for someone about to cross',
    'crossings.side-road',
    { ...calm, which: 'carried' },
    ['counted'],
    ['counted'],
  ],
  [
    'did not wait, stopping was the danger',
    'crossings.side-road',
    { ...calm, which: 'unsafe' },
    ['nothing'],
    ['nothing'],
  ],
  ['wrong direction, driven safely', 'awareness.directions', { ...calm }, ['nothing'], ['nothing']],
  ['noisy parking-brake ratchet', 'controls.parking-brake', { ...calm, which: 'noise' }, ['nothing'], ['nothing']],
  ['gears skipped downwards', 'controls.gears', { ...calm, which: 'skipped' }, ['nothing'], ['nothing']],
];

describe('the severity adviser', () => {
  describe.each([
    ['tally', tally, 3],
    ['graded', graded, 4],
  ] as const)('under %s', (_, standard: EffectiveStandard, column) => {
    it.each(cases)('%s', (...row) => {
      const [, behaviour, answers] = row;
      const advice = advise(standard, behaviour, answers);
      expect(row[column]).toContain(advice.severity);
      if (advice.or && advice.or !== 'outright') expect(row[column]).toContain(advice.or);
      expect(advice.because[0]).toMatch(/\w/);
    });
  });

  it('speaks in the standard’s own words, with the reason', () => {
    const line = { ...calm, speed: 'fast' };
    expect(propose(tally, 'junctions.stop-line', line)).toMatchObject({
      grade: { code: 'serious' },
      because: ['no-time-to-look'],
    });
    expect(propose(graded, 'junctions.stop-line', line).grade?.code).toBe('g3');
    expect(propose(tally, 'signs.lights', { affected: 'yes' }).grade?.code).toBe('dangerous');
    const noise = propose(tally, 'controls.parking-brake', { which: 'noise' });
    expect(noise.grade).toBeUndefined();
    expect(noise.because).toEqual(['affected-no-one']);
  });

  it('follows the options of the standard', () => {
    const strict = choosing(tally, 'reverse-look', 'look-back');
    expect(propose(tally, 'reversing.looking-back', calm).grade?.code).toBe('driving');
    expect(propose(strict, 'reversing.looking-back', calm)).toMatchObject({
      grade: { code: 'driving' },
      orGrade: { code: 'serious' },
    });
  });

  it('names a habit as something that may weigh more', () => {
    expect(propose(tally, 'signals.timing', { ...calm, times: 'often' })).toMatchObject({
      grade: { code: 'driving' },
      orGrade: { code: 'serious' },
    });
  });

  it('proposes only grades the item can have, for every item of every school and any single answer', () => {
    for (const standard of templates) {
      for (const { item } of rulesOf(standard).items.values()) {
        for (const question of questionsFor(item.behaviour)) {
          for (const answer of question.answers) {
            const { grade } = propose(standard, item.code, { [question.code]: answer.code });
            if (grade) expect(gradesOf(standard, rulesOf(standard).items.get(item.code)!.item)).toContain(grade);
          }
        }
      }
    }
  });

  it('has rules that speak of questions and behaviours that exist', () => {
    const known = new Set(behaviours.flatMap(({ code, category }) => [code, `${category}.*`]));
    for (const rule of adviserRules) {
      for (const of of rule.of ?? []) expect(known).toContain(of);
      const asked = (rule.of?.length === 1 ? questionsFor(rule.of[0]!) : questionsFor('controls.clutch')).concat();
      for (const [question, answers] of Object.entries(rule.when ?? {})) {
        const codes = asked.find(({ code }) => code === question)?.answers.map(({ code }) => code);
        expect(codes).toEqual(expect.arrayContaining([...answers]));
      }
    }
  });
});

describe('myths', () => {
  it('belong to behaviours of the catalogue and to options that a template has', () => {
    const known = new Set(behaviours.map(({ code }) => code));
    for (const { behaviours: of, where } of myths) {
      for (const code of of) expect(known).toContain(code);
      if (where)
        expect(
          templates.some(({ options }) =>
            options.some((o) => o.code === where[0] && o.choices.some((c) => c.code === where[1])),
          ),
        ).toBe(true);
    }
  });

  it('show where a mark and the standard’s option call for them', () => {
    const drive = foldDrive(fullTest([{ type: 'mark', item: 'signals.missed', grade: 'driving' }]));
    expect(mythsFor(tally, drive).map(({ code }) => code)).toEqual(['signal-always']);
    expect(mythsFor(graded, drive).map(({ code }) => code)).toEqual(['signal-nobody']);
    expect(mythsFor(tally, foldDrive(fullTest([])))).toEqual([]);
  });

  it('show by the answer that was given to what happened, where a behaviour holds several things', () => {
    const after = (item: string, which?: string) => {
      const marked = fullTest([
        { type: 'mark', item, grade: 'driving' },
        ...(which ? [{ type: 'advice', target: 'e0', answers: { which }, proposed: 'driving' } as const] : []),
      ]);
      return mythsFor(choosing(tally, 'stop-hold', 'full-stop'), foldDrive(marked)).map(({ code }) => code);
    };
    expect(after('junctions.stop-line', 'brief')).toEqual(['stop-count']);
    expect(after('junctions.stop-line', 'rolled')).toEqual([]);
    expect(after('junctions.stop-line')).toEqual([]);
    expect(after('controls.gears', 'skipped')).toEqual(['gear-ladder']);
    expect(after('controls.gears', 'low')).toEqual([]);
  });
});

// Common practice: as practitioners of these schools graded them.
describe('what a school settles otherwise', () => {
  const grade = (standard: EffectiveStandard, item: string, answers: Answers) => propose(standard, item, answers);
  const calmly = { affected: 'no', near: 'nobody', help: 'none', control: 'kept' };

  it('a correction without being told costs what the standard says', () => {
    const righted = { ...calmly, righted: 'looked' };
    expect(grade(choosing(tally, 'shunt', 'costs'), 'reversing.accuracy', righted).grade?.code).toBe('driving');
    expect(grade(choosing(tally, 'shunt', 'free'), 'reversing.accuracy', righted)).toMatchObject({
      grade: undefined,
      orGrade: { code: 'driving' },
    });
  });

  it('a quiet stall is one minor where nothing is noted, and a note where something is', () => {
    const stall = { ...calmly, 'held-up': 'no', righted: 'looked' };
    expect(grade(minorMajor, 'controls.stalled', stall).grade?.sign).toBe('counted');
    expect(grade(graded, 'controls.stalled', stall).grade?.code).toBe('g1');
  });

  it('a reverse by the mirrors alone is a grade 2, and disqualifies where the standard knows nothing milder', () => {
    expect(grade(graded, 'reversing.looking-back', calmly).grade?.code).toBe('g2');
    expect(grade(pointsOff, 'reversing.looking-back', calmly).grade?.code).toBe('out');
  });
});
