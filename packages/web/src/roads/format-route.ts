import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { isInMiles, type StoredRoads } from '@jasperwren/roads/source';
import { lengthWords, type Units } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';

const minutes = (seconds: number) => Math.round(seconds / 60);

/** "38 to 44 min". */
const minutesWords = ({ range }: Pick<RouteReading, 'range'>): string =>
  t('minutesRange', { from: minutes(range.from), to: minutes(range.to) });

/** "38 to 44 min, 10.7 miles, 19 min independent". */
export const routeWords = (reading: RouteReading, units: Units): string =>
  t('routeSum', {
    minutes: minutesWords(reading),
    length: lengthWords(reading.metres, units),
    independent: minutes(reading.independent),
  });

/** Miles and yards where limits are given so on these roads. */
export const unitsOf = (stored: StoredRoads | undefined): Units => (stored && isInMiles(stored) ? 'miles' : 'metric');
