import { placeAt } from '@jasperwren/roads/testing';
import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { logOf, start } from '../drive/testing';
import { clockOffset, zeroOf } from './clock-offset';

/** Minutes at which the car stands, from and to. */
const stands = [
  [6, 6.8],
  [14, 15.5],
  [22, 22.5],
] as const;

const events = logOf([
  [0, start()],
  ...stands.flatMap(([from, to]): (readonly [number, EventBody])[] => [
    [from + 0.02, { type: 'step', step: 'pull-up' }],
    [to, { type: 'step', step: 'move-off' }],
  ]),
  [9, { type: 'pause', state: 'paused' }],
  [11, { type: 'pause', state: 'resumed' }],
  [30, { type: 'ended', ending: 'completed' }],
]);
const zero = zeroOf(events);

/** A fix a second of a car at 9 m/s with these stands, written down by a clock that is so many seconds slow. */
function fixes(slowS: number) {
  const found: { at: number; lat: number; lon: number }[] = [];
  let x = 0;
  for (let s = -120; s <= 1800; s++) {
    const minute = s / 60;
    const still =
      s < 0 || [...stands, [9, 11] as const].some(([from, to]) => minute >= from && minute <= to) || minute >= 29.95;
    if (!still) x += 9;
    // The position wanders by some metres, slowly, as those of loggers do.
    found.push({ at: zero + (s - slowS) * 1000, ...placeAt(x + 5 * Math.sin(s / 11), 5 * Math.cos(s / 7)) });
  }
  return found;
}

it('knows when the clock of a drive stood at 0', () => {
  expect(new Date(zero).toISOString()).toBe('2026-05-04T09:00:00.000Z');
});

it.each([0, 47, -260, 3600, -7200])('finds that a logger is %i s slow', (slow) => {
  const found = clockOffset(fixes(slow), foldDrive(events), zero)!;
  expect(Math.abs(found.ms - slow * 1000)).toBeLessThanOrEqual(8000);
  expect(found.within).toBeLessThan(20_000);
  expect(found.agree).toBeGreaterThanOrEqual(found.of - 1);
});

it('says nothing where the drive says too little', () => {
  const bare = logOf([
    [0, start()],
    [30, { type: 'ended', ending: 'completed' }],
  ]);
  expect(clockOffset(fixes(0), foldDrive(bare), zero)).toBeUndefined();
  expect(clockOffset([], foldDrive(events), zero)).toBeUndefined();
});
