import type { UpcomingLesson } from '@jasperwren/contract/lessons';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import type { Call } from '../call';

/** So many at most: what lies further ahead is in the plan of the learner. */
const mostListed = 60;

/**
 * The lessons of the instructor from a day on, the earliest first.
 * @param today `YYYY-MM-DD`, as the calendar of the school has it
 */
export async function upcomingLessons(
  { db, who: { schoolId, accountId } }: Call,
  today: string,
): Promise<readonly UpcomingLesson[]> {
  const rows = await db
    .selectFrom('lessons')
    .innerJoin('learners', 'learners.id', 'lessons.learner_id')
    .select(['lessons.id', 'start', 'minutes', 'goals', 'learner_id', 'learners.name', 'vehicle_id'])
    .where('lessons.school_id', '=', schoolId)
    .where('lessons.account_id', '=', accountId)
    .where('cancelled', '=', 0)
    .where('start', '>=', today)
    .where('archived_at', 'is', null)
    .orderBy('start')
    .limit(mostListed)
    .execute();
  return rows.map(({ id, start, minutes, goals, learner_id, name, vehicle_id }) => ({
    id,
    start,
    minutes,
    goals: JSON.parse(goals) as LessonGoal[],
    learnerId: learner_id,
    learnerName: name,
    ...(vehicle_id !== null && { vehicleId: vehicle_id }),
  }));
}
