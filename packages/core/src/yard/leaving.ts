import type { Course, LeavingStep } from '../marking/exercise';
import type { Moment } from './moment';

/** Whether a step of leaving the car is done; undefined where its sensor says nothing. */
const isDone: Readonly<Record<LeavingStep, (now: Moment) => boolean | undefined>> = {
  'parking-brake': ({ parkingBrake }) => parkingBrake,
  gear: ({ gear }) => (gear === undefined ? undefined : gear === 'N' || gear === 'P'),
  engine: ({ engine }) => (engine === undefined ? undefined : !engine),
  belt: ({ belt }) => (belt === undefined ? undefined : !belt),
  door: ({ door }) => door,
};

export interface Leaving {
  /** Takes note of a moment; the car stands or moves. */
  readonly follow: (now: Moment) => void;
  /** Whether the steps came in the order of the course; steps that no sensor tells are passed over. */
  readonly inOrder: (order: NonNullable<Course['leaving']>['order']) => boolean;
  /** When the first of them was done since the car stands. */
  readonly since: () => number | undefined;
}

/** Follows the order in which a car is left, from its last standstill on. */
export function startLeaving(): Leaving {
  const doneAt = new Map<LeavingStep, number>();
  const sensed = new Set<LeavingStep>();
  return {
    follow(now) {
      for (const [step, done] of Object.entries(isDone) as [LeavingStep, (typeof isDone)[LeavingStep]][]) {
        const is = done(now);
        if (is === undefined) continue;
        sensed.add(step);
        if (!is || now.way !== 0) doneAt.delete(step);
        else if (!doneAt.has(step)) doneAt.set(step, now.at);
      }
    },
    inOrder(order) {
      const times = order.filter((step) => sensed.has(step)).map((step) => doneAt.get(step) ?? Infinity);
      return times.every((at, i) => i === 0 || (at !== Infinity && times[i - 1]! <= at));
    },
    since: () => (doneAt.size === 0 ? undefined : Math.min(...doneAt.values())),
  };
}
