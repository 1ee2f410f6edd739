import type { TraceView } from '@jasperwren/contract/traces';
import { groupBy } from '@jasperwren/core/marking/grouping';
import { familiarityOf, knownSpans, tracesTell, type Driven, type DrivenAt } from '@jasperwren/core/places/familiarity';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import type { InSchool } from '../call';

/** A traced drive of a learner with what it led over. */
interface TracedDrive extends DrivenAt {
  readonly driveId: string;
  readonly learnerId: string;
}

/** The traced drives of a learner, or of every learner of a school. */
async function tracedDrives({ db, who: { schoolId } }: InSchool, learnerId?: string): Promise<readonly TracedDrive[]> {
  let query = db
    .selectFrom('traces')
    .innerJoin('drives', (join) =>
      join.onRef('drives.id', '=', 'traces.drive_id').onRef('drives.school_id', '=', 'traces.school_id'),
    )
    .select(['traces.drive_id', 'traces.learner_id', 'traces.driven', 'drives.started_at'])
    .where('traces.school_id', '=', schoolId)
    .where('traces.state', '=', 'ready')
    .where('traces.driven', 'is not', null);
  if (learnerId !== undefined) query = query.where('traces.learner_id', '=', learnerId);
  return (await query.execute()).map((row) => ({
    driveId: row.drive_id,
    learnerId: row.learner_id,
    at: row.started_at,
    driven: JSON.parse(row.driven!) as Driven,
  }));
}

/** How much of a traced drive its learner had driven before; undefined where the drive is not among the traced. */
export async function familiarityIn(
  call: InSchool,
  driveId: string,
  learnerId: string,
  { pieces }: TraceReading,
): Promise<TraceView['familiarity']> {
  const drives = await tracedDrives(call, learnerId);
  const own = drives.find((one) => one.driveId === driveId);
  if (!own) return undefined;
  const before = drives.filter(({ at }) => at < own.at);
  return {
    share: familiarityOf(own, before),
    drives: before.length,
    counts: tells(await startsOf(call, learnerId), drives)(own),
    known: pieces.map(({ stretches, metres }) => knownSpans(stretches, metres, own.at, before)),
  };
}

/** When the drives of a learner, or of all learners of a school, began, by learner. */
async function startsOf(
  { db, who: { schoolId } }: InSchool,
  learnerId?: string,
): Promise<ReadonlyMap<string, readonly string[]>> {
  let query = db.selectFrom('drives').select(['learner_id', 'started_at']).where('school_id', '=', schoolId);
  if (learnerId !== undefined) query = query.where('learner_id', '=', learnerId);
  const byLearner = groupBy(await query.execute(), ({ learner_id }) => learner_id);
  return new Map([...byLearner].map(([id, rows]) => [id, rows.map(({ started_at }) => started_at)]));
}

/** Tells of a drive whether enough of those before have a trace. */
function tells(starts: ReadonlyMap<string, readonly string[]>, traced: readonly TracedDrive[]) {
  const own = groupBy(traced, (one) => one.learnerId);
  return ({ learnerId, at }: TracedDrive): boolean =>
    tracesTell(
      at,
      starts.get(learnerId) ?? [],
      (own.get(learnerId) ?? []).map((one) => one.at),
    );
}

/**
 * How much of each traced drive its learner had driven before, from 0 to 1, by the id of the drive; those are left out of
 * which the traces tell too little.
 */
export async function knownShares(call: InSchool, learnerId?: string): Promise<ReadonlyMap<string, number>> {
  const traced = await tracedDrives(call, learnerId);
  const byLearner = groupBy(traced, (one) => one.learnerId);
  const counts = tells(await startsOf(call, learnerId), traced);
  return new Map(
    traced.filter(counts).map((one) => [one.driveId, familiarityOf(one, byLearner.get(one.learnerId)!)] as const),
  );
}
