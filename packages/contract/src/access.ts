import { t } from '@jasperwren/words/fields';
import { IsIn, IsString, Matches } from 'class-validator';
import { Trimmed } from './transforms';

export const accessKinds = ['code', 'invitation'] as const;

export type AccessKind = (typeof accessKinds)[number];

/** How a learner is let in: a code read out now, or an invitation sent. */
export class AccessRequest {
  @IsIn(accessKinds) kind!: AccessKind;
}

/** A code at the only moment it is known: the server keeps no more than a digest of it. */
export interface AccessCode {
  readonly code: string;
  readonly expiresAt: string;
  /** Address to open, with the code in it. */
  readonly path: string;
}

export class CodeSignIn {
  @Trimmed()
  @IsString()
  @Matches(/^[A-Za-z0-9 -]{6,40}$/, { message: t('codeOfLetters') })
  code!: string;
}
