import { t } from '@jasperwren/words/fields';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsString,
  IsTimeZone,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

/** What a school says of itself. */
export class SchoolInput {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: t('enterSchoolName') })
  @MaxLength(80, { message: t('nameTooLong') })
  name!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(120, { message: t('placeTooLong') })
  place?: string;

  /** Of the IANA time zone database, such as `Etc/UTC`: by it the days of the school begin and end. */
  @IsTimeZone({ message: t('chooseTimeZone') }) timeZone!: string;

  @IsBoolean() requireFactor!: boolean;

  /** Months after the last drive or lesson when an archived learner is to be erased; missing for never. */
  @MayBeMissing()
  @IsInt({ message: t('enterWholeMonths') })
  @Min(1, { message: t('aMonthAtLeast') })
  @Max(240, { message: t('tooManyMonths') })
  keepMonths?: number;

  /** The version that was changed. */
  @IsInt() @Min(0) version!: number;
}

export interface SchoolView {
  readonly id: string;
  readonly name: string;
  readonly place?: string;
  readonly timeZone: string;
  readonly requireFactor: boolean;
  readonly keepMonths?: number;
  readonly version: number;
}

/** The name once more, typed, so that nobody closes a school by a slip. */
export class TypedName {
  @Trimmed() @IsString() @MaxLength(200) name!: string;
}

/** Learners to be erased, as the preview showed them. */
export class OutOfTimeIds {
  @IsArray() @ArrayMaxSize(500) @IsString({ each: true }) @MaxLength(80, { each: true }) learnerIds!: readonly string[];
}

/** A learner whom the rule of the school would erase now. */
export interface OutOfTime {
  readonly learnerId: string;
  readonly name: string;
  /** Their last drive or lesson, or when they were entered, `YYYY-MM-DD`. */
  readonly lastOn: string;
}

/** What was erased of a learner, by kind; it names nobody. */
export interface ErasureReceipt {
  readonly id: string;
  /** RFC 3339. */
  readonly at: string;
  readonly erased: Readonly<Record<string, number>>;
}

/** What devices are to forget. */
export interface ErasedIds {
  readonly learners: readonly string[];
  readonly drives: readonly string[];
}
