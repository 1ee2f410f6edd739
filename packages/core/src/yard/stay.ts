import type { Exercise } from '../marking/exercise';
import type { Moment, Step } from './moment';
import { thresholds } from './signs';

/** The car in the part of the yard of one exercise, from the entry to the exit. */
export interface Stay {
  readonly exercise: Exercise;
  readonly enteredAt: number;
  /** Whether its clock runs. */
  started: boolean;
  /** Nothing was heard for a while in it. */
  hadGap: boolean;
  /** The way the car went last: 0 before it has moved. */
  way: -1 | 0 | 1;
  reverses: number;
  /** The most of the car that was inside the bay so far. */
  inside: number;
  /** It was parked, well or badly. */
  parked: boolean;
  parkedInside: boolean;
  /** Since when it stands; undefined while it moves. */
  standsSince: number | undefined;
  topSpeed: { readonly value: number; readonly at: number } | undefined;
  toneHeard: boolean;
}

export const startStay = (exercise: Exercise, enteredAt: number): Stay => ({
  exercise,
  enteredAt,
  started: false,
  hadGap: false,
  way: 0,
  reverses: 0,
  inside: 0,
  parked: false,
  parkedInside: false,
  standsSince: undefined,
  topSpeed: undefined,
  toneHeard: false,
});

/** Whether the clock of the exercise starts at this moment: at its own trigger, or once the car is in the bay without it. */
export function startsNow(stay: Stay, { now }: Step): boolean {
  if (stay.started) return false;
  if ((now.inside ?? 0) > 0) return true;
  switch (stay.exercise.startsAt ?? 'entry') {
    case 'entry':
      return true;
    case 'right-indicator':
      return now.indicator === 'right';
    case 'left-indicator':
      return now.indicator === 'left';
    case 'reverse-gear':
      return now.gear === 'R';
    case 'rolling':
      return now.way !== 0;
  }
}

/** Takes note of where the car is in its bay and whether it is parked there. */
export function followBay(stay: Stay, now: Moment): void {
  if (now.inside !== undefined) stay.inside = Math.max(stay.inside, now.inside);
  if (now.way !== 0) {
    stay.standsSince = undefined;
    return;
  }
  stay.standsSince ??= now.at;
  const { inside = 0, parkingBrake, at } = now;
  const inBay = inside >= thresholds.parkedInside;
  const stays = inBay && at - stay.standsSince >= thresholds.parkedAfter;
  if (!stays && !(parkingBrake === true && inside >= thresholds.halfInside)) return;
  stay.parked = true;
  if (inBay) stay.parkedInside = true;
}

export const isBay = ({ exercise: { manoeuvre } }: Stay): boolean =>
  manoeuvre === 'bay-forward' || manoeuvre === 'bay-reverse';
