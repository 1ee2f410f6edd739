import type { ErrorObject } from 'ajv';

/** One thing wrong with a file: where, as a JSON Pointer (RFC 6901), and what. */
export interface FormatProblem {
  readonly path: string;
  readonly cause: string;
}

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FormatProblem[] };

/** The text of a file as JSON, or why it is none. */
export function parseJson(source: string): Parsed<unknown> {
  try {
    return { ok: true, value: JSON.parse(source) as unknown };
  } catch (error) {
    const cause = `not JSON: ${error instanceof Error ? error.message : String(error)}`;
    return { ok: false, problems: [{ path: '', cause }] };
  }
}

/** What a schema found, in the words of a problem. */
export function schemaProblems(errors: readonly ErrorObject[] | null | undefined): readonly FormatProblem[] {
  return (errors ?? []).filter(({ keyword }) => keyword !== 'if' && keyword !== 'oneOf').map(toProblem);
}

function toProblem(error: ErrorObject): FormatProblem {
  const { params } = error as { params: Record<string, unknown> };
  const detail =
    typeof params['additionalProperty'] === 'string'
      ? `: "${params['additionalProperty']}"`
      : Array.isArray(params['allowedValues'])
        ? `: ${params['allowedValues'].map((v) => JSON.stringify(v)).join(', ')}`
        : 'allowedValue' in params
          ? `: ${JSON.stringify(params['allowedValue'])}`
          : '';
  return { path: error.instancePath, cause: `${error.message ?? error.keyword}${detail}` };
}
