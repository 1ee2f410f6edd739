import type { End } from '../route/router';

/** What a loop leads over between two others. */
export interface Stop {
  readonly ends: readonly End[];
  /** It is wished: it may change its place in the loop and nothing else. */
  readonly wished: boolean;
}

/**
 * Another set of stops: one more, one less, or one in another place; longer loops lose stops and shorter ones gain them.
 * @param ratio the time the loop takes, as a share of the time wished
 * @param below a random whole number from 0 to one below
 * @param chance a random number from 0 to 1
 */
export function changed(
  stops: readonly Stop[],
  ratio: number,
  below: (count: number) => number,
  chance: () => number,
  pick: () => Stop,
): readonly Stop[] {
  const dice = chance();
  const at = stops.length > 0 ? below(stops.length) : 0;
  if (stops.length === 0 || (stops.length < 9 && (ratio < 0.93 ? dice < 0.6 : dice < 0.15)))
    return stops.toSpliced(below(stops.length + 1), 0, pick());
  const fixed = stops[at]!.wished;
  if (!fixed && stops.length > 1 && (ratio > 1.07 ? dice < 0.6 : dice < 0.3)) return stops.toSpliced(at, 1);
  if (stops.length > 1 && (fixed || dice > 0.85)) {
    const other = below(stops.length);
    return stops.with(at, stops[other]!).with(other, stops[at]!);
  }
  return fixed ? stops : stops.with(at, pick());
}

/** How many stops of its own a loop begins with beside those that are wished. */
export const firstStops = (wished: number, below: (count: number) => number): number =>
  wished === 0 ? 2 + below(4) : below(3);

/** Stops in the order of their bearing from the start, so that a loop goes round. */
export function byAngle(from: End, stops: readonly Stop[]): readonly Stop[] {
  const angle = ({ ends: [first] }: Stop) =>
    first ? Math.atan2(first.lat - from.lat, (first.lon - from.lon) * Math.cos((from.lat * Math.PI) / 180)) : 0;
  return [...stops].sort((a, b) => angle(a) - angle(b));
}
