import type { FieldProblem } from '@jasperwren/contract/parse-input';

/** Why something is not done: the one place that speaks HTTP makes a status of it. */
export type RefusalKind =
  /** There is none such, or it is another school's. */
  | 'missing'
  /** A field is not right. */
  | 'invalid'
  /** It does not go together with what stands. */
  | 'conflict'
  /** It is not theirs to do. */
  | 'not-allowed'
  /** Nobody is signed in, or what they sign in by is not right. */
  | 'not-signed-in'
  | 'too-many-tries'
  | 'unavailable'
  | 'disk-full';

interface More {
  /** What a client goes by, where the kind does not say enough; words are for people. */
  readonly code?: string;
  readonly problems?: readonly FieldProblem[];
  /** What stands now, where somebody else was quicker. */
  readonly current?: unknown;
}

/** What is said to whoever asked, in words that may be shown. */
export class Refusal extends Error {
  readonly code: string;
  readonly problems: readonly FieldProblem[] | undefined;
  readonly current: unknown;

  constructor(
    readonly kind: RefusalKind,
    message: string,
    { code = kind, problems, current }: More = {},
  ) {
    super(message);
    this.name = 'Refusal';
    this.code = code;
    this.problems = problems;
    this.current = current;
  }
}

const of =
  (kind: RefusalKind) =>
  (message: string, more?: More): Refusal =>
    new Refusal(kind, message, more);

export const missing = of('missing');
export const invalid = of('invalid');
export const conflict = of('conflict');
export const notAllowed = of('not-allowed');
export const notSignedIn = of('not-signed-in');
export const tooManyTries = of('too-many-tries');
export const unavailable = of('unavailable');
export const diskFull = of('disk-full');
