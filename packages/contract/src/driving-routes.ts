import { t } from '@jasperwren/words/fields';
import {
  legModes,
  placeKinds,
  type LegMode,
  type PlaceKind,
  type RouteBody,
  type RoutePlace,
  type RouteStop,
} from '@jasperwren/core/routes/driving-route';
import type { RouteReading } from '@jasperwren/core/routes/read-route';
import type { Side } from '@jasperwren/roads/graph/side';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsLatitude,
  IsLongitude,
  IsNumber,
  IsString,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { MayBeMissing } from './optional';
import { IsShortCode, IsWords } from './texts';
import { BlankIsAbsent } from './transforms';

class StopInput implements RouteStop {
  @IsLatitude({ message: t('stopOffEarth') }) @IsNumber() lat!: number;
  @IsLongitude({ message: t('stopOffEarth') }) @IsNumber() lon!: number;
  @IsIn(legModes) mode!: LegMode;
}

class PlaceInput implements RoutePlace {
  @IsIn(placeKinds) kind!: PlaceKind;
  @IsLatitude({ message: t('placeOffEarth') }) @IsNumber() lat!: number;
  @IsLongitude({ message: t('placeOffEarth') }) @IsNumber() lon!: number;
}

/** A route as it is drawn, on one file of roads. */
export class RouteInput implements RouteBody {
  @IsWords(80, t('nameTheRoute')) name!: string;
  @IsShortCode() roadsId!: string;

  @IsArray()
  @ArrayMinSize(2, { message: t('tooFewStops') })
  @ArrayMaxSize(200, { message: t('tooManyStops') })
  @ValidateNested({ each: true })
  @Type(() => StopInput)
  stops!: readonly StopInput[];

  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => PlaceInput) places!: readonly PlaceInput[];

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(2000, { message: t('notesOver2000') })
  notes?: string;
}

/** A route as it is to be, with the version that was changed: a later one is not written over. */
export class RouteEdit extends RouteInput {
  @IsInt() @Min(0) version!: number;
}

/** A route as a learner rehearses it, by a link or from their own sign-in. */
export interface SharedRehearsal {
  readonly school: string;
  readonly name: string;
  readonly expiresAt: string;
  readonly units: 'miles' | 'metric';
  /** The side traffic keeps to. */
  readonly side: Side;
  readonly reading: RouteReading;
  readonly notes: readonly { readonly lat: number; readonly lon: number; readonly text: string }[];
}

export interface RouteView extends RouteBody {
  readonly id: string;
  readonly roadsId: string;
  /** Counts the changes, see `RouteEdit`. */
  readonly version: number;
  readonly changedAt: string;
}
