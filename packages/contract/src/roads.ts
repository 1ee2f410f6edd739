import { t } from '@jasperwren/words/fields';
import type { RoadsProblem } from '@jasperwren/roads/problem';
import type { RoadsSummary } from '@jasperwren/roads/graph/summary';
import { IsBoolean, IsISO8601, IsLatitude, IsLongitude, IsNumber, Matches } from 'class-validator';
import { MayBeMissing } from './optional';
import { IsWords } from './texts';

/** A file of roads that a school drives on. */
export interface RoadsView {
  readonly id: string;
  readonly name: string;
  /** Name of the file it came from. */
  readonly file: string;
  /** Counts the files of one name; the highest is the one to draw on. */
  readonly version: number;
  readonly addedAt: string;
  readonly state: 'reading' | 'ready' | 'failed';
  /** Per cent read. */
  readonly progress: number;
  readonly problem?: RoadsProblem;
  readonly summary?: RoadsSummary;
}

/** What is known of a place on the roads: "the device counts the farm gate as an exit". */
export class RoadNoteInput {
  @IsLatitude({ message: t('placeOffEarth') }) @IsNumber() lat!: number;
  @IsLongitude({ message: t('placeOffEarth') }) @IsNumber() lon!: number;
  /** Whether it is about the whole stretch of road here, from junction to junction. */
  @MayBeMissing() @IsBoolean() along?: boolean;

  @IsWords(300, t('writeTheNote')) text!: string;

  @IsISO8601({ strict: true }, { message: t('noSuchReviewDate') })
  @Matches(/^\d{4}-\d\d-\d\d$/, { message: t('noSuchReviewDate') })
  reviewBy!: string;
}

/** A note with who wrote it and when. */
export interface RoadNoteView {
  readonly id: string;
  readonly lat: number;
  readonly lon: number;
  readonly along: boolean;
  readonly text: string;
  /** `YYYY-MM-DD`. */
  readonly reviewBy: string;
  readonly writtenAt: string;
  readonly writtenBy: string;
}
