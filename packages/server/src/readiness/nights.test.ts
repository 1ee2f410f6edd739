import { nightBetween } from './nights';

describe('a night between two moments', () => {
  it.each([
    ['the same morning', '2026-05-04T06:00:00Z', '2026-05-04T09:00:00Z', 'UTC', false],
    ['midnight alone', '2026-05-04T23:00:00Z', '2026-05-05T02:59:00Z', 'UTC', false],
    ['three o’clock', '2026-05-04T23:00:00Z', '2026-05-05T03:00:00Z', 'UTC', true],
    ['three o’clock far in the east', '2026-05-04T12:00:00Z', '2026-05-04T16:00:00Z', 'Pacific/Auckland', true],
    ['not yet three far in the west', '2026-05-05T03:30:00Z', '2026-05-05T09:00:00Z', 'Pacific/Honolulu', false],
    // 3:00 is an hour later by the sun in summer (the European Union's rule, directive 2000/84/EC, from memory).
    ['the night the clocks go forward', '2026-03-28T23:00:00Z', '2026-03-29T01:00:00Z', 'Europe/Berlin', true],
    ['the night they go back', '2026-10-24T22:00:00Z', '2026-10-25T01:30:00Z', 'Europe/Berlin', false],
    ['a clock that was put back by two days', '2026-05-06T09:00:00Z', '2026-05-04T09:00:00Z', 'UTC', true],
  ])('%s', (_, from, to, timeZone, passed) => {
    expect(nightBetween(from, new Date(to), timeZone)).toBe(passed);
  });
});
