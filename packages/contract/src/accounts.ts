import { IsEmail, IsIn, IsString, MaxLength, MinLength } from 'class-validator';
import { Trimmed } from './transforms';

export const roles = ['lead', 'instructor'] as const;
export type Role = (typeof roles)[number];

export class SignInRequest {
  @Trimmed()
  @IsEmail({}, { message: 'Write your e-mail address, such as ada@school.example.' })
  email!: string;

  @IsString()
  @MinLength(1, { message: 'Write your password.' })
  @MaxLength(200, { message: 'A password has 200 characters at most.' })
  password!: string;
}

const passwordRule = { message: 'Use 12 characters or more.' };

export class AccountInput {
  @Trimmed()
  @IsString()
  @MinLength(1, { message: 'Write a name.' })
  @MaxLength(80, { message: 'A name has 80 characters at most.' })
  name!: string;

  @Trimmed()
  @IsEmail({}, { message: 'Write an e-mail address, such as ada@school.example.' })
  email!: string;

  @IsIn(roles, { message: 'The role is lead or instructor.' })
  role!: Role;

  @IsString()
  @MinLength(12, passwordRule)
  @MaxLength(200, { message: 'A password has 200 characters at most.' })
  password!: string;
}

export class PasswordChange {
  @IsString()
  @MinLength(1, { message: 'Write the password you have now.' })
  @MaxLength(200)
  current!: string;

  @IsString()
  @MinLength(12, passwordRule)
  @MaxLength(200, { message: 'A password has 200 characters at most.' })
  next!: string;
}

export interface AccountView {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** Who is signed in. `csrfToken` goes back in the header `x-csrf-token` of every request that changes something. */
export interface SessionView {
  readonly account: AccountView;
  readonly school: { readonly id: string; readonly name: string };
  /** Everybody who may have marked a drive of this school, oneself included. */
  readonly colleagues: readonly { readonly id: string; readonly name: string }[];
  readonly csrfToken: string;
}

/** What the sign-in page may show before anybody is signed in; sign-in details only in demo mode. */
export interface WelcomeView {
  readonly demo?: {
    readonly school: string;
    readonly accounts: readonly { readonly name: string; readonly email: string; readonly password: string }[];
  };
}
