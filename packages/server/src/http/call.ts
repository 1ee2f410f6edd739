import type { Deed } from '../audit/store';
import type { AuditExtra } from '@jasperwren/contract/audit';
import type { Access, AccessOf, AnswerOf, BodyOf, FileAnswer, InputOf } from '@jasperwren/contract/route';
import type { RouteName, Routes } from '@jasperwren/contract/routes';
import type { Call, LearnerWho, Who } from '../call';

type WhoOf<A extends Access> = A extends 'staff' | 'lead' ? Who : A extends 'learner' ? LearnerWho : undefined;

/** What a change was about, for the audit trail, where the address does not say it. */
export interface About {
  /** True where it only goes on with what has its line in the trail already. */
  readonly goesOn?: boolean;
  /** What happened, where it is not what the route is called. */
  readonly action?: AuditExtra;
  readonly schoolId?: string;
  readonly accountId?: string | undefined;
  readonly learnerId?: string | undefined;
  readonly subject?: string | undefined;
  readonly detail?: string | undefined;
}

/** The sign-in that a request comes with. */
export interface SignIn {
  /** Who is signed in, on routes that are open to anybody as well. */
  readonly staff: (Who & { readonly factorMissing: boolean }) | undefined;
  readonly learner: LearnerWho | undefined;
  readonly csrfToken: string;
  /** The digest of its key, by which it is known; empty where nobody is signed in. */
  readonly id: string;
  /** Lets somebody in, and whoever was signed in on this device out. */
  readonly begin: (who: { schoolId: string; accountId: string } | LearnerWho) => Promise<string>;
  readonly end: () => void;
}

/** One call of a route by somebody who may make it; by itself it reads. */
export interface RouteCall<W = unknown> extends Call<W> {
  /** Changes something, in one transaction with its line of the audit trail: `work` gets the call within it. */
  readonly write: <T>(work: (trx: Call<W>) => Promise<T>, about?: About | ((made: T) => About)) => Promise<T>;
  /** The line of the trail about a change that is not made by `write`, for the transaction that makes it. */
  readonly deed: (about: About, made: unknown) => Deed;
  /** Tells those who read of a change that was not made by `write`. */
  readonly changed: () => void;
  /**
   * As `write`, for what takes something back for good: afterwards it is on the list that no restore brings it back from, and
   * nothing of it is left in the database file and its log.
   */
  readonly withdraw: <T>(work: (trx: Call<W>) => Promise<T>, about?: About | ((made: T) => About)) => Promise<T>;
  /** IP address of whoever calls. */
  readonly address: string;
  readonly signIn: SignIn;
  /** Where the file lies that was sent, on routes that take one. */
  readonly upload: string | undefined;
  readonly setHeader: (name: string, value: string) => void;
}

/** What a route does: gets the call, what the address says, and the checked body. */
export type Handler<N extends RouteName> = (
  call: RouteCall<WhoOf<AccessOf<Routes[N]>>>,
  input: InputOf<Routes[N]>,
  body: BodyOf<Routes[N]>,
) => Promise<AnswerOf<Routes[N]>>;

/** The handlers of some routes, by the name of the route. */
export type HandlersOf<N extends RouteName> = { readonly [K in N]: Handler<K> };

/** An answer that is sent as a file of this name. */
export const file = (name: string, type: string, body: FileAnswer['body']): FileAnswer => ({ name, type, body });

/** For what leaves a line in the trail and changes nothing else. */
export const nothing = (): Promise<void> => Promise.resolve();
