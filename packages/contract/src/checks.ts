import 'reflect-metadata';
import type { OwnQuestion } from '@jasperwren/core/checks/bank/bank';
import { drillModes } from '@jasperwren/core/checks/drill';
import { ratings, type Rating, type Review } from '@jasperwren/core/checks/memory';
import { questionKinds, type CheckQuestion, type KeyPoint, type QuestionKind } from '@jasperwren/core/checks/question';
import {
  controlCodes,
  controlKinds,
  controlPlaces,
  type Control,
  type ControlCode,
  type ControlKind,
  type ControlPlace,
  type VehicleProfile,
} from '@jasperwren/core/checks/vehicle';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsRFC3339,
  IsString,
  Matches,
  MaxLength,
  MinLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

/** A moment that computers can reckon with: a second 60, which RFC 3339 knows, is none. */
const IsMoment = (): PropertyDecorator =>
  ValidateBy({
    name: 'isMoment',
    validator: {
      validate: (value: unknown) => typeof value === 'string' && !Number.isNaN(Date.parse(value)),
      defaultMessage: () => 'This is no moment of the calendar.',
    },
  });

/** A code that the product or a school made. */
const IsShortCode = (): PropertyDecorator => (target, property) => {
  for (const rule of [IsString(), MinLength(1), MaxLength(80)]) rule(target, property);
};

/** Words that must be there. */
const IsWords =
  (most: number, missing: string): PropertyDecorator =>
  (target, property) => {
    for (const rule of [
      Trimmed(),
      IsString(),
      MinLength(1, { message: missing }),
      MaxLength(most, { message: `At most ${most} characters.` }),
    ])
      rule(target, property);
  };

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

class KeyPointInput implements KeyPoint {
  @IsShortCode() code!: string;
  @IsWords(400, 'Write the key point.') text!: string;
  @IsBoolean() critical!: boolean;
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @MaxLength(400, { each: true }) says!: readonly string[];
}

/** A question as a school writes or edits it. */
export class QuestionInput implements Omit<CheckQuestion, 'id' | 'version'> {
  @IsIn(questionKinds) kind!: QuestionKind;
  @IsWords(80, 'Name the topic.') topic!: string;
  @IsWords(400, 'Write the question.') ask!: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'Give at least one key point.' })
  @ArrayMaxSize(12, { message: 'At most 12 key points.' })
  @ValidateNested({ each: true })
  @Type(() => KeyPointInput)
  points!: readonly KeyPointInput[];

  @MayBeMissing() @IsArray() @IsIn(controlCodes, { each: true }) controls?: readonly ControlCode[];
  @MayBeMissing() @IsArray() @IsString({ each: true }) steps?: readonly string[];
  @MayBeMissing() @IsShortCode() sign?: string;
  @MayBeMissing() @IsShortCode() handSignal?: string;
}

class ControlInput implements Control {
  @IsIn(controlKinds) kind!: ControlKind;
  @IsIn(controlPlaces) place!: ControlPlace;
  @IsWords(160, 'Say how it works.') how!: string;
  @BlankIsAbsent() @MayBeMissing() @IsString() @MaxLength(160) back?: string;
}

class ControlsInput implements Readonly<Record<ControlCode, Control>> {
  @ValidateNested() @Type(() => ControlInput) headlights!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'main-beam'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-fog'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) indicators!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) hazard!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'front-wash'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-wash'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'front-demist'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-demist'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) horn!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) window!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) bonnet!: ControlInput;
}

/** Every control must be there. */
const HasAllControls = (): PropertyDecorator =>
  ValidateBy({
    name: 'hasAllControls',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        controlCodes.every((code) => (value as Partial<ControlsInput>)[code]),
      defaultMessage: () => 'Every control needs its place and how it works.',
    },
  });

/** A car of the school. */
export class VehicleInput implements Omit<VehicleProfile, 'id' | 'version'> {
  @IsWords(80, 'Name the car.') name!: string;
  @IsIn(['left', 'right']) wheelSide!: 'left' | 'right';
  @IsIn(['manual', 'automatic']) transmission!: 'manual' | 'automatic';
  @HasAllControls() @ValidateNested() @Type(() => ControlsInput) controls!: ControlsInput;
}

/** Which car a learner drives; none where it is left out. */
export class VehicleChoice {
  @BlankIsAbsent() @MayBeMissing() @IsShortCode() vehicleId?: string;
}

export const accessKinds = ['code', 'invitation'] as const;
export type AccessKind = (typeof accessKinds)[number];

/** How a learner is let in: a code read out now, or an invitation sent. */
export class AccessRequest {
  @IsIn(accessKinds) kind!: AccessKind;
}

/** A code at the only moment it is known: the server keeps no more than a digest of it. */
export interface AccessCode {
  readonly code: string;
  readonly expiresAt: string;
  /** Address to open, with the code in it. */
  readonly path: string;
}

export class CodeSignIn {
  @Trimmed()
  @IsString()
  @Matches(/^[A-Za-z0-9 -]{6,40}$/, { message: 'A code has letters and digits only, such as K7QM-2XRD.' })
  code!: string;
}

/** What a school has changed of the questions and cars that ship. */
export interface ChecksView {
  readonly questions: readonly OwnQuestion[];
  readonly vehicles: readonly VehicleProfile[];
}

/** A version of a question or a car that was kept, the newest first. */
export interface KeptVersion<T> {
  readonly value: T;
  readonly retired: boolean;
  readonly by: string;
  readonly at: string;
}

/** How the drill of a learner stands. */
export interface BoardRow {
  readonly learnerId: string;
  readonly name: string;
  readonly testDate?: string;
  readonly due: number;
  readonly unseen: number;
  readonly questions: number;
  /** Mean chance of recall on the day of the test, or today, 0 to 1. */
  readonly recall: number;
  /** Chance that every question of the test is right on that day, 0 to 1, where the standard asks one or two. */
  readonly allRight?: number;
  /** RFC 3339. */
  readonly lastAt?: string;
}

export interface ForgottenQuestion {
  readonly question: string;
  readonly topic: string;
  readonly asked: number;
  readonly forgotten: number;
}

export interface BoardView {
  readonly learners: readonly BoardRow[];
  /** What the school forgets most, the worst first. */
  readonly forgotten: readonly ForgottenQuestion[];
}

/** What a learner sees of themselves. */
export interface MeView extends ChecksView {
  /** Changes with every learner; names no account of the school. */
  readonly learnerId: string;
  readonly firstName: string;
  readonly school: string;
  readonly testDate?: string;
  readonly standard: EffectiveStandard;
  readonly vehicleId?: string;
  /** What was agreed to work on at the last debrief, in words. */
  readonly workOn: readonly string[];
  readonly csrfToken: string;
}

/** A debrief that was shared with a learner and can still be read. */
export interface MyDebrief {
  readonly id: string;
  readonly startedAt: string;
  readonly expiresAt: string;
  readonly outcome: string;
}
