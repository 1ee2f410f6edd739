import { t } from '@jasperwren/words/fields';
import 'reflect-metadata';
import type { StandardRef } from '@jasperwren/core/drive/event';
import type { SheetEntry } from '@jasperwren/core/marking/sheet';
import type { ResultDetail } from '@jasperwren/core/marking/result-detail';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsISO8601,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

class SheetEntryInput implements SheetEntry {
  @IsString() @MinLength(1) @MaxLength(200) item!: string;
  @IsString() @MinLength(1) @MaxLength(200) grade!: string;
  @IsInt({ message: t('countNotWhole') })
  @Min(1)
  @Max(99, { message: t('countTooLarge') })
  count!: number;
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @MaxLength(200, { each: true })
  also?: readonly string[];
}

/** The sheet of a real test, typed in. */
export class SheetInput {
  @IsString() @MinLength(1) @MaxLength(60) standardId!: string;
  @IsInt() @Min(1) standardVersion!: number;

  @Trimmed()
  @IsISO8601({ strict: true, strictSeparator: true }, { message: t('noSuchDateOfTest') })
  @Matches(/^\d{4}-\d\d-\d\d$/, { message: t('noSuchDateOfTest') })
  date!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(120, { message: t('testCentreTooLong') })
  centre?: string;

  @IsIn(['pass', 'fail'], { message: t('chooseResult') })
  official!: 'pass' | 'fail';

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(2000, { message: t('notesOver2000') })
  notes?: string;

  @IsArray()
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @Type(() => SheetEntryInput)
  entries!: readonly SheetEntryInput[];
}

/** A sheet as it is to be, with the version that was changed: a later one is not written over. */
export class SheetEdit extends SheetInput {
  @IsInt() @Min(0) version!: number;
}

/** A real test as its sheet tells it; judged anew under the standard, the official result untouched. */
export interface SheetView {
  readonly id: string;
  /** Counts the changes, see `SheetEdit`. */
  readonly version: number;
  readonly learnerId: string;
  readonly standard: StandardRef & { readonly name: string };
  /** A date of the calendar, `YYYY-MM-DD`. */
  readonly date: string;
  readonly centre?: string;
  readonly official: 'pass' | 'fail';
  readonly notes?: string;
  readonly entries: readonly SheetEntry[];
  /** What the counts lead to under the standard. */
  readonly outcome: Outcome;
  /** What that rests on. */
  readonly detail: ResultDetail;
  readonly agrees: boolean;
  /** The chance of a pass as it was estimated before the test, 0 to 1; missing where nothing had been driven. */
  readonly before?: { readonly mean: number; readonly from: number; readonly to: number };
}
