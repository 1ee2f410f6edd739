import { judgeCounts, judgeSheet, strangeEntries } from '@jasperwren/core/marking/sheet';
import { graded, tally } from '@jasperwren/core/marking/testing-standards';
import { counting, digitAfter, readCode, standingFor } from './entries';

describe('codes of a result sheet', () => {
  it('are read letter by letter', () => {
    expect(readCode(tally, '')).toEqual({});
    expect(readCode(tally, 'l').category?.code).toBe('signs');
    expect(readCode(tally, 'll').item?.code).toBe('signs.lights');
    expect(readCode(tally, 'LL2').grade).toBe('serious');
    expect(readCode(tally, 'ql').problem).toContain('no fault with the letter L');
    expect(readCode(tally, '#').problem).toBe('No area has the letter #.');
    expect(readCode(tally, 'LL9').problem).toBe('Traffic lights has no grade 9.');
  });

  it('need no digit where an item has one grade only', () => {
    expect(readCode(tally, 'QT').grade).toBe('driving');
    expect(readCode(tally, 'QT2').problem).toBeDefined();
  });

  it('take the digit that a fault of one grade does not need, and no other', () => {
    expect(digitAfter(tally, 'QT', '1')).toBe('taken');
    expect(digitAfter(tally, 'QT', '2')).toMatchObject({ problem: expect.stringContaining('no grade 2') as unknown });
  });

  it('let one mark stand for several faults, which counts once', () => {
    const entries = counting([], 'signs.lights', 'driving', 1);
    const both = standingFor(entries, entries[0]!, ['signs.signs']);
    expect(both).toEqual([{ item: 'signs.lights', grade: 'driving', count: 1, also: ['signs.signs'] }]);
    expect(judgeSheet(tally, both, 'pass').verdict.counted).toHaveLength(1);
    expect(standingFor(both, both[0]!, [])).toEqual(entries);
    expect(counting(both, 'signs.lights', 'driving', 1)[0]).toMatchObject({ count: 2, also: ['signs.signs'] });
    expect(strangeEntries(tally, standingFor(entries, entries[0]!, ['no.such']))).toHaveLength(1);
  });

  it('has every mark count that a cap would leave free while driving, up to its most', () => {
    const rules = (count: number) => [{ item: 'checks.rules', grade: 'g2', count }];
    expect(judgeSheet(graded, rules(1), 'pass').verdict.counted).toHaveLength(1);
    expect(judgeSheet(graded, rules(4), 'pass').verdict.counted).toHaveLength(1);
    expect(judgeCounts(graded, rules(3)).counted).toHaveLength(0);
  });

  it('count up and down to nothing', () => {
    const once = counting([], 'signs.lights', 'driving', 1);
    const twice = counting(once, 'signs.lights', 'driving', 1);
    expect(twice).toEqual([{ item: 'signs.lights', grade: 'driving', count: 2 }]);
    expect(counting(counting(twice, 'signs.lights', 'driving', -1), 'signs.lights', 'driving', -1)).toEqual([]);
    expect(counting([], 'signs.lights', 'driving', -1)).toEqual([]);
  });
});
