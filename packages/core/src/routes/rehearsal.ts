import type { Call } from '@jasperwren/roads/directions/calls';
import type { Turn } from '@jasperwren/roads/directions/lanes';
import type { Side } from '@jasperwren/roads/graph/side';

/** When one signals at a roundabout: on the approach, only before leaving, or both. */
export const signalMoments = ['approach', 'exit', 'both'] as const;
export type SignalMoment = (typeof signalMoments)[number];

/** What a learner is asked before a call is heard; lanes count from the left. */
export type CallQuestion =
  | { readonly kind: 'exit'; readonly right: number; readonly exits: number }
  | { readonly kind: 'way'; readonly right: Turn }
  | { readonly kind: 'lane'; readonly right: readonly number[]; readonly lanes: number }
  | { readonly kind: 'signal'; readonly right: SignalMoment };

/** The questions a call answers; none where there is nothing to choose, or it was asked before. */
export function questionsOf({ decision, again }: Call, side: Side): readonly CallQuestion[] {
  if (again !== undefined) return [];
  const { lanes } = decision;
  const lane: CallQuestion[] =
    lanes && lanes.use.length < lanes.of ? [{ kind: 'lane', right: lanes.use, lanes: lanes.of }] : [];
  switch (decision.kind) {
    case 'roundabout':
      return [exitOf(decision), ...lane, { kind: 'signal', right: signalAt(decision.turn, side) }];
    case 'mini':
      return [exitOf(decision), ...lane];
    case 'turn':
    case 'bear':
    case 'slip':
      return [{ kind: 'way', right: decision.turn }, ...lane];
    default:
      return [];
  }
}

const exitOf = ({ exit, exits }: { readonly exit: number; readonly exits: number }): CallQuestion => ({
  kind: 'exit',
  right: exit,
  exits: Math.max(exits, exit),
});

/** To the near side one signals on the approach, ahead only before leaving, to the far side both. Common practice. */
function signalAt(turn: Turn | 'back', side: Side): SignalMoment {
  if (turn === 'ahead') return 'exit';
  return turn === side ? 'approach' : 'both';
}

/** How well a spoken call was timed. */
export type Timing = 'early' | 'good' | 'late';

/** A call may come by this share sooner or later than the ladder says. Common practice leaves room. */
const sooner = 1.5;
const later = 0.55;

/**
 * Judges when a call was spoken: `before` is metres to the junction then. The ladder's own distance is what the road left room
 * for, so a call that had to come late is not late.
 */
export function timingOf({ distance }: Pick<Call, 'distance'>, before: number): Timing {
  if (before > Math.max(distance * sooner, distance + 60)) return 'early';
  return before < distance * later ? 'late' : 'good';
}

/** The first call not yet said at a place of the route, in metres from the start. */
export const nextCall = <C extends Call>(calls: readonly C[], metres: number): C | undefined =>
  calls.find(({ at, distance }) => at + distance > metres);
