import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { askedOn, isLastTry, usualGrade } from './asked';
import { lintStandard } from './lint/lint';
import { judgeDrive } from './judge';
import { distanceWords, openingWords } from '@jasperwren/words/marking/script';
import type { EffectiveStandard } from './standard';
import { graded, sequenceChecklist, tally, templates, timedYard } from './testing-standards';
import { verdictSentence } from '@jasperwren/words/marking/verdict';

const judge = (standard: EffectiveStandard, ...bodies: readonly (readonly [number, EventBody])[]) => {
  const drive = foldDrive(logOf([[0, { ...start(standard.id), briefing: true }], ...bodies]));
  return judgeDrive(standard, drive);
};
const brokenOff = (cause: 'learner' | 'safety' | 'car' | 'conditions'): readonly (readonly [number, EventBody])[] => [
  [0, { type: 'moved-off' }],
  [15, { type: 'ended', ending: 'abandoned', cause }],
];

describe('a drive that is broken off', () => {
  it.each([
    ['safety', 'fail', 'Fail: stopped for safety.'],
    ['learner', 'fail', 'Fail: the learner wanted to stop.'],
    ['car', 'incomplete', undefined],
    ['conditions', 'incomplete', undefined],
  ] as const)('for the cause "%s" is %s (common practice)', (cause, outcome, sentence) => {
    const verdict = judge(tally, ...brokenOff(cause));
    expect(verdict.outcome).toBe(outcome);
    if (sentence) expect(verdictSentence(tally, verdict)).toBe(sentence);
  });

  it('is what the standard says it is', () => {
    const lenient = { ...tally, endings: [] };
    expect(judge(lenient, ...brokenOff('safety')).outcome).toBe('incomplete');
  });

  it('in the eyesight check fails before the start', () => {
    const verdict = judge(
      tally,
      [0, { type: 'check', check: 'eyesight', result: 'failed' }],
      [0, { type: 'ended', ending: 'abandoned' }],
    );
    expect(verdictSentence(tally, verdict)).toBe('Fail: eyesight not passed.');
  });

  it('is not failed by a step that does not end the test', () => {
    expect(judge(tally, [0, { type: 'check', check: 'documents', result: 'failed' }]).stops).toEqual([]);
  });
});

describe('two devices', () => {
  it('count a fault that both may have seen once, as the graver, until it is settled', () => {
    const front = fullTest([]);
    const seen = (device: string, grade: string) =>
      logOf([[10, { type: 'mark', item: 'signs.lights', grade }]], device);
    const both = foldDrive([...front, ...seen('back', 'serious'), ...seen('side', 'driving')]);
    const verdict = judgeDrive(tally, both);
    expect(verdict.headroom.find(({ limit }) => limit.code === 'driving-faults')?.used).toBe(0);
    expect(verdict.outcome).toBe('fail');
    expect(verdict.missing).toEqual([{ kind: 'unsettled-doubles', count: 1 }]);
  });
});

describe('questions', () => {
  const asked = (standard: EffectiveStandard, item: string, ...right: readonly boolean[]) => {
    const drive = foldDrive(
      logOf([[0, start()], ...right.map((is, i) => [i + 1, { type: 'answer', item, right: is }] as const)]),
    );
    return askedOn(standard, drive).find(({ rule }) => rule.item === item)!;
  };

  it('of the tally scheme have a second try (common practice)', () => {
    expect(asked(tally, 'checks.show')).toMatchObject({ answered: 0, left: 1, nextTry: 1 });
    const once = asked(tally, 'checks.show', false);
    expect(once).toMatchObject({ answered: 0, nextTry: 2 });
    expect(isLastTry(once)).toBe(true);
    expect(asked(tally, 'checks.show', false, true)).toMatchObject({ right: 1, wrong: 0, left: 0 });
    expect(asked(tally, 'checks.show', false, false)).toMatchObject({ right: 0, wrong: 1, left: 0 });
  });

  it('of the graded scheme have one try each', () => {
    expect(asked(graded, 'checks.hand-signals', true, false, true)).toMatchObject({ right: 2, wrong: 1, left: 3 });
  });

  it('bring the mildest mark that counts', () => {
    expect(usualGrade(tally, 'checks.show')?.code).toBe('driving');
    expect(usualGrade(graded, 'checks.rules')?.code).toBe('g2');
    expect(usualGrade(tally, 'no.such')).toBeUndefined();
  });
});

describe('what is said at the start', () => {
  it('follows the traffic side, the units and the contents of the standard', () => {
    const left = openingWords(tally).join(' ');
    expect(left).toContain('Keep to the left');
    expect(left).toContain('miles per hour');
    expect(left).toContain('about 20 minutes you’ll drive independently');
    expect(left).toContain('raise my hand');
    const right = openingWords(sequenceChecklist).join(' ');
    expect(right).toContain('Keep to the right');
    expect(right).toContain('kilometres per hour');
    expect(right).not.toContain('raise my hand');
    expect(openingWords(timedYard).join(' ')).not.toContain('Keep to the');
  });

  it('gives distances in yards too where the place uses them', () => {
    expect(distanceWords(tally, 20)).toBe('20 m (21.9 yd)');
    expect(distanceWords(timedYard, 20)).toBe('20 m');
  });
});

describe('the briefing of a standard', () => {
  it('reads a plate at 20 m, and an older, wider one at 20.5 m (the regulations named beside; from memory)', () => {
    const step = tally.briefing?.find(({ kind }) => kind === 'eyesight');
    expect(step).toMatchObject({ distanceM: { value: 20 }, widePlateM: { value: 20.5 } });
  });

  it.each(templates)('of $id begins with the papers and does not contradict itself', (standard) => {
    expect(standard.briefing?.[0]?.code).toBe('documents');
    expect(lintStandard(standard)).toEqual([]);
  });

  it('is refused where it points at nothing', () => {
    const broken: EffectiveStandard = {
      ...tally,
      exercises: [{ code: 'bay', name: 'Bay', items: ['no.item'] }],
      briefing: [
        { kind: 'questions', code: 'q', name: 'Q', task: 'Ask', items: ['set-up.doors'] },
        {
          kind: 'checklist',
          code: 'c',
          name: 'C',
          task: 'Look',
          parts: [{ name: 'A', item: 'no.part' }],
          otherOrder: ['B'],
        },
        { kind: 'calls', code: 'c', name: 'Calls', task: 'Call', parts: [] },
      ],
    };
    expect(lintStandard(broken).map(({ path }) => path)).toEqual(
      expect.arrayContaining([
        '/exercises/0/items/0',
        '/briefing/0/items/0',
        '/briefing/1/parts/0/item',
        '/briefing/1/otherOrder',
        '/briefing/2/parts',
        '/briefing/2/code',
      ]),
    );
  });
});
