import { t } from '@jasperwren/words/fields';
import 'reflect-metadata';
import type { Booking } from '@jasperwren/core/readiness/booking';
import type { FreeHours, PlannedLesson } from '@jasperwren/core/readiness/plan';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
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
  ValidateBy,
  ValidateNested,
  type ValidationArguments,
} from 'class-validator';
import { MayBeMissing } from './optional';

const time = /^([01]\d|2[0-3]):[0-5]\d$/;
const needsDayAndTime = { message: t('lessonWithoutTime') };

/** An end of hours that lies after their beginning; whether both are times is said elsewhere. */
const EndsLater = (): PropertyDecorator =>
  ValidateBy({
    name: 'endsLater',
    validator: {
      validate: (to: unknown, args?: ValidationArguments) => {
        const { from } = args?.object as FreeHours;
        return typeof to !== 'string' || !time.test(to) || !time.test(from) || to > from;
      },
      defaultMessage: () => t('hoursEndFirst'),
    },
  });

class FreeHoursInput implements FreeHours {
  @IsInt() @Min(0) @Max(6) weekday!: number;
  @Matches(time, { message: t('enterATimeOfMorning') }) from!: string;
  @Matches(time, { message: t('enterATimeOfEvening') })
  @EndsLater()
  to!: string;
}

/** When an instructor gives lessons, week by week. */
export class FreeHoursList {
  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => FreeHoursInput)
  hours!: readonly FreeHoursInput[];

  /** The version that was changed: a later one is not written over. */
  @IsInt() @Min(0) version!: number;
}

/** The free hours of whoever is signed in. */
export interface FreeHoursView {
  readonly hours: readonly FreeHours[];
  readonly version: number;
}

class GoalInput implements LessonGoal {
  @IsIn(['area', 'exercise', 'questions', 'mock']) kind!: LessonGoal['kind'];
  @IsString() @MaxLength(80) code!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(200) seek!: string;
}

class LessonInput implements PlannedLesson {
  /** Missing for a lesson that is new. */
  @MayBeMissing() @IsString() @MaxLength(80) id?: string;
  @IsISO8601({ strict: true }, needsDayAndTime)
  @Matches(/^\d{4}-\d\d-\d\dT([01]\d|2[0-3]):[0-5]\d$/, needsDayAndTime)
  start!: string;
  @IsInt() @Min(15, { message: t('lessonTooShort') }) @Max(480) minutes!: number;
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => GoalInput) goals!: readonly GoalInput[];
}

/** The lessons of a learner as they are to be: those that are left out are cancelled. */
export class LessonPlan {
  @IsArray()
  @ArrayMaxSize(120)
  @ValidateNested({ each: true })
  @Type(() => LessonInput)
  lessons!: readonly LessonInput[];

  /** The version of the plan that was changed: lessons booked meanwhile are not cancelled by an older one. */
  @IsInt() @Min(0) version!: number;
}

export interface LessonView extends PlannedLesson {
  readonly id: string;
  readonly instructorName: string;
}

/** A lesson to come of whoever is signed in. */
export interface UpcomingLesson extends PlannedLesson {
  readonly id: string;
  readonly learnerId: string;
  readonly learnerName: string;
  /** The car the learner drives, where one was chosen. */
  readonly vehicleId?: string;
}

/** What a plan is made from besides the estimate. */
export interface LessonsView {
  readonly lessons: readonly LessonView[];
  /** Counts the changes, see `LessonPlan`. */
  readonly version: number;
  readonly freeHours: FreeHoursView;
  /** This instructor's lessons with other learners. */
  readonly taken: readonly Booking[];
}
