import { logOf, minute, start } from '@jasperwren/core/drive/testing';
import fc from 'fast-check';
import { adoptClock, driveNowMs, isGuessed, makeClock, resumeClock, startClock } from './drive-clock';

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
    resumeClock('b', log, 'tablet');
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('b')).toBe(8 * minute);
  });

  it('never runs backwards, also when the wall clock was set back meanwhile', () => {
    const log = logOf([
      [0, start()],
      [4, { type: 'pin' }],
    ]);
    jest.setSystemTime(Date.UTC(2026, 4, 4, 8, 0));
    resumeClock('c', log, 'tablet');
    expect(driveNowMs('c')).toBe(4 * minute);
  });

  it('is left alone when the drive is opened again on the same page', () => {
    startClock('d');
    jest.advanceTimersByTime(minute);
    resumeClock('d', logOf([[0, start()]]), 'tablet');
    expect(driveNowMs('d')).toBe(minute);
  });

  it('waits at 0 through the briefing, also after a reload, and starts as the car moves', () => {
    makeClock('e', true);
    jest.advanceTimersByTime(8 * minute);
    expect(driveNowMs('e')).toBe(0);
    startClock('e');
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('e')).toBe(minute);
    resumeClock('f', logOf([[0, { ...start(), briefing: true }]]), 'tablet');
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('f')).toBe(0);
  });

  it('is set by another device where it waited or had to guess, and by nobody where it ran here', () => {
    makeClock('g', true);
    adoptClock('g', 3 * minute);
    jest.advanceTimersByTime(minute);
    expect(driveNowMs('g')).toBe(4 * minute);
    adoptClock('g', 50 * minute);
    expect(driveNowMs('g')).toBe(4 * minute);
    jest.setSystemTime(Date.UTC(2031, 0, 1));
    resumeClock('h', logOf([[0, start()]]), 'phone');
    expect(isGuessed('h')).toBe(true);
    adoptClock('h', 7 * minute);
    expect(driveNowMs('h')).toBe(7 * minute);
    expect(isGuessed('h')).toBe(false);
    // Off its own wall clock it is no guess that nobody may hear of, and yet it follows what others tell.
    resumeClock('i', logOf([[0, start()]]), 'tablet');
    expect(isGuessed('i')).toBe(false);
    adoptClock('i', 7 * minute);
    expect(driveNowMs('i')).toBe(7 * minute);
  });

  it('comes nearer to the other device with everything that was less long under way, and never steps back', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9000 }), { minLength: 1 }), (underWay) => {
        const id = `told ${underWay.join(' ')}`;
        jest.setSystemTime(Date.UTC(2031, 0, 1));
        resumeClock(id, logOf([[0, start()]]), 'phone');
        const began = performance.now();
        const theirs = () => 10 * minute + performance.now() - began;
        for (const ms of underWay) {
          const told = theirs();
          jest.advanceTimersByTime(ms);
          adoptClock(id, told);
        }
        // A whole number of milliseconds is half of one away at most.
        expect(Math.abs(theirs() - driveNowMs(id) - Math.min(...underWay))).toBeLessThanOrEqual(0.5 + 1e-6);
      }),
    );
  });

  it('does not drift with being told of what is behind it again and again', () => {
    resumeClock('again', logOf([[0, start()]]), 'phone');
    adoptClock('again', 10 * minute);
    const began = performance.now();
    // Rounded each time it would gain four tenths of a millisecond with each.
    for (let i = 0; i < 200; i++) {
      jest.advanceTimersByTime(0.6);
      adoptClock('again', 0);
    }
    const driven = performance.now() - began;
    expect(driven).toBeCloseTo(120, 3);
    expect(driveNowMs('again')).toBe(10 * minute + 120);
  });
});
