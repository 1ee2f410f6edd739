import type { DriveEvent, StandardRef } from '../drive/event';
import { eventText, sameOnce } from '../drive/same-once';
import type { Standard } from '../marking/standard';
import { driveRecordSchema } from './drive-record-schema';
import { unreadable, type FormatProblem, type Parsed, type ShapeProblem } from './parsed';
import { parseJson, schemaCheck } from './problems';
import { standardProblems } from './standard-file';

/** One drive as an open JSON file; see `driveRecordSchema`. */
export interface DriveRecord {
  readonly format: 'jasperwren-drive';
  readonly formatVersion: 1;
  readonly driveId: string;
  readonly learner?: { readonly name: string };
  readonly standard: Standard | StandardRef;
  readonly events: readonly DriveEvent[];
}

const shapeProblems = schemaCheck(driveRecordSchema);
const listProblems = schemaCheck({
  type: 'array',
  items: { $ref: '#/$defs/event' },
  $defs: driveRecordSchema.$defs,
});

/** What is wrong with the shape of a list of events; places as JSON Pointers into the list. */
export const eventProblems = (events: unknown): readonly ShapeProblem[] => listProblems(events);

/**
 * Reads a drive record, or a list of them, from the text of a file. Checked are the shape, the standard where the record
 * holds it whole, and that the parts of the record agree with each other; nothing is guessed or repaired.
 * @returns the records, or every problem found with its place
 */
export function parseDriveRecords(source: string): Parsed<readonly DriveRecord[]> {
  const read = parseJson(source);
  if (!read.ok) return read;
  const json = read.value;
  const list = Array.isArray(json) ? json : [json];
  if (list.length === 0) return unreadable('the list holds no drive');
  const problems = list.flatMap((record, i) =>
    problemsOf(record).map((p) => (Array.isArray(json) ? { ...p, path: `/${i}${p.path}` } : p)),
  );
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: list as readonly DriveRecord[] };
}

/** Whether a record holds its standard whole, as against naming it. */
export function holdsStandard(standard: DriveRecord['standard']): standard is Standard {
  return Object.keys(standard).some((field) => field !== 'id' && field !== 'version');
}

function problemsOf(value: unknown): readonly FormatProblem[] {
  const shape = shapeProblems(value);
  if (shape.length > 0) return shape;
  const record = value as DriveRecord;
  const { standard } = record;
  const unsound = holdsStandard(standard) ? standardProblems(standard) : [];
  return [
    ...unsound.map((problem) => ({ ...problem, path: `/standard${problem.path}` })),
    ...conflicts(record.events),
    ...startProblems(record),
  ];
}

/** Events that share an id and differ. */
function conflicts(events: readonly DriveEvent[]): readonly FormatProblem[] {
  const first = new Map<string, number>();
  return events.flatMap((event, i) => {
    const known = first.get(event.id);
    if (known === undefined) first.set(event.id, i);
    return known === undefined || eventText(events[known]!) === eventText(event)
      ? []
      : [{ path: `/events/${i}`, cause: `has the id of /events/${known} and says something else` }];
  });
}

function startProblems({ standard: { id, version }, events }: DriveRecord): readonly FormatProblem[] {
  const starts = [...sameOnce(events).values()].filter((event) => event.type === 'started');
  const [start] = starts;
  if (!start || starts.length > 1)
    return [{ path: '/events', cause: `must hold one "started" event, holds ${starts.length}` }];
  const named = start.standard;
  if (named.id === id && named.version === version) return [];
  return [
    {
      path: '/standard',
      cause: `is "${id}" in version ${version}, and the start at /events/${events.findIndex((one) => one.id === start.id)} names "${named.id}" in version ${named.version}`,
    },
  ];
}
