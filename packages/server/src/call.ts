import type { Role } from '@jasperwren/contract/accounts';
import type { Db } from './db/database';

/** Who of the school is signed in. */
export interface Who {
  readonly accountId: string;
  readonly schoolId: string;
  readonly role: Role;
}

/** A learner who is signed in: sees nothing but their own. */
export interface LearnerWho {
  readonly learnerId: string;
  readonly schoolId: string;
}

/** What a store works with: a connection, who asks, and when. It asks no clock of its own. */
export interface Call<W = Who> {
  readonly db: Db;
  readonly who: W;
  readonly now: Date;
}

/** A call where it does not matter who asks. */
export type Anybody = Call<unknown>;

/** A call of the command line, or of the server by itself. */
export const callNow = (db: Db): Anybody => ({ db, who: undefined, now: new Date() });

/** A call where it only matters whose data it is. */
export type InSchool = Call<{ readonly schoolId: string }>;
