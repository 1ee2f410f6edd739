import { t } from '@jasperwren/words/fields';
import type { ClockOffset } from '@jasperwren/core/traces/clock-offset';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import type { Detour } from '@jasperwren/core/traces/kept-route';
import type { StoredRoads } from '@jasperwren/roads/source';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  Max,
  Min,
  registerDecorator,
  ValidateNested,
} from 'class-validator';
import { mostFixesInAPiece, mostPiecesInABatch } from './batch';
import type { SentFix } from './sent-fix';
import { IsShortCode } from './texts';

/** Where a trace came from: the device in the car, a stand-in that drives by itself, or the file of a logger. */
export const traceSources = ['device', 'simulated', 'file'] as const;
export type TraceSource = (typeof traceSources)[number];

/** No clock of a device says more than this: the year 10000. */
const lastMs = 253_402_300_800_000;

const isFix = (value: unknown): value is SentFix => {
  if (!Array.isArray(value) || value.length !== 5 || !value.every((one) => Number.isFinite(one))) return false;
  const [at, lat, lon, accuracy, speed] = value as unknown as SentFix;
  return (
    Number.isSafeInteger(at) &&
    at >= 0 &&
    at < lastMs &&
    Math.abs(lat) <= 90 &&
    Math.abs(lon) <= 180 &&
    accuracy >= -1 &&
    accuracy < 1e6 &&
    speed >= -1 &&
    speed < 1000
  );
};

/** Checks fixes in one go: class by class, thousands would take long. */
const AreFixes = () => (of: object, propertyName: string) =>
  registerDecorator({
    name: 'areFixes',
    target: of.constructor,
    propertyName,
    options: { message: t('fixOfFiveNumbers') },
    validator: {
      validate: (value: unknown) =>
        Array.isArray(value) && value.length >= 1 && value.length <= mostFixesInAPiece && value.every(isFix),
    },
  });

/** Some fixes of a trace, each piece once. */
export class FixPiece {
  @IsShortCode() id!: string;
  @IsIn(traceSources) source!: TraceSource;
  @AreFixes() fixes!: readonly SentFix[];
}

export class FixBatch {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(mostPiecesInABatch)
  @ValidateNested({ each: true })
  @Type(() => FixPiece)
  pieces!: readonly FixPiece[];
}

/** The farthest a clock is set, in milliseconds, and the most that is cut off an end, in metres. */
const mostOffsetMs = 15 * 60 * 60 * 1000;
const mostTrim = 2000;

/** How a trace is to be read, with the version that was changed. */
export class TraceEdit {
  @IsInt() @Min(-mostOffsetMs) @Max(mostOffsetMs) offsetMs!: number;
  @IsInt() @Min(0) @Max(mostTrim) trimStart!: number;
  @IsInt() @Min(0) @Max(mostTrim) trimEnd!: number;
  @IsInt() @Min(0) version!: number;
}

/** A fault of the drive at its place. */
export interface MarkOnRoad {
  readonly markId: string;
  /** Milliseconds of the drive's clock. */
  readonly atMs: number;
  readonly lat: number;
  readonly lon: number;
  /** The piece of the trace, and metres from its start. */
  readonly piece: number;
  readonly metres: number;
  /** It was made within so many metres of there. */
  readonly within: number;
  /** The place it belongs to, by its id. */
  readonly place?: string;
}

/** Where a drive went, as its learner sees it: with the roads near it. */
export interface TracedRoad extends Pick<TraceView, 'marks' | 'zeroMs'> {
  readonly roads: StoredRoads;
  readonly reading: TraceReading;
}

/** Where the faults of a drive without a trace were, as its instructor placed them along the planned route. */
export interface PlacedRoad {
  readonly roads: StoredRoads;
  /** The planned route. */
  readonly line: readonly (readonly [lat: number, lon: number])[];
  readonly marks: readonly Pick<MarkOnRoad, 'markId' | 'lat' | 'lon'>[];
}

/** Where a drive was, with the roads near it. */
export type SharedRoad = TracedRoad | PlacedRoad;

/** The trace of a drive. */
export interface TraceView {
  readonly source: TraceSource;
  readonly state: 'working' | 'ready' | 'no-roads' | 'empty';
  readonly version: number;
  /** What is added to its times. */
  readonly offsetMs: number;
  /** What the stops of the drive say the offset is. */
  readonly suggested?: ClockOffset;
  readonly trimStart: number;
  readonly trimEnd: number;
  /** The roads it was laid on. */
  readonly roads?: { readonly id: string; readonly name: string };
  /** When the clock of the drive stood at 0, in milliseconds since 1970. */
  readonly zeroMs: number;
  readonly reading?: TraceReading;
  readonly marks: readonly MarkOnRoad[];
  /** Where it left the planned route, in each piece. */
  readonly detours?: readonly (readonly Detour[])[];
  /** How much of it the learner had driven before, from 0 to 1, and in how many traced drives. */
  readonly familiarity?: {
    readonly share: number;
    readonly drives: number;
    /** Whether readiness goes by it: enough of the drives before have a trace. */
    readonly counts: boolean;
    /** Where its roads were known, in metres of each piece. */
    readonly known: readonly (readonly (readonly [from: number, to: number])[])[];
  };
}
