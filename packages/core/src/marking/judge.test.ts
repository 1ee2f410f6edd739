import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import type { EventBody } from '../drive/event';
import { fullTest, logOf, start } from '../drive/testing';
import { anyLog, anyMark } from '../drive/testing-arbitraries';
import { countingMarks, measuredConflicts } from './counting';
import { circumstancesOf, judgeDrive } from './judge';
import { rulesOf } from './rules';
import { addMark, scoreMarks } from './score';
import { itemName } from '@jasperwren/words/marking/names';
import { reasonSentence, verdictSentence } from '@jasperwren/words/marking/verdict';
import { tally } from './testing-standards';
import { nearLimits, verdictOf } from './verdict';

const judge = (bodies: readonly EventBody[]) => judgeDrive(tally, foldDrive(fullTest(bodies)));
const marks = (n: number, item: string, grade: string): EventBody[] =>
  Array.from({ length: n }, () => ({ type: 'mark', item, grade }));
/** n driving faults on items of their own, so that no habit is asked about. */
const spread = (n: number): EventBody[] =>
  tally.categories
    .flatMap((category) => category.items)
    .filter((item) => !item.grades)
    .slice(0, n)
    .map((item) => ({ type: 'mark', item: item.code, grade: 'driving' }));

// Source of these values: published guidance to Great Britain's car driving test; from memory.
describe('the tally standard', () => {
  it('passes with 15 driving faults and fails with 16', () => {
    expect(judge(spread(15)).outcome).toBe('pass');
    expect(judge(spread(16)).outcome).toBe('fail');
  });

  it('fails on one serious fault, and on one dangerous fault', () => {
    expect(judge(marks(1, 'junctions.observation', 'serious')).outcome).toBe('fail');
    expect(judge(marks(1, 'junctions.observation', 'dangerous')).outcome).toBe('fail');
  });

  it('lets both safety questions together cost one driving fault at most', () => {
    const both = [...marks(1, 'checks.tell', 'driving'), ...marks(1, 'checks.show', 'driving')];
    expect(judge([...both, ...spread(14)]).outcome).toBe('pass');
    expect(judge([...both, ...spread(14)]).capped).toHaveLength(1);
    expect(judge([...both, ...spread(15)]).outcome).toBe('fail');
  });

  it('asks about a habit and decides nothing by itself', () => {
    expect(judge(marks(3, 'mirrors.before-signal', 'driving')).questions).toHaveLength(0);
    const asked = judge(marks(4, 'mirrors.before-signal', 'driving'));
    expect(asked.questions[0]).toMatchObject({ scope: 'mirrors.before-signal', used: 4 });
    expect(asked.outcome).toBe('pass');
  });

  it('counts an unfinished, short or abandoned drive as incomplete and says what is missing', () => {
    const under = (log: Parameters<typeof logOf>[0]) => judgeDrive(tally, foldDrive(logOf(log)));
    expect(
      under([
        [0, start()],
        [20, { type: 'prompt' }],
      ]).missing.map((m) => m.kind),
    ).toEqual(['not-ended', 'driving-time', 'section-time']);
    const abandoned = under([
      [0, start()],
      [10, { type: 'section', section: 'independent' }],
      [35, { type: 'ended', ending: 'abandoned' }],
    ]);
    expect(abandoned).toMatchObject({ outcome: 'incomplete', missing: [{ kind: 'abandoned' }] });
    expect(judge([{ type: 'pin' }])).toMatchObject({
      outcome: 'incomplete',
      missing: [{ kind: 'unsettled-pins', count: 1 }],
    });
  });

  it('fails an abandoned drive that had already failed', () => {
    const log = logOf([
      [0, start()],
      [5, { type: 'mark', item: 'signs.lights', grade: 'dangerous' }],
      [6, { type: 'ended', ending: 'abandoned' }],
    ]);
    expect(judgeDrive(tally, foldDrive(log)).outcome).toBe('fail');
  });

  it('names the mark that crossed the limit and the moment', () => {
    const verdict = judge(spread(17));
    const [reason] = verdict.reasons;
    expect(reason).toMatchObject({ used: 17, limit: { code: 'driving-faults' } });
    expect(reason?.crossedBy).toBe(reason?.marks[15]);
  });

  it('says which limits were nearly used up', () => {
    const near = (bodies: readonly EventBody[]) =>
      nearLimits(judge(bodies)).map(({ limit, left }) => [limit.code, left]);
    expect(near(spread(11))).toEqual([]);
    expect(near(spread(12))).toEqual([['driving-faults', 3]]);
    expect(near(spread(16))).toEqual([]);
    expect(near(marks(3, 'mirrors.before-signal', 'driving'))).toEqual([['habit', 0]]);
  });

  it('is absent where the log names an item, a grade or an exercise that the standard does not have', () => {
    const strange = (body: EventBody, ...more: EventBody[]) => judge([...spread(20), body, ...more]);
    for (const [body, kind] of [
      [{ type: 'mark', item: 'yard.roll-back', grade: 'driving' }, 'item'],
      [{ type: 'mark', item: 'checks.tell', grade: 'serious' }, 'grade'],
      [{ type: 'mark', item: 'signs.lights', grade: 'awful' }, 'grade'],
      [{ type: 'section', section: 'exercise', exercise: 'moon-landing' }, 'exercise'],
      [{ type: 'answer', item: 'checks.moon', right: true }, 'item'],
      [{ type: 'check', check: 'eyesigth', result: 'failed' }, 'briefing-step'],
    ] as const) {
      const verdict = strange(body);
      expect(verdict).toMatchObject({ outcome: 'incomplete', reasons: [], headroom: [] });
      expect(verdict.missing).toMatchObject([{ kind: 'not-judged', references: [{ kind }] }]);
      expect(verdictSentence(tally, verdict)).toMatch(/^Not judged: this standard has no /);
      // Struck, it is as good as never made.
      expect(strange(body, { type: 'strike', target: 'e20', reason: 'Slip' }).outcome).toBe('fail');
    }
  });
});

describe('laws of judging', () => {
  const anyMarks = fc.array(anyMark, { maxLength: 25 });

  it('never turns a fail into a pass by adding a mark', () => {
    fc.assert(
      fc.property(anyMarks, anyMark, (bodies, more) => {
        if (judge(bodies).outcome === 'fail') expect(judge([...bodies, more]).outcome).toBe('fail');
      }),
    );
  });

  it('judges mark by mark as it judges the whole', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const drive = foldDrive(log);
        const rules = rulesOf(tally);
        const one = countingMarks(tally, drive).reduce(addMark, scoreMarks(rules, []));
        const circumstances = circumstancesOf(tally, drive, drive.lastMs);
        expect(verdictOf(one, circumstances, measuredConflicts(tally, drive))).toEqual(judgeDrive(tally, drive));
      }),
    );
  });

  it('leaves a score as it was when a mark is added to it', () => {
    const [, , , mark] = fullTest(marks(1, 'junctions.observation', 'driving'));
    const drive = foldDrive([...fullTest([]), mark!]);
    const before = scoreMarks(rulesOf(tally), []);
    expect(addMark(before, drive.marks[0]!).uses.size).toBeGreaterThan(0);
    expect(before.uses.size).toBe(0);
  });

  it('keeps headroom at limit less use, and not below nothing on a pass', () => {
    fc.assert(
      fc.property(anyMarks, (bodies) => {
        const verdict = judge(bodies);
        for (const room of verdict.headroom) {
          expect(room.left).toBe(room.limit.allowed.value - room.used);
          if (verdict.outcome === 'pass' && room.limit.effect.kind === 'fail-test')
            expect(room.left).toBeGreaterThanOrEqual(0);
        }
      }),
    );
  });

  it('judges a drive with a struck mark as if it had never been marked', () => {
    fc.assert(
      fc.property(anyMarks, anyMark, (bodies, extra) => {
        const without = fullTest(bodies);
        const [marked] = logOf([[20, extra, 'extra']]);
        const [strike] = logOf([[21, { type: 'strike', target: 'extra', reason: 'Not so.' }, 'strike']]);
        const struck = judgeDrive(tally, foldDrive([...without, marked!, strike!]));
        expect(struck).toEqual(judgeDrive(tally, foldDrive(without)));
      }),
    );
  });

  it('does not care in which order events arrive', () => {
    fc.assert(
      fc.property(
        anyLog.chain((log) => fc.tuple(fc.constant(log), fc.shuffledSubarray([...log], { minLength: log.length }))),
        ([log, shuffled]) => {
          expect(judgeDrive(tally, foldDrive(shuffled))).toEqual(judgeDrive(tally, foldDrive(log)));
        },
      ),
    );
  });
});

describe('the words of a verdict', () => {
  it.each([
    [spread(0), 'Pass: no faults.'],
    [spread(6), 'Pass: 6 of 15 driving faults.'],
    [spread(15), 'Pass: 15 of 15 driving faults.'],
    [spread(16), 'Fail: 16 driving faults (15 allowed).'],
    [marks(2, 'signs.lights', 'serious'), 'Fail: 2 serious faults.'],
    [
      [...marks(1, 'signs.lights', 'serious'), ...marks(1, 'signs.lights', 'dangerous')],
      'Fail: 1 dangerous fault and 1 serious fault.',
    ],
    [[{ type: 'pin' } as const], 'No result yet: 1 pin to name. So far: would pass, no faults.'],
  ])('says what happened (%#)', (bodies, sentence) => {
    expect(verdictSentence(tally, judge(bodies))).toBe(sentence);
  });

  it('gives the reason with what is allowed', () => {
    const { reasons } = judge([...spread(16), ...marks(1, 'signs.lights', 'serious')]);
    expect(reasons.map((reason) => reasonSentence(tally, reason))).toEqual([
      '16 driving faults. 15 allowed.',
      '1 serious fault. None allowed.',
    ]);
    expect(itemName(tally, 'signs.lights')).toBe('Signs and lights: traffic lights');
  });
});
