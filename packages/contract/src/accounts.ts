import { t } from '@jasperwren/words/fields';
import 'reflect-metadata';
import { IsEmail, IsIn, IsString, Matches, MaxLength, MinLength } from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent, Trimmed } from './transforms';

export const roles = ['lead', 'instructor'] as const;
export type Role = (typeof roles)[number];

export class SignInRequest {
  @Trimmed()
  @IsEmail({}, { message: t('enterYourEmail') })
  email!: string;

  @IsString()
  @MinLength(1, { message: t('enterYourPassword') })
  @MaxLength(200, { message: t('passwordTooLong') })
  password!: string;

  /** Of the second factor, or a recovery code; asked for where the account has one. */
  @BlankIsAbsent()
  @MayBeMissing()
  @Matches(/^[A-Za-z0-9 -]{6,40}$/, { message: t('enterSixDigits') })
  code?: string;
}

/** The fewest characters of a password. */
export const passwordLeast = 12;

/** A new password: long enough; whether it is a common one the server says. */
const IsNewPassword = (): PropertyDecorator => (target, property) => {
  for (const rule of [
    IsString(),
    MinLength(passwordLeast, { message: t('passwordTooShort', { passwordLeast }) }),
    MaxLength(200, { message: t('passwordTooLong') }),
  ])
    rule(target, property);
};

/** Somebody who is to work in the school; they choose their password themselves, by a link. */
export class Invitation {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: t('enterAName') })
  @MaxLength(80, { message: t('nameTooLong') })
  name!: string;

  @Trimmed()
  @IsEmail({}, { message: t('enterAnEmail') })
  email!: string;

  @IsIn(roles, { message: t('leadOrInstructor') })
  role!: Role;
}

/** The first account of a school, made at the command line. */
export class AccountInput extends Invitation {
  @IsNewPassword() password!: string;
}

/** What a lead changes of an account. */
export class AccountEdit {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: t('enterAName') })
  @MaxLength(80, { message: t('nameTooLong') })
  name!: string;

  @IsIn(roles, { message: t('leadOrInstructor') })
  role!: Role;
}

/** Who takes over the learners and the lessons to come of somebody who leaves. */
export class HandOver {
  @IsString() @MinLength(1, { message: t('chooseWhoTakesOver') }) @MaxLength(80) toAccountId!: string;
}

/** The password somebody chooses by a link. */
export class NewPassword {
  @IsNewPassword() password!: string;
}

export class PasswordChange {
  @IsString()
  @MinLength(1, { message: t('enterYourCurrentPassword') })
  @MaxLength(200)
  current!: string;

  @IsNewPassword() next!: string;
}

/** Shows that it is really the owner of the account who asks. */
export class PasswordProof {
  @IsString() @MinLength(1, { message: t('enterYourPassword') }) @MaxLength(200) password!: string;
}

/** Six digits that the second factor shows now. */
export class FactorProof {
  @Trimmed() @Matches(/^\d{3} ?\d{3}$/, { message: t('enterDigitsOfApp') }) code!: string;
}

export interface AccountView {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** An account as the people page of the school shows it. */
export interface PersonView extends AccountView {
  /** RFC 3339; missing for an account that can sign in. */
  readonly disabledAt?: string;
  /** Whether a password has been chosen yet. */
  readonly joined: boolean;
  readonly secondFactor: boolean;
  /** RFC 3339, to the hour; missing where nobody is signed in with it. */
  readonly seenAt?: string;
  /** Learners it teaches, archived ones left out. */
  readonly learners: number;
  /** Lessons to come. */
  readonly lessons: number;
}

/** A link by which somebody chooses a password, at the only moment it is known. */
export interface PasswordLink {
  readonly path: string;
  readonly expiresAt: string;
}

/** Whose password a link is for. */
export interface PasswordLinkView {
  readonly name: string;
  readonly email: string;
  readonly school: string;
}

/** What was handed over. */
export interface HandedOver {
  readonly learners: number;
  readonly lessons: number;
}

/** One sign-in of the account. */
export interface SignInView {
  readonly id: string;
  /** Such as "Firefox on Linux". */
  readonly device: string;
  readonly address: string;
  readonly createdAt: string;
  /** To the hour. */
  readonly seenAt: string;
  /** Whether it is the one that asks. */
  readonly current: boolean;
}

/** What an authenticator app needs, shown once. */
export interface FactorSecret {
  readonly secret: string;
  /** The same as an `otpauth` address and as a picture of it, SVG. */
  readonly uri: string;
  readonly picture: string;
}

/** Each of them lets in once when the device is lost. */
export interface RecoveryCodes {
  readonly codes: readonly string[];
}

/** Who is signed in. `csrfToken` goes back in the header `x-csrf-token` of every request that changes something. */
export interface SessionView {
  readonly account: AccountView;
  readonly school: { readonly id: string; readonly name: string };
  readonly secondFactor: boolean;
  /** The school requires a second factor, and the account has none yet: nothing else is open until it has. */
  readonly factorMissing: boolean;
  /** Everybody who may have marked a drive of this school, oneself included. */
  readonly colleagues: readonly { readonly id: string; readonly name: string }[];
  readonly csrfToken: string;
}

/** Square pictures of a map of somebody else's, by an address with `{z}`, `{x}` and `{y}`. */
export interface TilesView {
  readonly address: string;
  /** Whom the maker of the pictures wants named. */
  readonly credit: string;
}

/** What the sign-in page may show before anybody is signed in; sign-in details only in demo mode. */
export interface WelcomeView {
  /** Pictures drawn below the roads, where the server has an address for them. */
  readonly tiles?: TilesView;
  readonly demo?: {
    readonly school: string;
    readonly accounts: readonly { readonly name: string; readonly email: string; readonly password: string }[];
  };
}
