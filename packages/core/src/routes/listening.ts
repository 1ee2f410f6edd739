import { leadAt, type CallStyle } from '@jasperwren/roads/directions/calls';
import type { Side } from '@jasperwren/roads/graph/side';
import { between } from './along-line';
import type { PlacedCall, RouteReading } from './read-route';
import { questionsOf, type CallQuestion } from './rehearsal';

/** A call as it is heard: by whom, and where on the route. */
export interface HeardCall {
  readonly call: PlacedCall;
  readonly speaker: CallStyle['speaker'];
  /** Metres from the start of the route at which it is spoken. */
  readonly at: number;
  /** Metres from there to the junction. */
  readonly distance: number;
  /** The exit that is said where the speaker miscounts. */
  readonly miscounted?: number;
}

/** What is asked once a call was heard: of its first junction, or of the second that is said along with it. */
export type HeardQuestion = CallQuestion & { readonly of: 'first' | 'then' };

/** A call begins no sooner than this many metres after the junction before. */
const clearM = 10;

/**
 * The calls of a route as a learner hears them: the instructor's where directions are given, the sat nav's in its own timing on
 * legs that are driven by one, none where signs lead. One exit is miscounted where a roundabout is large enough for that.
 * @param miscount the roundabout that is miscounted, counted from 0 among those of at least three exits; beyond the last: none
 * @param device when the sat nav of the school speaks
 */
export function heardCalls(
  { calls, legs, pace }: Pick<RouteReading, 'calls' | 'legs' | 'pace'>,
  miscount: number,
  device: CallStyle,
): readonly HeardCall[] {
  const heard: HeardCall[] = [];
  let [after, rings] = [0, 0];
  for (const call of calls) {
    const { decision, then, again } = call;
    const mode = legs.find(({ to }) => decision.metres <= to)?.mode ?? legs.at(-1)?.mode;
    if (mode !== 'signs') {
      const isFirst = again === undefined;
      const byDevice = mode === 'device';
      const at =
        byDevice && isFirst
          ? Math.max(after, decision.metres - leadAt(device, kmhAt(pace, decision.metres - 1)))
          : call.at;
      const isMiscounted = isFirst && decision.kind === 'roundabout' && decision.exits >= 3 && rings++ === miscount;
      heard.push({
        call,
        speaker: byDevice ? 'device' : 'instructor',
        at,
        // On the way round a ring it is the way to its exit.
        distance: isFirst ? decision.metres - at : call.distance,
        ...(isMiscounted && { miscounted: wrongExit(decision.exit, decision.exits) }),
      });
    }
    after = (then ?? decision).after + clearM;
  }
  return heard;
}

/** The exit after the right one, or before it where there is none after. */
const wrongExit = (right: number, exits: number): number => (right < exits ? right + 1 : right - 1);

/** What a heard call asks of its listener, in the order it is done: lane, signal, opening; first the nearer junction. */
export function heardQuestions({ call }: HeardCall, side: Side): readonly HeardQuestion[] {
  const { decision, then } = call;
  const asked = (one: PlacedCall, of: HeardQuestion['of']) =>
    [...questionsOf(one, side)].sort((a, b) => order[a.kind] - order[b.kind]).map((question) => ({ ...question, of }));
  return [...asked({ ...call, decision }, 'first'), ...(then ? asked({ ...call, decision: then }, 'then') : [])];
}

const order: Readonly<Record<CallQuestion['kind'], number>> = { lane: 0, signal: 1, exit: 2, way: 2 };

/** How fast one drives at a place of a route by the pace of its roads, km/h; metres from the start. */
export function kmhAt(pace: RouteReading['pace'], metres: number): number {
  const from = Math.max(0, metres - 20);
  const seconds = between(pace, metres + 20) - between(pace, from);
  return seconds > 0 ? ((metres + 20 - from) / seconds) * 3.6 : 0;
}

/** The limit at a place of a route, km/h; undefined before the first that is known. */
export const limitAt = (limits: RouteReading['limits'], metres: number): number | undefined =>
  limits.findLast(([from]) => from <= metres)?.[1];
