import { t } from '@jasperwren/words/refusals';
import { gunzipSync } from 'node:zlib';
import type { FixBatch, FixPiece, MarkOnRoad, TraceEdit, TraceSource, TraceView } from '@jasperwren/contract/traces';
import { fixOf, type SentFix } from '@jasperwren/contract/sent-fix';
import type { ClockOffset } from '@jasperwren/core/traces/clock-offset';
import type { Detour } from '@jasperwren/core/traces/kept-route';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import type { Fix } from '@jasperwren/roads/traces/fix';
import { sql } from 'kysely';
import type { Call, InSchool } from '../call';
import type { DriveDigest } from '../drives/digest';
import { refuseMarker } from '../drives/may-mark';
import { queueJob } from '../jobs/queue';
import { conflict, missing } from '../refusal';
import { refuseStale } from '../stale';
import { noteWithdrawal } from '../withdrawals/note';
import { familiarityIn } from './familiarity';

/** How far a trace is. */
export type TraceState = TraceView['state'];

/** Changes whenever the same trace may be read otherwise: readings of an older one are worked out again at start. */
export const readingVersion = 1;

/** What is worked out of a trace and kept. */
export interface KeptReading {
  readonly offsetMs: number;
  readonly suggested?: ClockOffset;
  readonly zeroMs: number;
  readonly reading: TraceReading;
  readonly detours?: readonly (readonly Detour[])[];
}

/** The job that works a trace out. */
export const traceJob = (schoolId: string, driveId: string) =>
  ({ schoolId, kind: 'traces', subject: driveId }) as const;

/**
 * Takes pieces of the trace of a drive, each id once, and has it worked out where the drive has ended. Once a trace was
 * deleted, what a device still holds of it is taken without being kept; a file that is added afterwards is a new trace.
 * @throws missing where the drive has not arrived yet; conflict where a piece is known by its id and says something else;
 *   notAllowed where somebody else drives
 */
export async function addPieces(
  call: Call,
  driveId: string,
  { pieces: sent }: FixBatch,
): Promise<{ readonly learnerId: string; readonly goesOn: boolean }> {
  const { db, who, now } = call;
  const { schoolId } = who;
  const drive = await db
    .selectFrom('drives')
    .select(['account_id', 'learner_id', 'digest', 'trace_dropped_at'])
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .executeTakeFirst();
  if (!drive) throw missing(t('testNotArrived'), { code: 'not-yet' });
  await refuseMarker(call, driveId, drive.account_id);
  const pieces = drive.trace_dropped_at === null ? sent : sent.filter(({ source }) => source === 'file');
  if (pieces.length === 0) return { learnerId: drive.learner_id, goesOn: true };
  const texts = new Map(pieces.map(({ id, fixes }) => [id, JSON.stringify(fixes)]));
  const known = await db
    .selectFrom('trace_pieces')
    .select(['id', 'fixes'])
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .where('id', 'in', [...texts.keys()])
    .execute();
  for (const { id, fixes } of known)
    if (texts.get(id) !== fixes)
      throw conflict(t('pieceConflict'), {
        code: 'piece-conflict',
      });
  await sql`insert into trace_pieces (school_id, drive_id, id, fixes)
    select ${schoolId}, ${driveId}, value ->> 'id', json(value -> 'fixes')
    from json_each(${JSON.stringify(pieces.map(({ id, fixes }) => ({ id, fixes })))}) where true
    on conflict (school_id, drive_id, id) do nothing`.execute(db);
  const before = await traceRow(call, driveId);
  await db
    .insertInto('traces')
    .values({
      school_id: schoolId,
      drive_id: driveId,
      learner_id: drive.learner_id,
      account_id: who.accountId,
      source: sourceOf(pieces),
      state: 'working',
      version: 0,
      offset_ms: sourceOf(pieces) === 'file' ? null : 0,
      trim_start: 0,
      trim_end: 0,
      created_at: now.toISOString(),
    })
    .onConflict((one) => one.columns(['school_id', 'drive_id']).doUpdateSet({ state: 'working' }))
    .execute();
  // While it is driven there is nothing to see yet; the end of the drive has it worked out.
  const { phase } = JSON.parse(drive.digest) as DriveDigest;
  if (phase === 'ended') await queueJob(db, traceJob(schoolId, driveId), now);
  return { learnerId: drive.learner_id, goesOn: before !== undefined };
}

const sourceOf = (pieces: readonly FixPiece[]): TraceSource => pieces[0]!.source;

/** @throws missing where the drive has no trace; conflict where somebody else has changed it since */
export async function editTrace(call: Call, driveId: string, edit: TraceEdit): Promise<void> {
  const { db, who, now } = call;
  const row = await traceRow(call, driveId);
  if (!row) throw noTrace();
  await refuseMarker(call, driveId, row.account_id);
  refuseStale(edit.version, row.version, t('traceChanged'), { version: row.version });
  await ofTrace(db.updateTable('traces'), who.schoolId, driveId)
    .set({
      offset_ms: edit.offsetMs,
      trim_start: edit.trimStart,
      trim_end: edit.trimEnd,
      version: row.version + 1,
      state: 'working',
    })
    .execute();
  await queueJob(db, traceJob(who.schoolId, driveId), now);
}

/** Takes a trace out with all that followed from it, and what devices have not sent of it yet. */
export async function dropTrace(call: Call, driveId: string): Promise<{ readonly learnerId: string }> {
  const row = await traceRow(call, driveId);
  if (!row) throw noTrace();
  await refuseMarker(call, driveId, row.account_id);
  await takeOutTrace(call, driveId);
  await noteWithdrawal(call, 'trace', driveId);
  return { learnerId: row.learner_id };
}

/** The same for one that has come back with a restore. Returns whether there was anything of it. */
export async function takeOutTrace({ db, who: { schoolId }, now }: InSchool, driveId: string): Promise<boolean> {
  let rows = 0n;
  for (const table of ['marks_on_road', 'passes', 'trace_pieces', 'traces'] as const) {
    const { numAffectedRows = 0n } =
      await sql`delete from ${sql.table(table)} where school_id = ${schoolId} and drive_id = ${driveId}`.execute(db);
    rows += numAffectedRows;
  }
  await db
    .updateTable('drives')
    .set({ trace_dropped_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .execute();
  return rows > 0n;
}

const noTrace = () => missing(t('noTrace'), { code: 'no-trace' });

const ofTrace = <Q extends { where: (column: 'school_id' | 'drive_id', op: '=', value: string) => Q }>(
  query: Q,
  schoolId: string,
  driveId: string,
): Q => query.where('school_id', '=', schoolId).where('drive_id', '=', driveId);

const traceRow = ({ db, who: { schoolId } }: InSchool, driveId: string) =>
  db
    .selectFrom('traces')
    .selectAll()
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .executeTakeFirst();

/** The fixes of a trace as they were sent, in no order. */
export async function fixesOf({ db, who: { schoolId } }: InSchool, driveId: string): Promise<readonly Fix[]> {
  const rows = await db
    .selectFrom('trace_pieces')
    .select('fixes')
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .execute();
  return rows.flatMap(({ fixes }) => (JSON.parse(fixes) as readonly SentFix[]).map(fixOf));
}

/** The trace of a drive with what it says; undefined where it has none. */
export async function traceOf(call: InSchool, driveId: string): Promise<TraceView | undefined> {
  const { db } = call;
  const row = await traceRow(call, driveId);
  if (!row) return undefined;
  const kept = row.reading ? (JSON.parse(gunzipSync(row.reading).toString('utf8')) as KeptReading) : undefined;
  const roads =
    row.roads_id === null
      ? undefined
      : await db.selectFrom('roads').select(['id', 'name']).where('id', '=', row.roads_id).executeTakeFirst();
  const shown = row.state === 'ready' && kept && roads ? kept : undefined;
  const familiarity =
    shown && row.driven !== null ? await familiarityIn(call, driveId, row.learner_id, shown.reading) : undefined;
  return {
    source: row.source as TraceSource,
    state: row.state as TraceState,
    version: row.version,
    offsetMs: kept?.offsetMs ?? row.offset_ms ?? 0,
    trimStart: row.trim_start,
    trimEnd: row.trim_end,
    zeroMs: kept?.zeroMs ?? 0,
    marks: shown ? await marksOnRoad(call, driveId) : [],
    ...(kept?.suggested && { suggested: kept.suggested }),
    ...(shown && roads && { roads, reading: shown.reading, ...(shown.detours && { detours: shown.detours }) }),
    ...(familiarity && { familiarity }),
  };
}

async function marksOnRoad({ db, who: { schoolId } }: InSchool, driveId: string): Promise<readonly MarkOnRoad[]> {
  const rows = await db
    .selectFrom('marks_on_road')
    .selectAll()
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .orderBy('at_ms')
    .execute();
  return rows.map(({ mark_id: markId, at_ms: atMs, lat, lon, piece, metres, within, place_id: place }) => ({
    markId,
    atMs,
    lat,
    lon,
    piece,
    metres,
    within,
    ...(place !== null && { place }),
  }));
}
