import type { EffectiveStandard, Item, SensorSign } from '../marking/standard';
import { channelNames, type Channel, type SentSample } from './sample';

/** What each sign is seen by: without any one of these channels it cannot be told. */
const seenBy: Readonly<Record<SensorSign, readonly Channel[]>> = {
  'roll-back': ['rollBack'],
  revs: ['rpm'],
  speed: ['speed'],
  'tone-speed': ['speed', 'tone'],
  'late-braking': ['brake', 'tone'],
  'clutch-first': ['brake', 'clutch', 'tone'],
  'dry-steering': ['speed', 'steering'],
  'brake-on': ['speed', 'parkingBrake'],
  'early-brake': ['speed', 'parkingBrake'],
  'not-in-park': ['speed', 'gear'],
  'extra-reverse': ['speed', 'zone'],
  'late-extra-reverse': ['speed', 'zone'],
  'pull-forward': ['speed', 'zone'],
  line: ['line'],
  'parked-outside': ['inside', 'zone'],
  pole: ['pole'],
  stalled: ['engine'],
  belt: ['belt', 'speed'],
  door: ['door', 'speed'],
  'leaving-order': ['door', 'engine', 'gear', 'parkingBrake'],
};

/** The channels that none of the samples of a run has a value of. */
export const channelsMissing = (samples: readonly SentSample[]): readonly Channel[] =>
  channelNames.filter((name) => samples.every((sample) => sample[name] === undefined || sample[name] === null));

/** The items that the sensors of a standard tell of, and that cannot be seen without some channels. */
export function unseenWithout(standard: EffectiveStandard, missing: readonly Channel[]): readonly Item[] {
  return standard.categories
    .flatMap(({ items }) => items)
    .filter(({ sensors = [] }) => sensors.some((sign) => seenBy[sign].some((channel) => missing.includes(channel))));
}
