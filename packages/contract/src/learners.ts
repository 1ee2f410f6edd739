import type { Outcome } from '@jasperwren/core/marking/verdict';
import { IsEmail, IsIn, IsInt, IsISO8601, IsString, Matches, MaxLength, Min, MinLength } from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

export const transmissions = ['manual', 'automatic'] as const;
export type Transmission = (typeof transmissions)[number];

export class LearnerInput {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: 'Enter the learner’s name.' })
  @MaxLength(80, { message: 'A name has 80 characters at most.' })
  name!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsEmail({}, { message: 'This is not an e-mail address. Leave it empty if there is none.' })
  email?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @Matches(/^[+()\d][\d ()/.-]{4,29}$/, { message: 'A phone number has digits, spaces and + only.' })
  phone?: string;

  @IsIn(transmissions, { message: 'The gearbox is manual or automatic.' })
  transmission!: Transmission;

  @IsString()
  @MinLength(1, { message: 'Choose the marking standard of the test.' })
  @MaxLength(200)
  standardId!: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsISO8601({ strict: true, strictSeparator: true }, { message: 'The test date is not a date of the calendar.' })
  @Matches(/^\d{4}-\d\d-\d\d$/, { message: 'The test date is not a date of the calendar.' })
  testDate?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(120, { message: 'A test centre has 120 characters at most.' })
  testCentre?: string;

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(4000, { message: 'Notes have 4,000 characters at most.' })
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
