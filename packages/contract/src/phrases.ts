import { t } from '@jasperwren/words/fields';
import { ArrayMaxSize, ArrayUnique, IsArray, IsInt, IsString, MaxLength, Min, MinLength } from 'class-validator';

/** Sentences that a school says to learners again and again, in notes to a debrief or to a fault. */
export class PhrasesInput {
  @IsArray()
  @ArrayMaxSize(100, { message: t('tooManyPhrases') })
  @ArrayUnique()
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(300, { each: true, message: t('phraseTooLong') })
  phrases!: readonly string[];

  /** The version that was changed. */
  @IsInt() @Min(0) version!: number;
}

export interface PhrasesView {
  readonly phrases: readonly string[];
  readonly version: number;
}
