import { sql } from 'kysely';
import type { InSchool } from '../call';
import type { Tables } from '../db/schema';

/** How a table tells whose a row is: by the learner, by the drive, or by the run. */
type Owner = 'learner_id' | 'drive_id' | 'run_id' | 'subject' | 'id';

/**
 * Every table with rows about one learner, in the order in which they can be taken out: what refers to something goes
 * before it. The trail of audit is not among them: there the learner gets a pseudonym.
 */
export const learnerTables: readonly (readonly [table: keyof Tables, owner: Owner])[] = [
  ['access_codes', 'learner_id'],
  ['sessions', 'learner_id'],
  ['shares', 'drive_id'],
  ['marks_on_road', 'drive_id'],
  ['passes', 'drive_id'],
  ['pin_voices', 'drive_id'],
  ['trace_pieces', 'drive_id'],
  ['traces', 'drive_id'],
  ['yard_rows', 'run_id'],
  ['yard_runs', 'learner_id'],
  ['events', 'drive_id'],
  ['estimates', 'learner_id'],
  ['jobs', 'subject'],
  ['drives', 'learner_id'],
  ['sheets', 'learner_id'],
  ['reviews', 'learner_id'],
  ['lessons', 'learner_id'],
  ['learners', 'id'],
];

type Row = Readonly<Record<string, unknown>>;

/** The condition under which a row of a table is about a learner. */
export function isAbout(owner: Owner, schoolId: string, learnerId: string) {
  const drives = sql`select id from drives where school_id = ${schoolId} and learner_id = ${learnerId}`;
  const runs = sql`select id from yard_runs where school_id = ${schoolId} and learner_id = ${learnerId}`;
  const whose =
    owner === 'drive_id'
      ? sql`drive_id in (${drives})`
      : owner === 'run_id'
        ? sql`run_id in (${runs})`
        : sql`${sql.ref(owner)} = ${learnerId}`;
  return sql`school_id = ${schoolId} and ${whose}`;
}

/** Every row about a learner, by table. */
export async function rowsAbout(
  { db, who: { schoolId } }: InSchool,
  learnerId: string,
): Promise<ReadonlyMap<keyof Tables, readonly Row[]>> {
  const found = new Map<keyof Tables, readonly Row[]>();
  for (const [table, owner] of learnerTables) {
    const { rows } = await sql<Row>`select * from ${sql.table(table)}
      where ${isAbout(owner, schoolId, learnerId)}`.execute(db);
    found.set(table, rows);
  }
  return found;
}
