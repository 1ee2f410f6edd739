import {
  checkResults,
  endingCauses,
  endings,
  familiarities,
  sectionKinds,
  stepKinds,
  type CheckResult,
  type DriveEvent,
  type Ending,
  type EndingCause,
  type Familiarity,
  type SectionKind,
  type StandardRef,
  type StepKind,
} from '@jasperwren/core/drive/event';
import type { DrivePhase } from '@jasperwren/core/drive/drive';
import type { AreaCount } from '@jasperwren/core/marking/areas';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import type { Standard } from '@jasperwren/core/marking/standard';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsRFC3339,
  IsString,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { mostEventsInABatch } from './batch';
import { MayBeMissing } from './optional';

/** A text that must be there: a code or an id. */
const IsCode = (): PropertyDecorator => (target, property) => {
  for (const rule of [IsString(), MinLength(1), MaxLength(200)]) rule(target, property);
};

/** A text a person wrote, which may be missing. */
const IsFreeText = (): PropertyDecorator => (target, property) => {
  for (const rule of [MayBeMissing(), IsString(), MaxLength(2000)]) rule(target, property);
};

/** A code for each of a few codes. */
const IsAnswers = (): PropertyDecorator =>
  ValidateBy({
    name: 'isAnswers',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.keys(value).length <= 20 &&
        Object.values(value).every((answer) => typeof answer === 'string' && answer.length > 0 && answer.length <= 200),
      defaultMessage: () => 'Answers are a code for each question.',
    },
  });

class Stamp {
  @IsCode() id!: string;
  @IsCode() device!: string;
  @IsInt() @Min(0) seq!: number;
  @IsInt() @Min(0) atMs!: number;
  @IsRFC3339() wall!: string;
  @IsCode() by!: string;
}

class StandardRefInput implements StandardRef {
  @IsCode() id!: string;
  @IsInt() @Min(1) version!: number;
}

class StartedInput extends Stamp {
  @Equals('started') type!: 'started';
  @IsCode() learnerId!: string;
  @ValidateNested() @Type(() => StandardRefInput) standard!: StandardRefInput;
  @MayBeMissing() @IsBoolean() briefing?: boolean;
}

class CheckInput extends Stamp {
  @Equals('check') type!: 'check';
  @IsCode() check!: string;
  @IsIn(checkResults) result!: CheckResult;
  @IsFreeText() reason?: string;
  @IsFreeText() detail?: string;
}

class MovedOffInput extends Stamp {
  @Equals('moved-off') type!: 'moved-off';
}

class AnswerInput extends Stamp {
  @Equals('answer') type!: 'answer';
  @IsCode() item!: string;
  @IsBoolean() right!: boolean;
  @MayBeMissing() @IsCode() question?: string;
}

class MarkInput extends Stamp {
  @Equals('mark') type!: 'mark';
  @IsCode() item!: string;
  @IsCode() grade!: string;
  @MayBeMissing() @IsCode() pin?: string;
  @IsFreeText() note?: string;
  @MayBeMissing() @IsNumber({ allowInfinity: false, allowNaN: false }) measured?: number;
}

class PinInput extends Stamp {
  @Equals('pin') type!: 'pin';
}

class StrikeInput extends Stamp {
  @Equals('strike') type!: 'strike';
  @IsCode() target!: string;
  @IsString() @MaxLength(2000) reason!: string;
  @MayBeMissing() @IsBoolean() undo?: boolean;
}

class RegradeInput extends Stamp {
  @Equals('regrade') type!: 'regrade';
  @IsCode() target!: string;
  @IsCode() grade!: string;
  @IsFreeText() reason?: string;
  @MayBeMissing() @IsNumber({ allowInfinity: false, allowNaN: false }) measured?: number;
}

class AdviceInput extends Stamp {
  @Equals('advice') type!: 'advice';
  @IsCode() target!: string;
  @IsAnswers() answers!: Record<string, string>;
  @IsCode() proposed!: string;
}

class StepInput extends Stamp {
  @Equals('step') type!: 'step';
  @IsIn(stepKinds) step!: StepKind;
}

class PromptInput extends Stamp {
  @Equals('prompt') type!: 'prompt';
}

class InterventionInput extends Stamp {
  @Equals('intervention') type!: 'intervention';
}

class SectionInput extends Stamp {
  @Equals('section') type!: 'section';
  @IsIn(sectionKinds) section!: SectionKind;
  @MayBeMissing() @IsCode() exercise?: string;
  @MayBeMissing() @IsBoolean() retest?: boolean;
}

class PauseInput extends Stamp {
  @Equals('pause') type!: 'pause';
  @IsIn(['paused', 'resumed']) state!: 'paused' | 'resumed';
  @IsFreeText() reason?: string;
}

class EndedInput extends Stamp {
  @Equals('ended') type!: 'ended';
  @IsIn(endings) ending!: Ending;
  @MayBeMissing() @IsIn(endingCauses) cause?: EndingCause;
  @IsFreeText() reason?: string;
}

class NoteInput extends Stamp {
  @Equals('note') type!: 'note';
  @IsString() @MinLength(1) @MaxLength(2000) text!: string;
  @MayBeMissing() @IsCode() target?: string;
  @MayBeMissing() @IsBoolean() private?: boolean;
}

class DistinctInput extends Stamp {
  @Equals('distinct') type!: 'distinct';
  @IsCode() target!: string;
  @IsCode() other!: string;
}

class RoadsInput extends Stamp {
  @Equals('roads') type!: 'roads';
  @IsIn(familiarities) familiarity!: Familiarity;
}

class DebriefedInput extends Stamp {
  @Equals('debriefed') type!: 'debriefed';
  @IsArray()
  @ArrayMaxSize(10)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(200, { each: true })
  workOn!: string[];
}

const subTypes: readonly { readonly name: DriveEvent['type']; readonly value: new () => object }[] = [
  { name: 'started', value: StartedInput },
  { name: 'check', value: CheckInput },
  { name: 'moved-off', value: MovedOffInput },
  { name: 'answer', value: AnswerInput },
  { name: 'mark', value: MarkInput },
  { name: 'pin', value: PinInput },
  { name: 'strike', value: StrikeInput },
  { name: 'regrade', value: RegradeInput },
  { name: 'advice', value: AdviceInput },
  { name: 'step', value: StepInput },
  { name: 'prompt', value: PromptInput },
  { name: 'intervention', value: InterventionInput },
  { name: 'section', value: SectionInput },
  { name: 'pause', value: PauseInput },
  { name: 'ended', value: EndedInput },
  { name: 'note', value: NoteInput },
  { name: 'distinct', value: DistinctInput },
  { name: 'debriefed', value: DebriefedInput },
  { name: 'roads', value: RoadsInput },
];
const eventTypes = subTypes.map(({ name }) => name);

/** Stands for an event of a type nobody knows, which never passes. */
class UnknownInput {
  @IsIn(eventTypes)
  type!: never;
}

/** Events of one drive, in the order of the device. The first batch holds the start. */
export class EventBatch {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(mostEventsInABatch)
  @ValidateNested({ each: true })
  @Type(() => UnknownInput, {
    keepDiscriminatorProperty: true,
    discriminator: { property: 'type', subTypes: [...subTypes] },
  })
  events!: DriveEvent[];

  /** The drive's clock as the batch leaves the device, in milliseconds: by it other devices set theirs. */
  @MayBeMissing() @IsInt() @Min(0) clockMs?: number;
}

/** The ids that are on disk now, those that were before included. */
export interface EventReceipt {
  readonly accepted: readonly string[];
}

/** A drive in a list; everything judged follows from its log and the version of its standard. */
export interface DriveSummary {
  readonly id: string;
  readonly learnerId: string;
  readonly learnerName: string;
  readonly instructorName: string;
  readonly standard: StandardRef & { readonly name: string };
  readonly startedAt: string;
  readonly phase: DrivePhase;
  readonly drivenMs: number;
  readonly outcome: Outcome;
  /** What the outcome rests on, such as "one serious fault". */
  readonly detail: string;
  readonly unsettledPins: number;
  readonly unsettledDoubles: number;
  readonly debriefed: boolean;
  readonly prompts: number;
  readonly interventions: number;
  /** Standing marks by grade code. */
  readonly byGrade: Readonly<Record<string, number>>;
  readonly byArea: readonly AreaCount[];
  readonly byItem: ItemCounts;
  /** What it says about how ready the learner is. */
  readonly evidence: Evidence;
}

export interface DriveView {
  readonly summary: DriveSummary;
  readonly standard: Standard;
  readonly events: readonly DriveEvent[];
  /** The drive's clock now, in milliseconds, reckoned from what its devices last said; missing once it has ended. */
  readonly clockMs?: number;
}

/** What a device may not know yet of a drive. */
export type DriveNews = Pick<DriveView, 'events' | 'clockMs'>;
