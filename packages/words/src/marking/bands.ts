import type { Band } from '@jasperwren/core/marking/standard';
import { joinWords } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  over: 'over {{value}}',
  atLeast: '{{value}} or more',
  below: 'below {{value}}',
  inUnit: '{{bounds}} {{unit}}',
  any: 'any {{unit}}',
} as const;

const t = wordsOf('bands', resource);

/** "over 15 and below 30 cm". */
export function bandWords({ over, atLeast, below }: Band, unit: string): string {
  const bounds = [
    ...(over === undefined ? [] : [t('over', { value: over })]),
    ...(atLeast === undefined ? [] : [t('atLeast', { value: atLeast })]),
    ...(below === undefined ? [] : [t('below', { value: below })]),
  ];
  return bounds.length > 0 ? t('inUnit', { bounds: joinWords(bounds), unit }) : t('any', { unit });
}
