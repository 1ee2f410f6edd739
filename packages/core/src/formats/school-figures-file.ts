import { assumptionBounds, type SchoolByKind } from '../readiness/assumptions';
import { schoolsFrom, type SchoolFigures } from '../readiness/school-figures';
import { testKinds } from '../marking/test-kind';
import type { Parsed } from './parsed';
import { parseJson, schemaCheck } from './problems';

/** What a school's own learners say, as a file: for estimates away from the server that say what its pages say. */
export interface SchoolFiguresFile {
  readonly format: 'jasperwren-school-figures';
  readonly formatVersion: 1;
  readonly figures: SchoolFigures;
}

const positive = { type: 'number', exclusiveMinimum: 0 };
const count = { type: 'integer', minimum: 0 };
const fields = (properties: Readonly<Record<string, object>>) => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
});
const pairs = (value: object) => ({
  type: 'array',
  items: { type: 'array', prefixItems: [{ type: 'string' }, value], minItems: 2, maxItems: 2 },
});
const factor = fields({ factor: positive, error: { type: 'number', minimum: 0 }, drives: count });
const share = { type: 'number', minimum: 0, maximum: 1 };
const kind = fields({
  assumptions: fields(
    Object.fromEntries(
      Object.entries(assumptionBounds).map(([key, { min }]) => [
        key,
        min > 0 ? positive : { type: 'number', minimum: 0 },
      ]),
    ),
  ),
  errors: { type: 'object', additionalProperties: { type: 'number' } },
  counted: pairs(share),
  outright: pairs(share),
  markers: pairs(factor),
  standards: pairs(fields({ counted: positive, outright: positive, drives: count })),
  centres: pairs(factor),
  realTests: pairs(factor),
  learners: count,
  drives: count,
});

/** The file of a school's figures, as a JSON schema. */
export const schoolFiguresSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  ...fields({
    format: { const: 'jasperwren-school-figures' },
    formatVersion: { const: 1 },
    figures: fields(Object.fromEntries(testKinds.map((test) => [test, kind]))),
  }),
};

const shapeProblems = schemaCheck(schoolFiguresSchema);

/**
 * Reads the file of a school's figures from its text; nothing is guessed or repaired.
 * @returns the figures, or every problem found with its place
 */
export function parseSchoolFigures(source: string): Parsed<SchoolByKind> {
  const read = parseJson(source);
  if (!read.ok) return read;
  const problems = shapeProblems(read.value);
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, value: schoolsFrom((read.value as SchoolFiguresFile).figures) };
}
