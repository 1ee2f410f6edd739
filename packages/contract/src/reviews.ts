import { t } from '@jasperwren/words/fields';
import { drillModes } from '@jasperwren/core/safety-questions/drill';
import { ratings, type Rating, type Review } from '@jasperwren/core/safety-questions/memory';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsRFC3339,
  IsString,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { IsShortCode } from './texts';

/** A moment that computers can reckon with: a second 60, which RFC 3339 knows, is none. */
const IsMoment = (): PropertyDecorator =>
  ValidateBy({
    name: 'isMoment',
    validator: {
      validate: (value: unknown) => typeof value === 'string' && !Number.isNaN(Date.parse(value)),
      defaultMessage: () => t('noSuchMoment'),
    },
  });

const mostReviewsInABatch = 200;

/** Ways of drilling that are not modes of a card: heard by the instructor, and the quick-fire numbers. */
const reviewModes = [...drillModes, 'oral', 'numbers'] as const;

class ReviewInput implements Review {
  @IsShortCode() id!: string;
  @IsShortCode() question!: string;
  @IsRFC3339() @IsMoment() at!: string;
  @IsIn(ratings) rating!: Rating;
  @IsIn(reviewModes) mode!: string;
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(80, { each: true }) missed!: readonly string[];
}

/** Answers given in a drill; each id is taken once. */
export class ReviewBatch {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(mostReviewsInABatch)
  @ValidateNested({ each: true })
  @Type(() => ReviewInput)
  reviews!: readonly ReviewInput[];
}
