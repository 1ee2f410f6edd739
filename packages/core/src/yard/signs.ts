import { dryFromDeg } from '@jasperwren/motion/moves/bench';
import { usualGrade } from '../marking/asked';
import { gradeOfValue } from '../marking/measured';
import type { EffectiveStandard, Item, SensorSign } from '../marking/standard';
import type { FoundMark } from './findings';

/** From where on a sensor's reading is what it looks like. All are house defaults: what a person in the car would call so. */
export const thresholds = {
  /** Slower than this the car stands, in km/h. */
  standing: 0.5,
  /** Faster than this it moves with the parking brake on, in km/h. */
  moving: 1,
  /** The wheel is turned standing still by more than so many degrees. */
  drySteering: dryFromDeg,
  /** A pedal is pressed from here on, of 1. */
  brakePressed: 0.1,
  clutchPressed: 0.5,
  /** Braking later after the tone than this is late, in ms. */
  lateBraking: 1000,
  /** Half the car is in its bay. */
  halfInside: 0.5,
  /** The car is parked inside its bay with at least this share of it. */
  parkedInside: 0.98,
  /** Having stood there for so long, in ms, or with the parking brake on. */
  parkedAfter: 1500,
  /** A wheel on a line is on it once until it was off it for so long, in ms. */
  contactOff: 1000,
} as const;

/** The items of a standard that sensors can tell of. */
export interface SensedItems {
  /**
   * The item of a sign in an exercise, or that of the whole yard; undefined where the standard has none. Where late extra
   * reverses have none of their own they are extra reverses.
   */
  readonly item: (sign: SensorSign, exercise: string | undefined) => Item | undefined;
  /** A mark of an item; undefined where the value is within what the standard allows. */
  readonly mark: (item: Item, at: number, from: number, to: number, measured?: number) => FoundMark | undefined;
}

export function sensedItems(standard: EffectiveStandard): SensedItems {
  const found = new Map<string, Item>();
  const key = (sign: SensorSign, exercise: string | undefined) => `${sign} ${exercise ?? ''}`;
  for (const { items } of standard.categories)
    for (const item of items) for (const sign of item.sensors ?? []) found.set(key(sign, item.exercise), item);
  const of = (sign: SensorSign, exercise: string | undefined) =>
    (exercise === undefined ? undefined : found.get(key(sign, exercise))) ?? found.get(key(sign, undefined));
  return {
    item: (sign, exercise) =>
      of(sign, exercise) ?? (sign === 'late-extra-reverse' ? of('extra-reverse', exercise) : undefined),
    mark(item, at, from, to, measured) {
      const grade =
        item.measured && measured !== undefined
          ? gradeOfValue(item.measured, measured)
          : usualGrade(standard, item.code)?.code;
      if (grade === undefined) return undefined;
      return {
        kind: 'mark',
        at,
        item: item.code,
        grade,
        from,
        to,
        ...(item.measured && measured !== undefined && { measured }),
      };
    },
  };
}
