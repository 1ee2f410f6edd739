import type { FieldProblem } from './check';

/** The one shape of every error the server answers with. */
export interface ErrorBody {
  readonly error: {
    readonly code: string;
    /** What happened, what is safe, and what to do. */
    readonly message: string;
    readonly problems?: readonly FieldProblem[];
  };
}
