import type { Difference } from '@jasperwren/core/marking/compare/difference';
import { capital } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  trafficSide: 'traffic side',
  totalMin: 'whole test, min',
  independentMin: 'independent part, min',
  startScore: 'starting score',
  retestExtraS: 'extra time for a repeat, s',
  atMost: 'at most',
  atLeastMin: 'at least, min',
  perTest: 'per test',
  clockStarts: 'timer starts',
  startsAt: 'timer starts, for sensors',
  usual: 'usual time',
  fromS: 'from, s',
  toS: 'to, s',
  endsWhen: 'ends when',
  otherOrder: 'other order',
  distanceM: 'distance, m',
} as const;

const t = wordsOf('differences', resource);

type Known = keyof typeof resource;
const isKnown = (field: string): field is Known => Object.hasOwn(resource, field);

/** Where two versions of a standard differ, from the outside in: "Limits, Driving faults, allowed". */
export const differenceWords = ({ where }: Difference): string =>
  capital(
    where
      .map((place) => ('name' in place ? place.name : isKnown(place.field) ? t(place.field) : place.field))
      .join(', '),
  );
