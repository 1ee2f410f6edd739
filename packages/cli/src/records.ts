import { t as say } from '@jasperwren/words/command';
import { problemWords } from '@jasperwren/words/marking/problems';
import { readFileSync } from 'node:fs';
import { holdsStandard, parseDriveRecords, type DriveRecord } from '@jasperwren/core/formats/drive-record';
import { fileText } from '@jasperwren/core/formats/file-text';
import type { Parsed } from '@jasperwren/core/formats/parsed';
import { effective } from '@jasperwren/core/marking/options';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { shippedVersion } from '@jasperwren/core/marking/earlier/versions';
import { findTemplate } from '@jasperwren/core/marking/find-template';
import { templates } from '@jasperwren/core/marking/templates';
import { UsageError, type Io } from './io';

/** So many problems of a file are printed; the others are counted. */
const mostPrinted = 20;

/** The drive records of a file; undefined where it cannot be used, with place and cause on the error output. */
export const readRecords = (file: string, io: Io): readonly DriveRecord[] | undefined =>
  readFileAs(file, parseDriveRecords, io);

/** What a file holds as text of a format; undefined where it cannot be used, with place and cause on the error output. */
export function readFileAs<T>(file: string, parse: (source: string) => Parsed<T>, io: Io): T | undefined {
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    io.err(say('cannotBeRead', { file, why: error instanceof Error ? error.message : String(error) }));
    return undefined;
  }
  const text = fileText(bytes);
  const parsed = text.ok ? parse(text.value) : text;
  if (parsed.ok) return parsed.value;
  for (const problem of parsed.problems.slice(0, mostPrinted))
    io.err(`${file}: ${problem.path || 'the file'}: ${problemWords(problem)}`);
  const more = parsed.problems.length - mostPrinted;
  if (more > 0) io.err(say('andMore', { file, count: more }));
  return undefined;
}

/** The standard that the record holds or that ships in the version it names. */
export function ownStandard({ standard }: DriveRecord): EffectiveStandard | undefined {
  const own = holdsStandard(standard) ? standard : shippedVersion(standard.id, standard.version);
  return own && effective(own);
}

/**
 * The shipped standard of an id.
 * @throws UsageError with the list of those there are
 */
export function shippedStandard(id: string): EffectiveStandard {
  const standard = findTemplate(id);
  if (!standard) throw new UsageError(say('noSuchStandard', { id, known: knownIds() }));
  return effective(standard);
}

/** The ids of the shipped standards, for messages. */
export const knownIds = (): string => templates.map(({ id }) => id).join(', ');
