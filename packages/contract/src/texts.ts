import { t } from '@jasperwren/words/fields';
import { IsString, MaxLength, MinLength } from 'class-validator';
import { Trimmed } from './transforms';

/** A code that the product or a school made. */
export const IsShortCode = (): PropertyDecorator => (target, property) => {
  for (const rule of [IsString(), MinLength(1), MaxLength(80)]) rule(target, property);
};

/** Words that must be there. */
export const IsWords =
  (most: number, missing: string): PropertyDecorator =>
  (target, property) => {
    for (const rule of [
      Trimmed(),
      IsString(),
      MinLength(1, { message: missing }),
      MaxLength(most, { message: t('tooLong', { most }) }),
    ])
      rule(target, property);
  };
