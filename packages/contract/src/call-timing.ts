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
  @Min(20, { message: 'A direction comes 20 m before its junction at least.' })
  @Max(2000, { message: 'A direction comes 2,000 m before its junction at most.' })
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
      defaultMessage: () => 'Each step begins at a higher speed than the one before.',
    },
  });

class TimingInput {
  @IsArray()
  @ArrayMinSize(1, { message: 'There is one step at least.' })
  @ArrayMaxSize(8, { message: 'There are 8 steps at most.' })
  @ValidateNested({ each: true })
  @Type(() => StepInput)
  @GoesUp()
  steps!: readonly StepInput[];

  /** Said again so many seconds before the junction; missing, it is said once. */
  @MayBeMissing()
  @IsNumber()
  @Min(1, { message: 'It is said again 1 s before the junction at least.' })
  @Max(30, { message: 'It is said again 30 s before the junction at most.' })
  againSeconds?: number;

  @IsNumber()
  @Min(2, { message: 'Leave 2 s between two directions at least.' })
  @Max(30, { message: 'Leave 30 s between two directions at most.' })
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
