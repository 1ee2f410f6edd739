import { counterTargetS, readCounter } from './counter';

describe('counters', () => {
  it('hold at a stop line for 3 s, or for 5 where the standard counts to 5 (common practice)', () => {
    expect(counterTargetS('stop', false)).toBe(3);
    expect(counterTargetS('stop', true)).toBe(5);
  });

  it('want 5 s of signal and a glance in the mirrors every 8 to 10 s (common practice)', () => {
    expect(counterTargetS('signal', false)).toBe(5);
    expect(counterTargetS('mirrors', false)).toBeGreaterThanOrEqual(8);
    expect(counterTargetS('mirrors', false)).toBeLessThanOrEqual(10);
  });

  it('say how long it has lasted and whether that is enough', () => {
    const stop = { kind: 'stop', fromMs: 1000 } as const;
    expect(readCounter(stop, 3900, 3)).toEqual({ seconds: 2.9, reached: false });
    expect(readCounter(stop, 4000, 3)).toEqual({ seconds: 3, reached: true });
    expect(readCounter(stop, 500, 3)).toEqual({ seconds: 0, reached: false });
  });

  it('start anew for every glance in the mirrors', () => {
    const mirrors = { kind: 'mirrors', fromMs: 0 } as const;
    expect(readCounter(mirrors, 9_000, 10)).toEqual({ seconds: 9, reached: false });
    expect(readCounter(mirrors, 10_500, 10)).toEqual({ seconds: 0.5, reached: true });
    expect(readCounter(mirrors, 13_000, 10)).toEqual({ seconds: 3, reached: false });
  });
});
