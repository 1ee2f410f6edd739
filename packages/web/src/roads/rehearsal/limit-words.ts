import { kmhPerMph } from '@jasperwren/roads/units';
import { t } from '@jasperwren/words/rehearsal';
import type { Units } from '@jasperwren/words/roads/distances';

/** A limit as its sign shows it: "30 mph". */
export const limitWords = (kmh: number, units: Units): string =>
  units === 'miles' ? t('mph', { value: Math.round(kmh / kmhPerMph) }) : t('kmh', { value: Math.round(kmh) });
