import { readFileSync } from 'node:fs';
import { parseDriveRecords, type DriveRecord } from '@jasperwren/core/formats/drive-record';
import type { Standard } from '@jasperwren/core/marking/standard';
import { findTemplate, templates } from '@jasperwren/core/marking/templates/templates';
import type { Io } from './io';

/** The drive records of a file; undefined where it cannot be used, with place and cause on the error output. */
export function readRecords(file: string, io: Io): readonly DriveRecord[] | undefined {
  let source: string;
  try {
    source = readFileSync(file, 'utf8');
  } catch (error) {
    io.err(`${file}: cannot be read: ${error instanceof Error ? error.message : String(error)}`);
    return undefined;
  }
  const parsed = parseDriveRecords(source);
  if (parsed.ok) return parsed.value;
  for (const { path, cause } of parsed.problems) io.err(`${file}: ${path || 'the file'}: ${cause}`);
  return undefined;
}

/** The standard that the record holds or that ships in the version it names. */
export function ownStandard({ standard }: DriveRecord): Standard | undefined {
  if ('categories' in standard) return standard;
  const template = findTemplate(standard.id);
  return template?.version === standard.version ? template : undefined;
}

/** The ids of the shipped standards, for messages. */
export const knownIds = (): string => templates.map(({ id }) => id).join(', ');
