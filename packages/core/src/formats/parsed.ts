/** One thing wrong with a file: where, as a JSON Pointer (RFC 6901), and what. */
export interface FormatProblem {
  readonly path: string;
  readonly cause: string;
}

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FormatProblem[] };

/** A reading that failed as a whole. */
export const unreadable = (cause: string): { readonly ok: false; readonly problems: readonly FormatProblem[] } => ({
  ok: false,
  problems: [{ path: '', cause }],
});
