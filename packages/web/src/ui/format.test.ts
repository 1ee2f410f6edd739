import { clockTime, firstName, fromToday, helpGiven, longDate, shortDate, times, wholeMinutes } from './format';

describe('times and dates in words', () => {
  beforeEach(() => jest.useFakeTimers({ now: new Date(2026, 10, 23, 18, 30) }));
  afterEach(() => jest.useRealTimers());

  it.each([
    [0, '0:00'],
    [59_999, '0:59'],
    [61_000, '1:01'],
    [22 * 60_000 + 41_000, '22:41'],
    [3_600_000, '60:00'],
    [-5, '0:00'],
  ])('gives %d ms as a clock', (ms, words) => {
    expect(clockTime(ms)).toBe(words);
  });

  it.each([
    ['2026-11-23', 'today'],
    ['2026-11-24', 'tomorrow'],
    ['2026-11-22', 'yesterday'],
    ['2026-12-09', 'in 16 days'],
    ['2026-11-01', '22 days ago'],
  ])('says how far %s is', (date, words) => {
    expect(fromToday(date)).toBe(words);
  });

  it('counts days, not hours: late yesterday is yesterday', () => {
    expect(fromToday(new Date(2026, 10, 22, 23, 59).toISOString())).toBe('yesterday');
    expect(fromToday(new Date(2026, 10, 24, 0, 1).toISOString())).toBe('tomorrow');
  });

  it('writes dates out, the year where it is another', () => {
    expect(longDate('2026-12-09')).toBe('9 December 2026');
    expect(shortDate('2026-12-09')).toBe('9 December');
    expect(shortDate('2027-01-14')).toBe('14 January 2027');
  });

  it('gives lengths with their unit', () => {
    expect(wholeMinutes(2_400_000)).toBe('40 min');
    expect(wholeMinutes(29_000)).toBe('0 min');
  });
});

describe('counts in words', () => {
  it('tell one from many', () => {
    expect([times(1), times(2), times(3)]).toEqual(['once', 'twice', '3 times']);
  });

  it('say what the learner was helped with', () => {
    expect(helpGiven({ prompts: 0, interventions: 0 })).toBe('');
    expect(helpGiven({ prompts: 2, interventions: 0 })).toBe('2 prompts.');
    expect(helpGiven({ prompts: 1, interventions: 3 })).toBe('1 prompt. Took control 3 times.');
  });

  it('call people by their first name', () => {
    expect(firstName('Ada Lovelock Byrd')).toBe('Ada');
    expect(firstName('Ada')).toBe('Ada');
  });
});
