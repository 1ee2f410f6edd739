import type { OutOfTime } from '@jasperwren/contract/school';
import { sql } from 'kysely';
import type { InSchool } from '../call';
import { getSchool } from '../school/store';

/** Archived learners whose last drive, lesson or test lies further back than the school keeps them, the longest first. */
export async function outOfTime(call: InSchool): Promise<readonly OutOfTime[]> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  const { keepMonths } = await getSchool(call);
  if (keepMonths === undefined) return [];
  const before = new Date(now);
  before.setUTCMonth(before.getUTCMonth() - keepMonths);
  const { rows } = await sql<OutOfTime>`select * from (
    select id as learnerId, name, substr(max(
      created_at,
      coalesce((select max(started_at) from drives where drives.school_id = l.school_id and learner_id = l.id), ''),
      coalesce((select max(start) from lessons where lessons.school_id = l.school_id and learner_id = l.id), ''),
      coalesce((select max(date) from sheets where sheets.school_id = l.school_id and learner_id = l.id), '')
    ), 1, 10) as lastOn
    from learners l where school_id = ${schoolId} and archived_at is not null
  ) where lastOn < ${before.toISOString().slice(0, 10)} order by lastOn`.execute(db);
  return rows;
}
