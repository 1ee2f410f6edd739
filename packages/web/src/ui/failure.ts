/** A question to the server, as the hooks of the client give it. */
interface Asked {
  readonly error?: unknown;
  /** What is there for the question as it is asked now; a failure to ask again does not take it away. */
  readonly currentData?: unknown;
  readonly refetch: () => unknown;
}

/**
 * What failed of all that a page asks for, and a way to ask again for every part that did, as `Failed` takes them. Undefined while
 * nothing is missing for good.
 */
export function failureOf(
  ...asked: readonly Asked[]
): { readonly error: unknown; readonly onRetry: () => void } | undefined {
  const failed = asked.filter(({ error, currentData }) => error !== undefined && currentData === undefined);
  if (failed.length === 0) return undefined;
  return { error: failed[0]!.error, onRetry: () => failed.forEach(({ refetch }) => void refetch()) };
}
