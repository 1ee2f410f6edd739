import type { ErrorObject, Options } from 'ajv';
import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020.js';

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

/** What a schema finds wrong with a value, in words; the schema is compiled when it is first asked. */
export function schemaCheck(
  schema: object,
  formats: Options['formats'] = {},
): (value: unknown) => readonly FormatProblem[] {
  let validate: ValidateFunction | undefined;
  return (value) => {
    validate ??= new Ajv2020({ allErrors: true, strict: false, formats }).compile(schema);
    if (validate(value)) return [];
    return (validate.errors ?? []).filter(({ keyword }) => keyword !== 'if' && keyword !== 'oneOf').map(toProblem);
  };
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
