import { pick, randomFrom, shuffled } from '../safety-questions/random';
import type { PlacedCall, RouteReading } from './read-route';
import { between } from './along-line';

/** What a driver may do where the way cannot be driven as it was called. */
export type Reaction = 'take-it' | 'drive-on' | 'turn-here' | 'to-barrier';

/** Something that goes wrong on a route, put there to be practised: what it is, and what is right. */
export type PracticeEvent = {
  /** Metres from the start of the route at which it comes up. */
  readonly at: number;
} & (
  | {
      readonly kind: 'wrong-exit';
      readonly call: PlacedCall;
      /** The exit that the device says, and the one that is signed. */
      readonly said: number;
      readonly right: number;
      readonly exits: number;
    }
  | { readonly kind: 'late-call'; readonly call: PlacedCall; readonly seconds: number; readonly right: Reaction }
  /** Limits in km/h. */
  | {
      readonly kind: 'wrong-limit';
      readonly said: number;
      readonly right: number;
      readonly choices: readonly number[];
    }
  | { readonly kind: 'closed-road'; readonly call: PlacedCall; readonly right: Reaction }
);

export type PracticeKind = PracticeEvent['kind'];

/** Mirrors, signal and place on the road take about as many seconds. Common practice. */
export const prepareSeconds = 5;
const lateSeconds = [2, 3, 8, 9] as const;
/** A call of which the road was found closed is this far from its junction, in metres. */
const closedBefore = 40;
/** Two events lie at least this far apart, in metres. */
const apart = 150;
/** A sign is passed by this many metres when one is asked about it. */
const pastSign = 25;

/**
 * What goes wrong on a route, in the order it comes up: at most one of each kind in turn, spread over the route.
 * @param kinds what may go wrong
 * @param seed any whole number; the same gives the same events
 */
export function practiceEvents(
  reading: Pick<RouteReading, 'calls' | 'limits' | 'pace'>,
  kinds: readonly PracticeKind[],
  seed: number,
): readonly PracticeEvent[] {
  const random = randomFrom(seed);
  const all = shuffled(random, candidates(reading, random)).filter(({ kind }) => kinds.includes(kind));
  const chosen: PracticeEvent[] = [];
  const fits = (event: PracticeEvent) =>
    event.at > 0 && chosen.every((other) => Math.abs(other.at - event.at) >= apart && !sameCall(other, event));
  // Kinds take turns, so that the many of one leave room for the few of another.
  for (;;) {
    const before = chosen.length;
    for (const kind of kinds) {
      const next = all.find((event) => event.kind === kind && fits(event));
      if (next) chosen.push(next);
    }
    if (chosen.length === before) break;
  }
  return chosen.sort((a, b) => a.at - b.at);
}

const sameCall = (a: PracticeEvent, b: PracticeEvent) => 'call' in a && 'call' in b && a.call === b.call;

function candidates(
  { calls, limits, pace }: Pick<RouteReading, 'calls' | 'limits' | 'pace'>,
  random: () => number,
): readonly PracticeEvent[] {
  const events: PracticeEvent[] = [];
  for (const call of calls) {
    const { decision, again, at } = call;
    if (again !== undefined || decision.kind === 'turn-round') continue;
    if (decision.kind === 'roundabout' || decision.kind === 'mini') {
      const { exit, exits } = decision;
      const wrong = [exit - 1, exit + 1].filter((n) => n >= 1 && n <= Math.max(exits, exit));
      if (wrong.length > 0)
        events.push({
          kind: 'wrong-exit',
          at,
          call,
          said: pick(random, wrong),
          right: exit,
          exits: Math.max(exits, exit),
        });
      continue;
    }
    const seconds = pick(random, lateSeconds);
    const late = metresBefore(pace, decision.metres, seconds);
    if (late > at) {
      const right = seconds >= prepareSeconds ? 'take-it' : 'drive-on';
      events.push({ kind: 'late-call', at: late, call, seconds, right });
    }
    events.push({ kind: 'closed-road', at: Math.max(at, decision.metres - closedBefore), call, right: 'drive-on' });
  }
  const known = [...new Set(limits.map(([, kmh]) => kmh))];
  limits.forEach(([metres, right], i) => {
    const said = limits[i - 1]?.[1];
    if (said === undefined || said === right) return;
    const choices = [...new Set([said, right, ...known])].slice(0, 3).sort((a, b) => a - b);
    events.push({ kind: 'wrong-limit', at: metres + pastSign, said, right, choices });
  });
  return events;
}

/** The place so many seconds before another, in metres from the start. */
function metresBefore(pace: RouteReading['pace'], metres: number, seconds: number): number {
  const inverse = pace.map(([x, y]) => [y, x] as const);
  return between(inverse, between(pace, metres) - seconds);
}
