import { t } from '@jasperwren/words/refusals';
import type { SchoolInput, SchoolView } from '@jasperwren/contract/school';
import { sql } from 'kysely';
import type { InSchool } from '../call';
import { invalid } from '../refusal';
import { refuseStale } from '../stale';
import { noteWithdrawal } from '../withdrawals/note';

export async function getSchool({ db, who: { schoolId } }: InSchool): Promise<SchoolView> {
  const row = await db.selectFrom('schools').selectAll().where('id', '=', schoolId).executeTakeFirstOrThrow();
  return {
    id: row.id,
    name: row.name,
    ...(row.place !== null && { place: row.place }),
    timeZone: row.time_zone,
    requireFactor: row.require_factor === 1,
    ...(row.keep_months !== null && { keepMonths: row.keep_months }),
    version: row.version,
  };
}

/** Which day it is in the time zone of a school, `YYYY-MM-DD`. */
export async function todayOf(call: InSchool): Promise<string> {
  const { now } = call;
  const { timeZone } = await getSchool(call);
  const parts = new Intl.DateTimeFormat('en', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' })
    .formatToParts(now)
    .map(({ type, value }) => [type, value] as const);
  const { year, month, day } = Object.fromEntries(parts);
  return `${year}-${month}-${day}`;
}

/** @throws conflict where somebody else has changed it since */
export async function editSchool(call: InSchool, input: SchoolInput): Promise<SchoolView> {
  const {
    db,
    who: { schoolId },
  } = call;
  const now = await getSchool(call);
  refuseStale(input.version, now.version, t('schoolChanged'), now);
  await db
    .updateTable('schools')
    .set({
      name: input.name,
      place: input.place ?? null,
      time_zone: input.timeZone,
      require_factor: input.requireFactor ? 1 : 0,
      keep_months: input.keepMonths ?? null,
      version: now.version + 1,
    })
    .where('id', '=', schoolId)
    .execute();
  return getSchool(call);
}

/**
 * Every table that holds something of a school, in the order in which it can be taken out: what refers to something
 * goes before it.
 */
export const schoolTables = [
  'audit',
  'estimates',
  'jobs',
  'erasures',
  'recovery_codes',
  'password_links',
  'sessions',
  'access_codes',
  'shares',
  'marks_on_road',
  'passes',
  'pin_voices',
  'trace_pieces',
  'traces',
  'places',
  'yard_rows',
  'yard_runs',
  'yard_cars',
  'kept_wheels',
  'events',
  'drives',
  'sheets',
  'reviews',
  'lessons',
  'call_timing',
  'note_phrases',
  'route_shares',
  'driving_routes',
  'road_notes',
  'roads',
  'school_figures',
  'check_questions',
  'vehicles',
  'standard_drafts',
  'retired_standards',
  'learners',
  'standards',
  'accounts',
] as const;

/**
 * Takes a school out, with everybody and everything in it.
 * @throws invalid where the typed name is not the school's
 */
export async function closeSchool(call: InSchool, typed: string): Promise<void> {
  const { name } = await getSchool(call);
  refuseOtherName(typed, name);
  await takeOutSchool(call);
  await noteWithdrawal(call, 'school', call.who.schoolId);
}

/** The same for one that has come back with a restore. Returns whether it had. */
export async function takeOutSchool({ db, who: { schoolId }, now }: InSchool): Promise<boolean> {
  // The trail lets go of its lines only for a school that is closed.
  await db.updateTable('schools').set({ closed_at: now.toISOString() }).where('id', '=', schoolId).execute();
  for (const table of schoolTables)
    await sql`delete from ${sql.table(table)} where school_id = ${schoolId}`.execute(db);
  const { numDeletedRows } = await db.deleteFrom('schools').where('id', '=', schoolId).executeTakeFirst();
  return numDeletedRows > 0n;
}

/** @throws invalid where what was typed is not the name */
export function refuseOtherName(typed: string, name: string): void {
  if (typed.trim() === name.trim()) return;
  const message = t('writeTheName', { name });
  throw invalid(t('otherName'), {
    problems: [{ field: 'name', message }],
  });
}
