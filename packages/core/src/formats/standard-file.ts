import { lintStandard } from '../marking/lint/lint';
import type { Standard } from '../marking/standard';
import type { FormatProblem, Parsed, ShapeProblem } from './parsed';
import { parseJson, schemaCheck } from './problems';
import { standardFileSchema } from './standard-schema';

/** One version of a marking standard as an open JSON file; see `standardFileSchema`. */
export interface StandardFile {
  readonly format: 'jasperwren-standard';
  readonly formatVersion: 1;
  readonly standard: Standard;
}

const shapeProblems = schemaCheck(standardFileSchema);

/** The file of a standard. */
export const standardFile = (standard: Standard): StandardFile => ({
  format: 'jasperwren-standard',
  formatVersion: 1,
  standard,
});

/**
 * Reads a standard from the text of a file.
 * @returns the standard, or every problem with its place, of shape first and of sense when the shape is right
 */
export function parseStandardFile(source: string): Parsed<Standard> {
  const read = parseJson(source);
  if (!read.ok) return read;
  const problems = shapeProblems(read.value);
  if (problems.length > 0) return { ok: false, problems };
  const { standard } = read.value as StandardFile;
  const contradictions = lintStandard(standard);
  if (contradictions.length === 0) return { ok: true, value: standard };
  return { ok: false, problems: contradictions.map(({ path, is }) => ({ path: `/standard${path}`, is })) };
}

/** Everything wrong with what should be a standard: its shape and, where that is right, its sense. */
export function standardProblems(value: unknown): readonly FormatProblem[] {
  const shape = standardShapeProblems(value);
  return shape.length > 0 ? shape : lintStandard(value as Standard);
}

/** What is wrong with the shape of something that should be a standard; places as JSON Pointers into it. */
export function standardShapeProblems(value: unknown): readonly ShapeProblem[] {
  return shapeProblems({ format: 'jasperwren-standard', formatVersion: 1, standard: value }).map(({ path, cause }) => ({
    path: path.replace(/^\/standard/, ''),
    cause,
  }));
}
