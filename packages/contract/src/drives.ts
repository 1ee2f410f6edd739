import type { ExerciseResult } from '@jasperwren/core/yard/exercise-history';
import { eventProblems } from '@jasperwren/core/formats/drive-record';
import type { DriveEvent, StandardRef } from '@jasperwren/core/drive/event';
import type { DrivePhase } from '@jasperwren/core/drive/drive';
import type { AreaCount } from '@jasperwren/core/marking/areas';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { ResultDetail } from '@jasperwren/core/marking/result-detail';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, Min } from 'class-validator';
import { mostEventsInABatch } from './batch';
import type { FieldProblem } from './parse-input';
import { MayBeMissing } from './optional';

/** Events of one drive, in the order of the device, as the drive record has them. The first batch holds the start. */
export class EventBatch {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(mostEventsInABatch) events!: readonly DriveEvent[];

  /** The drive's clock as the batch leaves the device, in milliseconds: by it other devices set theirs. */
  @MayBeMissing() @IsInt() @Min(0) clockMs?: number;

  static problemsIn({ events }: EventBatch): readonly FieldProblem[] {
    return eventProblems(events).map(({ path, cause }) => ({
      field: `events${path.replaceAll('/', '.')}`,
      message: cause,
    }));
  }
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
  /** What the outcome rests on. */
  readonly detail: ResultDetail;
  readonly unsettledPins: number;
  readonly unsettledDoubles: number;
  readonly debriefed: boolean;
  readonly prompts: number;
  readonly interventions: number;
  /** Standing marks by grade code. */
  readonly byGrade: Readonly<Record<string, number>>;
  readonly byArea: readonly AreaCount[];
  readonly byItem: ItemCounts;
  /** Questions that were asked on it, by their ids; missing where none was named. */
  readonly asked?: readonly string[];
  /** What became of the exercises of its course; missing where its standard has none or it has not ended. */
  readonly exercises?: readonly ExerciseResult[];
  /** The planned route it was driven on. */
  readonly route?: { readonly id: string; readonly name: string };
  /** What it says about how ready the learner is; missing where its standard cannot judge it. */
  readonly evidence?: Evidence;
}

export interface DriveView {
  readonly summary: DriveSummary;
  readonly standard: EffectiveStandard;
  readonly events: readonly DriveEvent[];
  /** The drive's clock now, in milliseconds, reckoned from what its devices last said; missing once it has ended. */
  readonly clockMs?: number;
}

/** What a device may not know yet of a drive. */
export type DriveNews = Pick<DriveView, 'events' | 'clockMs'>;
