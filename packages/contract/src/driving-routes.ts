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
  @IsLatitude({ message: 'A stop is not on Earth.' }) @IsNumber() lat!: number;
  @IsLongitude({ message: 'A stop is not on Earth.' }) @IsNumber() lon!: number;
  @IsIn(legModes) mode!: LegMode;
}

class PlaceInput implements RoutePlace {
  @IsIn(placeKinds) kind!: PlaceKind;
  @IsLatitude({ message: 'A place is not on Earth.' }) @IsNumber() lat!: number;
  @IsLongitude({ message: 'A place is not on Earth.' }) @IsNumber() lon!: number;
}

/** A route as it is drawn, on one file of roads. */
export class RouteInput implements RouteBody {
  @IsWords(80, 'Name the route.') name!: string;
  @IsShortCode() roadsId!: string;

  @IsArray()
  @ArrayMinSize(2, { message: 'A route has two stops at least.' })
  @ArrayMaxSize(200, { message: 'A route has 200 stops at most.' })
  @ValidateNested({ each: true })
  @Type(() => StopInput)
  stops!: readonly StopInput[];

  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => PlaceInput) places!: readonly PlaceInput[];

  @BlankIsAbsent()
  @MayBeMissing()
  @IsString()
  @MaxLength(2000, { message: 'Notes have 2,000 characters at most.' })
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
