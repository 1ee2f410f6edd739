import type { ErrorObject } from 'ajv';
import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { parse, printParseErrorCode, type ParseError } from 'jsonc-parser';
import { unreadable, type ShapeProblem, type Parsed } from './parsed';

/** The text of a file as JSON, or why it is none, with line and column. */
export function parseJson(source: string): Parsed<unknown> {
  try {
    return { ok: true, value: JSON.parse(source) as unknown };
  } catch {
    return unreadable(`not JSON: ${syntaxError(source)}`);
  }
}

function syntaxError(source: string): string {
  const errors: ParseError[] = [];
  try {
    parse(source, errors, { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false });
  } catch {
    return 'it is nested too deeply';
  }
  const [first] = errors;
  if (!first) return 'it cannot be read';
  const before = source.slice(0, first.offset).split('\n');
  const what = printParseErrorCode(first.error)
    .replace(/(?!^)[A-Z]/g, (letter) => ` ${letter}`)
    .toLowerCase();
  return `line ${before.length}, column ${before.at(-1)!.length + 1}: ${what}`;
}

/** What a schema finds wrong with a value, in words; the schema is compiled when it is first asked. */
export function schemaCheck(schema: object): (value: unknown) => readonly ShapeProblem[] {
  let validate: ValidateFunction | undefined;
  return (value) => {
    // Numbers that are no numbers, such as 1e400, are refused wherever a number is asked for.
    validate ??= addFormats(new Ajv2020({ allErrors: true, strict: false, strictNumbers: true, verbose: true }), [
      'date-time',
    ]).compile(schema);
    if (validate(value)) return [];
    return (validate.errors ?? []).filter(({ keyword }) => keyword !== 'if' && keyword !== 'oneOf').map(toProblem);
  };
}

/** A list of known values is written out up to this length. */
const mostListed = 8;
const mostQuoted = 60;

function toProblem(error: ErrorObject): ShapeProblem {
  const { instancePath: path, data } = error;
  const { params } = error as { params: Record<string, unknown> };
  if (Array.isArray(params['allowedValues'])) {
    const known = params['allowedValues'];
    const list = known.length > mostListed ? '' : `; there are: ${known.map(quoted).join(', ')}`;
    return { path, cause: `unknown ${path.slice(path.lastIndexOf('/') + 1)} ${quoted(data)}${list}` };
  }
  const detail =
    typeof params['additionalProperty'] === 'string'
      ? `: ${quoted(params['additionalProperty'])}`
      : 'allowedValue' in params
        ? `: ${JSON.stringify(params['allowedValue'])}`
        : '';
  return { path, cause: `${error.message ?? error.keyword}${detail}` };
}

/** A value of a file in a message, cut to a length that can be read. */
function quoted(value: unknown): string {
  if (typeof value === 'object' && value !== null) return Array.isArray(value) ? 'a list' : 'an object';
  const text = JSON.stringify(value) ?? 'nothing';
  return text.length > mostQuoted ? `${text.slice(0, mostQuoted)} …` : text;
}
