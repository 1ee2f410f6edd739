import type { Band, Standard } from '@jasperwren/core/marking/standard';
import { joinWords } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  over: 'over {{value}}',
  atLeast: '{{value}} or more',
  below: 'below {{value}}',
  unitOrMore: '{{value}} {{unit}} or more',
  inUnit: '{{bounds}} {{unit}}',
  any: 'any {{unit}}',
  brings: '{{band}}: {{grade}}',
} as const;

const t = wordsOf('bands', resource);

/** "over 15 and below 30 cm", "30 cm or more". */
export function bandWords({ over, atLeast, below }: Band, unit: string): string {
  if (atLeast !== undefined && over === undefined && below === undefined)
    return t('unitOrMore', { value: atLeast, unit });
  const bounds = [
    ...(over === undefined ? [] : [t('over', { value: over })]),
    ...(atLeast === undefined ? [] : [t('atLeast', { value: atLeast })]),
    ...(below === undefined ? [] : [t('below', { value: below })]),
  ];
  return bounds.length > 0 ? t('inUnit', { bounds: joinWords(bounds), unit }) : t('any', { unit });
}

/** What a band brings: "over 15 and below 30 cm: demerit". */
export const bandBrings = ({ grades }: Pick<Standard, 'grades'>, band: Band, unit: string): string =>
  t('brings', {
    band: bandWords(band, unit),
    grade: grades.find(({ code }) => code === band.grade)?.name ?? band.grade,
  });
