import { tally } from '@jasperwren/core/marking/testing-standards';
import { counting, readCode } from './entries';

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

  it('count up and down to nothing', () => {
    const once = counting([], 'signs.lights', 'driving', 1);
    const twice = counting(once, 'signs.lights', 'driving', 1);
    expect(twice).toEqual([{ item: 'signs.lights', grade: 'driving', count: 2 }]);
    expect(counting(counting(twice, 'signs.lights', 'driving', -1), 'signs.lights', 'driving', -1)).toEqual([]);
    expect(counting([], 'signs.lights', 'driving', -1)).toEqual([]);
  });
});
