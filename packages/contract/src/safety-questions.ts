import { t } from '@jasperwren/words/fields';
import 'reflect-metadata';
import type { OwnQuestion } from '@jasperwren/core/safety-questions/bank/bank';
import {
  questionKinds,
  type SafetyQuestion,
  type KeyPoint,
  type QuestionKind,
} from '@jasperwren/core/safety-questions/question';
import { controlCodes, type ControlCode, type VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { MayBeMissing } from './optional';
import { IsShortCode, IsWords } from './texts';

class KeyPointInput implements KeyPoint {
  @IsShortCode() code!: string;
  @IsWords(400, t('enterKeyPoint')) text!: string;
  @IsBoolean() critical!: boolean;
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @MaxLength(400, { each: true }) says!: readonly string[];
}

/** A question as a school writes or edits it. */
export class QuestionInput implements Omit<SafetyQuestion, 'id' | 'version'> {
  @IsIn(questionKinds) kind!: QuestionKind;
  @IsWords(80, t('nameTheTopic')) topic!: string;
  @IsWords(400, t('enterTheQuestion')) ask!: string;

  @IsArray()
  @ArrayMinSize(1, { message: t('noKeyPoint') })
  @ArrayMaxSize(12, { message: t('tooManyKeyPoints') })
  @ValidateNested({ each: true })
  @Type(() => KeyPointInput)
  points!: readonly KeyPointInput[];

  @MayBeMissing() @IsArray() @IsIn(controlCodes, { each: true }) controls?: readonly ControlCode[];
  @MayBeMissing() @IsArray() @IsString({ each: true }) steps?: readonly string[];
  @MayBeMissing() @IsShortCode() sign?: string;
  @MayBeMissing() @IsShortCode() handSignal?: string;
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
  /** Mean chance of recall on the day of the test, or today, 0 to 1; missing where their standard asks no questions. */
  readonly recall?: number;
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
