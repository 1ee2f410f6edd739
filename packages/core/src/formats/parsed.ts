import type { StandardProblem } from '../marking/lint/problem';

/** Something of a file that has not the shape it should: where, as a JSON Pointer (RFC 6901), and what. */
export interface ShapeProblem {
  readonly path: string;
  readonly cause: string;
}

/** One thing wrong with a file: of its shape, or of the sense of the standard in it. */
export type FormatProblem = ShapeProblem | StandardProblem;

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FormatProblem[] };

/** A reading that failed as a whole. */
export const unreadable = (cause: string): { readonly ok: false; readonly problems: readonly ShapeProblem[] } => ({
  ok: false,
  problems: [{ path: '', cause }],
});
