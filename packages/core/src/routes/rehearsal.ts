import type { Call } from '@jasperwren/roads/directions/calls';
import type { Turn } from '@jasperwren/roads/directions/decisions';

/** What a learner is asked before a call is heard. */
export type CallQuestion =
  | { readonly kind: 'exit'; readonly right: number; readonly exits: number }
  | { readonly kind: 'way'; readonly right: Turn };

/** The question a call answers; nothing where there is nothing to choose, or it was asked before. */
export function questionOf({ decision, again }: Call): CallQuestion | undefined {
  if (again !== undefined) return undefined;
  switch (decision.kind) {
    case 'roundabout':
    case 'mini':
      return { kind: 'exit', right: decision.exit, exits: Math.max(decision.exits, decision.exit) };
    case 'turn':
    case 'bear':
    case 'slip':
      return { kind: 'way', right: decision.turn };
    default:
      return undefined;
  }
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
