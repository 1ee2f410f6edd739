import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import type { EventBody } from '../drive/event';
import { fullTest, logOf, start } from '../drive/testing';
import { anyLog } from '../drive/testing-arbitraries';
import { judgeDrive } from '../marking/judge';
import { countingMarks } from '../marking/counting';
import { tally } from '../marking/testing-standards';
import { marksTold } from './marks-told';
import { patternsIn, type Pattern } from './patterns';
import { timesMarked, wentWell, type GoodThing } from './went-well';
import { firstTwo, worthWork } from './work-on';

const mark = (item: string, grade = 'driving'): EventBody => ({ type: 'mark', item, grade });
type At = readonly [minutes: number, body: EventBody, id?: string];

/** A test of 40 min with these events at their minutes. */
const driven = (...events: readonly At[]) =>
  foldDrive(logOf([[0, start()], ...events, [40, { type: 'ended', ending: 'completed' }]]));
const goodOf = (kind: GoodThing['kind'], ...events: readonly At[]) =>
  wentWell(tally, driven(...events), []).find((one) => one.kind === kind);
const patternOf = (kind: Pattern['kind'], ...events: readonly At[]) =>
  patternsIn(tally, driven(...events)).find((one) => one.kind === kind);

describe('what went well, from both sides of its bounds (house defaults)', () => {
  it('a stretch without a fault from eight minutes on', () => {
    const everyEight = [8, 16, 24, 32].map((at): At => [at, mark('signals.timing')]);
    expect(goodOf('stretch', ...everyEight)).toMatchObject({ fromMs: 0, toMs: 8 * 60_000 });
    expect(
      goodOf('stretch', ...[7.9, 15.8, 23.7, 31.6, 36].map((at): At => [at, mark('signals.timing')])),
    ).toBeUndefined();
  });

  it('independent driving from five minutes on', () => {
    const alone = (minutes: number, ...more: readonly At[]) =>
      goodOf('independent', [10, { type: 'section', section: 'independent' }], ...more, [
        10 + minutes,
        { type: 'section', section: 'guided' },
      ]);
    expect(alone(5)).toMatchObject({ ms: 5 * 60_000 });
    expect(alone(4.9)).toBeUndefined();
    expect(alone(10, [12, mark('signals.timing')])).toBeUndefined();
    // A fault before it says nothing against it.
    expect(
      goodOf(
        'independent',
        [3, mark('signals.timing')],
        [10, { type: 'section', section: 'independent' }],
        [20, { type: 'section', section: 'guided' }],
      ),
    ).toBeDefined();
  });

  it('moving off from three times on, none of them with a fault', () => {
    const off = (at: number): At => [at, { type: 'step', step: 'move-off' }];
    expect(goodOf('move-offs', off(5), off(10), off(15))).toMatchObject({ count: 3 });
    expect(goodOf('move-offs', off(5), off(10))).toBeUndefined();
    expect(goodOf('move-offs', off(5), off(10), off(15), [16, mark('moving-off.blind-spot')])).toBeUndefined();
  });

  it('no help, and nothing of it after a word or a hand on the wheel', () => {
    expect(goodOf('no-help')).toMatchObject({ ms: 40 * 60_000 });
    expect(goodOf('no-help', [5, { type: 'prompt' }])).toBeUndefined();
    expect(goodOf('no-help', [5, { type: 'intervention' }])).toBeUndefined();
  });

  it('what is mended was recorded in two of the last three', () => {
    const past = [{ 'signals.timing': 9 }, { 'roundabouts.lane': 1 }, {}, { 'roundabouts.lane': 2 }];
    const mended = (drive = driven()) => wentWell(tally, drive, past).filter(({ kind }) => kind === 'mended');
    expect(mended()).toEqual([{ kind: 'mended', item: 'roundabouts.lane', drives: 2, of: 3 }]);
    expect(mended(driven([4, mark('roundabouts.lane')]))).toEqual([]);
    expect(timesMarked(past)).toEqual(
      new Map([
        ['signals.timing', 1],
        ['roundabouts.lane', 2],
      ]),
    );
  });
});

describe('what the faults of a drive have in common', () => {
  it('the same fault three times', () => {
    const often = (n: number) => Array.from({ length: n }, (_, i): At => [3 + i, mark('signals.timing')]);
    expect(patternOf('item', ...often(3))).toMatchObject({ item: 'signals.timing', count: 3 });
    expect(patternOf('item', ...often(2))).toBeUndefined();
  });

  it('an area that holds half of them', () => {
    const three = [2, 3, 4].map((at): At => [at, mark('roundabouts.lane')]);
    const others = (n: number) =>
      ['signals.timing', 'moving-off.blind-spot', 'signs.lights', 'stopping.position']
        .slice(0, n)
        .map((item, i): At => [10 + i, mark(item)]);
    expect(patternOf('area', ...three, ...others(3))).toMatchObject({ category: 'roundabouts', count: 3 });
    expect(patternOf('area', ...three, ...others(4))).toBeUndefined();
  });

  it('the last third, where chance would put so many there in one drive of ten at most', () => {
    const at = (...minutes: readonly number[]) => minutes.map((one): At => [one, mark('signals.timing')]);
    const late = patternOf('late', ...at(28, 30, 33, 36, 39)) as Extract<Pattern, { kind: 'late' }>;
    expect(late).toMatchObject({ count: 5, of: 5 });
    // Five of five in a third: (1/3)^5.
    expect(late.chance).toBeCloseTo(1 / 243, 9);
    expect(patternOf('late', ...at(5, 10, 15, 30, 33))).toBeUndefined();
    expect(patternOf('late', ...at(30, 33, 36))).toBeUndefined();
  });
});

describe('what to work on', () => {
  it('puts what was grave before what was often, and adds what keeps coming back', () => {
    const drive = driven(
      [2, mark('signals.timing')],
      [4, mark('signals.timing')],
      [6, mark('roundabouts.lane', 'serious')],
    );
    const past = [{ 'signs.lights': 1 }, { 'signs.lights': 1 }, { 'stopping.position': 1 }];
    const list = worthWork(tally, drive, past, judgeDrive(tally, drive));
    expect(list.map(({ item }) => item)).toEqual(['roundabouts.lane', 'signals.timing', 'signs.lights']);
    expect(list[0]).toMatchObject({ today: 1, gravest: 'serious', drives: 1, of: 4 });
    expect(list[2]).toMatchObject({ today: 0, gravest: undefined, drives: 2 });
  });

  it('looks no further back than four drives', () => {
    const past = [{ 'signs.lights': 1 }, { 'signs.lights': 1 }, {}, {}, {}, {}];
    expect(worthWork(tally, driven(), past, judgeDrive(tally, driven()))).toEqual([]);
  });

  it('begins with two of different areas', () => {
    const drive = driven(
      [2, mark('signals.timing', 'serious')],
      [3, mark('signals.misleading', 'serious')],
      [4, mark('roundabouts.lane')],
    );
    const list = worthWork(tally, drive, [], judgeDrive(tally, drive));
    expect(firstTwo(tally, list).map(({ item }) => item)).toEqual([list[0]!.item, 'roundabouts.lane']);
    expect(firstTwo(tally, list.slice(0, 1))).toHaveLength(1);
    expect(firstTwo(tally, [])).toEqual([]);
  });
});

describe('what a cap makes free', () => {
  it('is nothing to work on', () => {
    const drive = driven([2, mark('checks.tell')], [3, mark('checks.show')]);
    expect(worthWork(tally, drive, [], judgeDrive(tally, drive)).map(({ item }) => item)).toEqual(['checks.tell']);
  });
});

describe('one thing in several areas', () => {
  const looking = ['moving-off.observation', 'junctions.observation', 'reversing.observation'];
  const one = (items: readonly string[]) =>
    patternOf('competence', ...items.map((item, i) => [3 + i, mark(item)] as const));

  it('is found across them, and not where one area has it all or it was seldom', () => {
    expect(one(looking)).toMatchObject({ competence: 'looking', count: 3, of: 3 });
    expect(one(looking.slice(1))).toBeUndefined();
    expect(one(['signals.timing', 'signals.missed', 'signals.cancelling'])).toBeUndefined();
  });
});

describe('every fault as it is told', () => {
  it('with whatever help was near it, and whether it decided the test', () => {
    const drive = driven(
      [5, mark('signals.timing'), 'small'],
      [20, mark('roundabouts.lane', 'serious'), 'grave'],
      [20.2, { type: 'prompt' }],
      [30, { type: 'intervention' }],
    );
    const told = marksTold(tally, drive, judgeDrive(tally, drive));
    expect(told.map(({ mark: { id } }) => id)).toEqual(['small', 'grave']);
    expect(told[0]).toMatchObject({ spoke: false, tookControl: false });
    expect(told[0]!.part).toBeUndefined();
    expect(told[1]).toMatchObject({ part: 'failed', spoke: true, tookControl: false });
  });

  it('with the help that it made necessary where that was said, not with what stands near it', () => {
    const drive = driven(
      [5, mark('signals.timing'), 'small'],
      [5.1, mark('roundabouts.lane', 'serious'), 'grave'],
      [5.2, { type: 'intervention' }, 'control'],
      [6, { type: 'help-for', target: 'control', mark: 'grave' }],
      [9, mark('signals.timing'), 'other'],
      [9.1, { type: 'prompt' }, 'spoke'],
      [9.2, { type: 'help-for', target: 'spoke', reason: 'A child near the kerb' }],
    );
    expect(
      marksTold(tally, drive, judgeDrive(tally, drive)).map(({ mark: { id }, spoke, tookControl }) => [
        id,
        spoke,
        tookControl,
      ]),
    ).toEqual([
      ['small', false, false],
      ['grave', false, true],
      ['other', false, false],
    ]);
  });

  it('counts nothing that does not count, whatever was driven, and names no item twice to work on', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const counted = new Set(countingMarks(tally, drive).map(({ id }) => id));
        for (const { mark: one } of marksTold(tally, drive, judgeDrive(tally, drive)))
          expect(counted.has(one.id)).toBe(true);
        for (const pattern of patternsIn(tally, drive)) expect(pattern.count).toBeLessThanOrEqual(counted.size);
        const verdict = judgeDrive(tally, drive);
        const list = worthWork(tally, drive, [], verdict);
        const capped = verdict.capped.filter((one) => verdict.free.includes(one)).length;
        expect(new Set(list.map(({ item }) => item)).size).toBe(list.length);
        expect(list.reduce((sum, { today }) => sum + today, 0)).toBe(counted.size - capped);
      }),
    );
  });

  it('a clean test has nothing to tell', () => {
    const drive = foldDrive(fullTest([]));
    expect(marksTold(tally, drive, judgeDrive(tally, drive))).toEqual([]);
    expect(patternsIn(tally, drive)).toEqual([]);
  });
});
