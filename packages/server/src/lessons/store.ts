import { t } from '@jasperwren/words/refusals';
import type { LessonPlan, LessonsView } from '@jasperwren/contract/lessons';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { missing } from '../refusal';
import { refuseStale } from '../stale';
import { getLearner } from '../learners/store';
import type { CalendarOf } from './calendar';
import { freeHoursOf } from './free-hours';
import { refuseDoubleBooking } from './double-booking';

/**
 * The lessons of a learner that stand, and what a plan is made from.
 * @throws missing where the school has no such learner
 */
export async function lessonsOf(call: Call, learnerId: string): Promise<LessonsView> {
  const {
    db,
    who: { schoolId, accountId },
  } = call;
  const version = await planVersion(call, learnerId);
  const [rows, taken, freeHours] = await Promise.all([
    db
      .selectFrom('lessons')
      .innerJoin('accounts', 'accounts.id', 'lessons.account_id')
      .select(['lessons.id', 'lessons.start', 'lessons.minutes', 'lessons.goals', 'accounts.name'])
      .where('lessons.school_id', '=', schoolId)
      .where('learner_id', '=', learnerId)
      .where('cancelled', '=', 0)
      .orderBy('start')
      .execute(),
    db
      .selectFrom('lessons')
      .select(['start', 'minutes'])
      .where('school_id', '=', schoolId)
      .where('account_id', '=', accountId)
      .where('learner_id', '!=', learnerId)
      .where('cancelled', '=', 0)
      .execute(),
    freeHoursOf(call),
  ]);
  return {
    lessons: rows.map(({ id, start, minutes, goals, name }) => ({
      id,
      start,
      minutes,
      goals: JSON.parse(goals) as LessonGoal[],
      instructorName: name,
    })),
    version,
    freeHours,
    taken,
  };
}

/** @throws missing where the school has no such learner */
async function planVersion(call: InSchool, learnerId: string): Promise<number> {
  const {
    db,
    who: { schoolId },
  } = call;
  await getLearner(call, learnerId);
  const row = await db
    .selectFrom('learners')
    .select('plan_version')
    .where('school_id', '=', schoolId)
    .where('id', '=', learnerId)
    .executeTakeFirstOrThrow();
  return row.plan_version;
}

/**
 * Makes the lessons of a learner those of a plan: new ones are booked, others moved or given other goals, and those
 * left out are cancelled; past ones stay. All of it or nothing.
 * @throws missing where the school has no such learner or the learner no such lesson; conflict where the plan was changed since
 *   it was read, or the learner or the instructor would be in two places at once, with who has the hour
 */
export async function keepPlan(
  call: Call,
  learnerId: string,
  { lessons, version }: LessonPlan,
  today: string,
): Promise<void> {
  const { db, who, now: at } = call;
  const { schoolId, accountId } = who;
  const now = await lessonsOf(call, learnerId);
  refuseStale(version, now.version, t('planChanged'), now);
  const updated_at = at.toISOString();
  const before = await db
    .selectFrom('lessons')
    .selectAll()
    .where('school_id', '=', schoolId)
    .where('learner_id', '=', learnerId)
    .where('cancelled', '=', 0)
    .execute();
  await refuseDoubleBooking(call, learnerId, lessons, before, today);
  for (const { id, start, minutes, goals } of lessons) {
    const body = { start, minutes, goals: JSON.stringify(goals) };
    const known = before.find((row) => row.id === id);
    if (id !== undefined && !known)
      throw missing(t('lessonsGone'), {
        code: 'no-lesson',
      });
    if (!known) {
      await db
        .insertInto('lessons')
        .values({
          school_id: schoolId,
          id: newId(),
          learner_id: learnerId,
          account_id: accountId,
          ...body,
          cancelled: 0,
          sequence: 0,
          updated_at,
        })
        .execute();
    } else if (known.start !== start || known.minutes !== minutes || known.goals !== body.goals) {
      await db
        .updateTable('lessons')
        .set({ ...body, sequence: known.sequence + 1, updated_at })
        .where('school_id', '=', schoolId)
        .where('id', '=', known.id)
        .execute();
    }
  }
  for (const row of before) {
    if (row.start.slice(0, 10) < today || lessons.some(({ id }) => id === row.id)) continue;
    await db
      .updateTable('lessons')
      .set({ cancelled: 1, sequence: row.sequence + 1, updated_at })
      .where('school_id', '=', schoolId)
      .where('id', '=', row.id)
      .execute();
  }
  await db
    .updateTable('learners')
    .set({ plan_version: version + 1 })
    .where('school_id', '=', schoolId)
    .where('id', '=', learnerId)
    .execute();
}

/** Every lesson of a learner for a calendar, cancelled ones included. */
export async function calendarOf(call: InSchool, learnerId: string): Promise<CalendarOf> {
  const {
    db,
    who: { schoolId },
  } = call;
  const learner = await getLearner(call, learnerId);
  const rows = await db
    .selectFrom('lessons')
    .selectAll()
    .where('school_id', '=', schoolId)
    .where('learner_id', '=', learnerId)
    .orderBy('start')
    .execute();
  return {
    learnerId,
    learnerName: learner.name,
    testDate: learner.testDate,
    testCentre: learner.testCentre,
    lessons: rows.map(({ id, start, minutes, goals, cancelled, sequence, updated_at }) => ({
      id,
      start,
      minutes,
      goals: JSON.parse(goals) as LessonGoal[],
      cancelled: cancelled === 1,
      sequence,
      updatedAt: updated_at,
    })),
  };
}
