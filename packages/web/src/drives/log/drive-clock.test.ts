import { logOf, minute, start } from '@jasperwren/core/drive/testing';
import { driveNowMs, resumeClock, startClock } from './drive-clock';

describe('the clock of a drive', () => {
  beforeEach(() => jest.useFakeTimers({ now: Date.UTC(2026, 4, 4, 9, 0) }));
  afterEach(() => jest.useRealTimers());

  it('runs from 0 and does not mind when the wall clock is changed', () => {
    startClock('a');
    jest.advanceTimersByTime(5 * minute);
    jest.setSystemTime(Date.UTC(2020, 0, 1));
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('a')).toBe(6 * minute);
  });

  it('counts the time away after a reload', () => {
    const log = logOf([
      [0, start()],
      [4, { type: 'pin' }],
    ]);
    jest.setSystemTime(Date.UTC(2026, 4, 4, 9, 7));
    resumeClock('b', log);
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('b')).toBe(8 * minute);
  });

  it('never runs backwards, also when the wall clock was set back meanwhile', () => {
    const log = logOf([
      [0, start()],
      [4, { type: 'pin' }],
    ]);
    jest.setSystemTime(Date.UTC(2026, 4, 4, 8, 0));
    resumeClock('c', log);
    expect(driveNowMs('c')).toBe(4 * minute);
  });

  it('is left alone when the drive is opened again on the same page', () => {
    startClock('d');
    jest.advanceTimersByTime(minute);
    resumeClock('d', logOf([[0, start()]]));
    expect(driveNowMs('d')).toBe(minute);
  });
});
