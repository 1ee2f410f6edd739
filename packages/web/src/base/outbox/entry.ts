import type { Lane } from '../device/lanes';

/** Why the server did not take an entry. */
export interface Refusal {
  readonly status: number;
  readonly message: string;
  /** RFC 3339. */
  readonly at: string;
}

/** Something that waits for the network: it goes to the server in the order in which it was made, each once. */
export interface Entry {
  /** Counts up; made by the database. */
  readonly n?: number;
  readonly id: string;
  /** The account or the learner who made it: it is sent when they are signed in, and by nobody else. */
  readonly owner: string;
  readonly lane: Lane;
  readonly body: unknown;
  /** Set aside: the server said no, and the rest goes on without it. */
  readonly refused?: Refusal;
}
