import type { Fix } from '@jasperwren/roads/traces/fix';

/** A moment at which it was braked hard. */
export interface Braking {
  /** Milliseconds as in the trace. */
  readonly at: number;
  /** Metres a second less in each second, and how far that may be off (nineteen of twenty lie within). */
  readonly rate: number;
  readonly within: number;
}

/** Braking harder than this is felt by all in the car, in metres a second per second. Common practice. */
const harsh = 3.5;
/** Error of the speed that a device measures, in metres a second, as standard deviation. Common practice of phones. */
const speedError = 0.25;
/** A rate is taken over so many milliseconds at least, and at most. */
const leastMs = 900;
const mostMs = 2500;

/**
 * Where it was braked hard, by the speeds the device measured itself: positions once a second do not tell. Only where even the lower
 * end of the range is hard; of neighbours within five seconds the hardest.
 */
export function harshBrakings(fixes: readonly Fix[]): readonly Braking[] {
  const found: Braking[] = [];
  for (let i = 1; i < fixes.length; i++) {
    const [before, after] = [fixes[i - 1]!, fixes[i]!];
    const ms = after.at - before.at;
    if (before.speed === undefined || after.speed === undefined || ms < leastMs || ms > mostMs) continue;
    const seconds = ms / 1000;
    const rate = (before.speed - after.speed) / seconds;
    const within = (1.96 * Math.SQRT2 * speedError) / seconds;
    if (rate - within < harsh) continue;
    const last = found.at(-1);
    if (last && before.at - last.at < 5000) {
      if (rate > last.rate) found[found.length - 1] = { at: before.at, rate, within };
    } else found.push({ at: before.at, rate, within });
  }
  return found;
}
