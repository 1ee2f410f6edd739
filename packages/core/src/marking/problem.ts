/** One thing that is wrong with a standard. */
export interface StandardProblem {
  /** JSON Pointer (RFC 6901) into the standard. */
  readonly path: string;
  readonly cause: string;
}

/** Collects problems. */
export function problemList() {
  const all: StandardProblem[] = [];
  return {
    all: all as readonly StandardProblem[],
    add: (path: string, cause: string) => void all.push({ path, cause }),
  };
}
