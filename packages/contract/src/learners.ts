import { t } from '@jasperwren/words/fields';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import { IsEmail, IsIn, IsInt, IsISO8601, IsString, Matches, MaxLength, Min, MinLength } from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

export const transmissions = ['manual', 'automatic'] as const;
export type Transmission = (typeof transmissions)[number];

export class LearnerInput {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: t('enterLearnerName') })
  @MaxLength(80, { message: t('nameTooLong') })
  name!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsEmail({}, { message: t('noEmailAddress') })
  email?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @Matches(/^[+()\d][\d ()/.-]{4,29}$/, { message: t('phoneOfDigits') })
  phone?: string;

  @IsIn(transmissions, { message: t('manualOrAutomatic') })
  transmission!: Transmission;

  @IsString()
  @MinLength(1, { message: t('chooseStandard') })
  @MaxLength(200)
  standardId!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsISO8601({ strict: true, strictSeparator: true }, { message: t('noSuchTestDate') })
  @Matches(/^\d{4}-\d\d-\d\d$/, { message: t('noSuchTestDate') })
  testDate?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(120, { message: t('testCentreTooLong') })
  testCentre?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(4000, { message: t('notesOver4000') })
  notes?: string;

  /** The account that teaches the learner; whoever enters the learner, where it is left out. */
  @BlankIsAbsent() @MayBeMissing() @IsString() @MaxLength(80) instructorId?: string;
}

/** A learner as they are to be, with the version that was changed: a later one is not written over. */
export class LearnerEdit extends LearnerInput {
  @IsInt() @Min(0) version!: number;
}

/** The latest drive of a learner, in short. */
export interface LastDrive {
  readonly id: string;
  /** RFC 3339. */
  readonly startedAt: string;
  readonly outcome: Outcome;
}

export interface LearnerView {
  readonly id: string;
  readonly name: string;
  readonly email?: string;
  readonly phone?: string;
  readonly transmission: Transmission;
  readonly standardId: string;
  /** A date of the calendar, `YYYY-MM-DD`. */
  readonly testDate?: string;
  readonly testCentre?: string;
  readonly notes?: string;
  /** The car the learner drives, by its profile. */
  readonly vehicleId?: string;
  readonly archivedAt?: string;
  /** Who teaches them; missing where nobody does. */
  readonly instructorId?: string;
  readonly instructorName?: string;
  /** Counts the changes, see `LearnerEdit`. */
  readonly version: number;
  /** Drives on record. */
  readonly drives: number;
  readonly lastDrive?: LastDrive;
}
