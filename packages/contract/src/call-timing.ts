import { t } from '@jasperwren/words/fields';
import type { CallTiming } from '@jasperwren/roads/directions/calls';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsNumber,
  Max,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { MayBeMissing } from './optional';

class StepInput {
  /** From this speed on, km/h. */
  @IsNumber() @Min(0) @Max(200) kmh!: number;
  @IsNumber()
  @Min(20, { message: t('directionTooNear') })
  @Max(2000, { message: t('directionTooFar') })
  metres!: number;
}

/** Steps that go up with speed. */
const GoesUp = (): PropertyDecorator =>
  ValidateBy({
    name: 'goesUp',
    validator: {
      validate: (steps: unknown) =>
        Array.isArray(steps) &&
        (steps as StepInput[]).every(({ kmh }, i) => i === 0 || kmh > (steps as StepInput[])[i - 1]!.kmh),
      defaultMessage: () => t('stepsRise'),
    },
  });

class TimingInput {
  @IsArray()
  @ArrayMinSize(1, { message: t('noSteps') })
  @ArrayMaxSize(8, { message: t('tooManySteps') })
  @ValidateNested({ each: true })
  @Type(() => StepInput)
  @GoesUp()
  steps!: readonly StepInput[];

  /** Said again so many seconds before the junction; missing, it is said once. */
  @MayBeMissing()
  @IsNumber()
  @Min(1, { message: t('saidAgainTooLate') })
  @Max(30, { message: t('saidAgainTooEarly') })
  againSeconds?: number;

  @IsNumber()
  @Min(2, { message: t('directionsTooClose') })
  @Max(30, { message: t('directionsTooFarApart') })
  leastSeconds!: number;
}

/** When a school speaks its directions, and when a sat nav does. */
export class CallTimingInput {
  @ValidateNested() @Type(() => TimingInput) instructor!: TimingInput;
  @ValidateNested() @Type(() => TimingInput) device!: TimingInput;
  @IsInt() @Min(0) version!: number;
}

export interface CallTimingView {
  readonly instructor: CallTiming;
  readonly device: CallTiming;
  /** Counts the changes: 0 where the usual timing stands. */
  readonly version: number;
}
