import type { FieldProblem } from './parse-input';

/** The one shape of every error the server answers with. */
export interface ErrorBody {
  readonly error: {
    readonly code: string;
    /** What happened, what is safe, and what to do. */
    readonly message: string;
    readonly problems?: readonly FieldProblem[];
    /** With the code `stale`: what stands now, in the shape of the answer to a read. */
    readonly current?: unknown;
  };
}
