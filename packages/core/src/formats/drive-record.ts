import type { DriveEvent, StandardRef } from '../drive/event';
import type { Standard } from '../marking/standard';
import { driveRecordSchema } from './drive-record-schema';
import { parseJson, schemaCheck, type FormatProblem, type Parsed } from './problems';

/** One drive as an open JSON file; see `driveRecordSchema`. */
export interface DriveRecord {
  readonly format: 'jasperwren-drive';
  readonly formatVersion: 1;
  readonly driveId: string;
  readonly learner?: { readonly name: string };
  readonly standard: Standard | StandardRef;
  readonly events: readonly DriveEvent[];
}

const shapeProblems = schemaCheck(driveRecordSchema, { 'date-time': isRfc3339 });

/**
 * Reads a drive record, or a list of them, from the text of a file.
 * @returns the records, or every problem found with its place; nothing is guessed or repaired
 */
export function parseDriveRecords(source: string): Parsed<readonly DriveRecord[]> {
  const read = parseJson(source);
  if (!read.ok) return read;
  const json = read.value;
  const list = Array.isArray(json) ? json : [json];
  if (list.length === 0) return { ok: false, problems: [{ path: '', cause: 'the list holds no drive' }] };
  const problems = list.flatMap((record, i) =>
    problemsOf(record).map((p) => (Array.isArray(json) ? { ...p, path: `/${i}${p.path}` } : p)),
  );
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: list as readonly DriveRecord[] };
}

function problemsOf(record: unknown): readonly FormatProblem[] {
  const shape = shapeProblems(record);
  if (shape.length > 0) return shape;
  const started = (record as DriveRecord).events.filter((event) => event.type === 'started').length;
  return started === 1 ? [] : [{ path: '/events', cause: `must hold one "started" event, holds ${started}` }];
}

/** RFC 3339, section 5.6, with the date checked against the calendar. */
function isRfc3339(value: string): boolean {
  const match =
    /^(\d{4})-(\d\d)-(\d\d)[Tt]([01]\d|2[0-3]):[0-5]\d:([0-5]\d|60)(\.\d+)?([Zz]|[+-]([01]\d|2[0-3]):[0-5]\d)$/.exec(
      value,
    );
  if (!match) return false;
  const [year, month, day] = match.slice(1, 4).map(Number) as [number, number, number];
  return month >= 1 && month <= 12 && day >= 1 && day <= new Date(Date.UTC(year, month, 0)).getUTCDate();
}
