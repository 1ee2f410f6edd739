import { metresPerMile, metresPerYard } from '@jasperwren/roads/units';
import { wordsOf } from '../words';

export const resource = {
  yards_one: '{{count}} yard',
  yards_other: '{{count}} yards',
  metres_one: '{{count}} metre',
  metres_other: '{{count}} metres',
  halfMile: 'half a mile',
  threeQuarters: 'three quarters of a mile',
  oneMile: '1 mile',
  miles: '{{miles}} miles',
  kilometres: '{{km}} km',
} as const;

const t = wordsOf('distances', resource);

export type Units = 'miles' | 'metric';

/** A distance ahead as one says it, rounded: "150 yards", "half a mile", "400 metres". */
export function aheadWords(metres: number, units: Units): string {
  if (units === 'metric') {
    const count = roundTo(metres, metres < 100 ? 10 : 50);
    return metres < 975 ? t('metres', { count }) : t('kilometres', { km: (metres / 1000).toFixed(1) });
  }
  const yards = metres / metresPerYard;
  if (yards < 750) return t('yards', { count: roundTo(yards, yards < 100 ? 10 : 50) });
  if (yards < 1100) return t('halfMile');
  if (yards < 1540) return t('threeQuarters');
  return metres < 1.2 * metresPerMile ? t('oneMile') : t('miles', { miles: (metres / metresPerMile).toFixed(1) });
}

/** The length of a way: "10.7 miles" or "17.2 km". */
export function lengthWords(metres: number, units: Units): string {
  return units === 'metric'
    ? t('kilometres', { km: (metres / 1000).toFixed(1) })
    : t('miles', { miles: (metres / metresPerMile).toFixed(1) });
}

const roundTo = (value: number, step: number) => Math.max(step, Math.round(value / step) * step);
