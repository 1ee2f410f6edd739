import fc from 'fast-check';
import { filmSecondsAt, fitFilm } from './film';

describe('a film beside a drive', () => {
  it('lies by one known moment', () => {
    const fit = fitFilm([{ driveMs: 90_000, filmS: 140 }])!;
    expect(fit).toEqual({ startS: 50, rate: 1 });
    expect(filmSecondsAt(fit, 60_000)).toBe(110);
    expect(filmSecondsAt(fit, 0) - 8).toBe(42);
  });

  it('follows a clock that drifts, by two moments, whatever their order', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -600, max: 600, noNaN: true }),
        fc.double({ min: 0.985, max: 1.015, noNaN: true }),
        fc.integer({ min: 61_000, max: 3_600_000 }),
        fc.integer({ min: 0, max: 3_600_000 }),
        (startS, rate, apartMs, driveMs) => {
          const seen = (ms: number) => ({ driveMs: ms, filmS: startS + (rate * ms) / 1000 });
          const fit = fitFilm([seen(driveMs + apartMs), seen(driveMs)])!;
          expect(filmSecondsAt(fit, 1_234_567)).toBeCloseTo(seen(1_234_567).filmS, 3);
        },
      ),
    );
  });

  it('takes two moments close to each other for one', () => {
    const fit = fitFilm([
      { driveMs: 0, filmS: 10 },
      { driveMs: 30_000, filmS: 40.6 },
    ])!;
    expect(fit).toEqual({ startS: 10, rate: 1 });
  });

  it('is not laid by nothing, nor by moments that contradict each other', () => {
    expect(fitFilm([])).toBeUndefined();
    const far = [
      { driveMs: 0, filmS: 10 },
      { driveMs: 600_000, filmS: 700 },
    ];
    expect(fitFilm(far)).toBeUndefined();
    const third = { driveMs: 300_000, filmS: 400 };
    expect(fitFilm([{ driveMs: 0, filmS: 10 }, third, { driveMs: 600_000, filmS: 610 }])).toBeUndefined();
  });
});
