import { t } from '@jasperwren/words/fields';
import type { Standard } from '@jasperwren/core/marking/standard';
import type { StandardProblem } from '@jasperwren/core/marking/lint/lint';
import { IsInt, IsObject, IsString, Matches, MaxLength, Min, MinLength } from 'class-validator';
import { MayBeMissing } from './optional';
import { Trimmed } from './transforms';

/** A marking standard in the library of a school. */
export interface StandardSummary {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  /** The latest published version; missing where there is only a draft. */
  readonly version?: number;
  /** Shipped with the product, not to be edited. */
  readonly template: boolean;
  /** RFC 3339. */
  readonly retiredAt?: string;
  readonly draftSavedAt?: string;
  /** Drives marked under any of its versions. */
  readonly drives: number;
}

export interface StandardVersion {
  readonly version: number;
  readonly name: string;
  /** RFC 3339. */
  readonly publishedAt: string;
}

/** One published version, with what else is known of its standard. */
export interface StandardView {
  readonly standard: Standard;
  readonly template: boolean;
  readonly retiredAt?: string;
  /** Oldest first. */
  readonly versions: readonly StandardVersion[];
  readonly hasDraft: boolean;
}

export interface DraftView {
  readonly standard: Standard;
  /** RFC 3339; sent back with the next save, so that nobody overwrites what somebody else saved. */
  readonly savedAt: string;
  /** What stands in the way of publishing. */
  readonly problems: readonly StandardProblem[];
}

/** Begins a standard of the school's own from a version of another. */
export class NewStandard {
  /** The standard to copy; missing for one that begins from nothing. */
  @MayBeMissing() @IsString() @MinLength(1) @MaxLength(60) fromId?: string;
  /** The version to copy; the first where it is missing. */
  @MayBeMissing() @IsInt() @Min(1) fromVersion?: number;

  @Trimmed()
  @IsString()
  @MinLength(1, { message: t('nameTheStandard') })
  @MaxLength(80, { message: t('nameTooLong') })
  @Matches(/[a-z0-9]/i, { message: t('nameWithoutLetter') })
  name!: string;
}

export class DraftInput {
  /** Checked against the schema of the open format, not here. */
  @IsObject() standard!: Standard;
  @MayBeMissing() @IsString() @MaxLength(40) savedAt?: string;
}

/** A file somebody wants to bring in; checked against the schema of the open format. */
export class ImportInput {
  @IsString() @MinLength(1, { message: t('fileIsEmpty') }) @MaxLength(900_000) source!: string;
}
