import { t } from '@jasperwren/words/fields';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { IsInt, Max, Min } from 'class-validator';

export const longestShareDays = 90;

/** A link by which a learner may read a debrief. */
export class ShareInput {
  @IsInt({ message: t('enterWholeDays') })
  @Min(1, { message: t('linkTooShort') })
  @Max(longestShareDays, { message: t('linkTooLong', { longestShareDays }) })
  days!: number;
}

export interface ShareView {
  readonly id: string;
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt?: string;
}

/** A link at the only moment its address is known: the server keeps no more than a digest of it. */
export interface NewShare extends ShareView {
  readonly path: string;
}

/** What the link shows: a drive without accounts, devices, private notes and struck marks. */
export interface SharedDebrief {
  readonly school: string;
  readonly firstName: string;
  readonly startedAt: string;
  readonly expiresAt: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  /** Marks by item in the drives before, oldest first. */
  readonly past: readonly ItemCounts[];
}
