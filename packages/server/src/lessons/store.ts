import type { LessonPlan, LessonsView } from '@jasperwren/contract/lessons';
import type { FreeHours, LessonGoal } from '@jasperwren/core/readiness/plan';
import createError from 'http-errors';
import { v7 as newId } from 'uuid';
import type { Db } from '../db/database';
import type { Who } from '../http/context';
import { getLearner } from '../learners/store';
import type { CalendarOf } from './calendar';

/**
 * The lessons of a learner that stand, and what a plan is made from.
 * @throws 404 where the school has no such learner
 */
export async function lessonsOf(db: Db, { schoolId, accountId }: Who, learnerId: string): Promise<LessonsView> {
  await getLearner(db, schoolId, learnerId);
  const [rows, taken, account] = await Promise.all([
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
      .select('start')
      .where('school_id', '=', schoolId)
      .where('account_id', '=', accountId)
      .where('learner_id', '!=', learnerId)
      .where('cancelled', '=', 0)
      .execute(),
    db
      .selectFrom('accounts')
      .select('free_hours')
      .where('school_id', '=', schoolId)
      .where('id', '=', accountId)
      .executeTakeFirst(),
  ]);
  return {
    lessons: rows.map(({ id, start, minutes, goals, name }) => ({
      id,
      start,
      minutes,
      goals: JSON.parse(goals) as LessonGoal[],
      instructorName: name,
    })),
    hours: JSON.parse(account?.free_hours ?? '[]') as FreeHours[],
    taken: taken.map(({ start }) => start),
  };
}

/** Says when an instructor gives lessons. */
export async function setFreeHours(db: Db, { schoolId, accountId }: Who, hours: readonly FreeHours[]): Promise<void> {
  await db
    .updateTable('accounts')
    .set({ free_hours: JSON.stringify(hours) })
    .where('school_id', '=', schoolId)
    .where('id', '=', accountId)
    .execute();
}

/**
 * Makes the lessons of a learner those of a plan: new ones are booked, others moved or given other goals, and those
 * left out are cancelled; past ones stay. All of it or nothing.
 * @throws 404 where the school has no such learner or the learner no such lesson; 409 where two begin at once
 */
export async function keepPlan(
  db: Db,
  who: Who,
  learnerId: string,
  { lessons }: LessonPlan,
  today: string,
): Promise<void> {
  const { schoolId, accountId } = who;
  await getLearner(db, schoolId, learnerId);
  if (new Set(lessons.map(({ start }) => start)).size < lessons.length)
    throw createError(409, 'Two lessons begin at the same time. Nothing was saved.', { code: 'two-at-once' });
  const updated_at = new Date().toISOString();
  await db.transaction().execute(async (trx) => {
    const before = await trx
      .selectFrom('lessons')
      .selectAll()
      .where('school_id', '=', schoolId)
      .where('learner_id', '=', learnerId)
      .where('cancelled', '=', 0)
      .execute();
    for (const { id, start, minutes, goals } of lessons) {
      const body = { start, minutes, goals: JSON.stringify(goals) };
      const known = before.find((row) => row.id === id);
      if (id !== undefined && !known)
        throw createError(404, 'One of these lessons is not there any more. Load the plan again.', {
          code: 'no-lesson',
        });
      if (!known) {
        await trx
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
        await trx
          .updateTable('lessons')
          .set({ ...body, sequence: known.sequence + 1, updated_at })
          .where('school_id', '=', schoolId)
          .where('id', '=', known.id)
          .execute();
      }
    }
    for (const row of before) {
      if (row.start.slice(0, 10) < today || lessons.some(({ id }) => id === row.id)) continue;
      await trx
        .updateTable('lessons')
        .set({ cancelled: 1, sequence: row.sequence + 1, updated_at })
        .where('school_id', '=', schoolId)
        .where('id', '=', row.id)
        .execute();
    }
  });
}

/** Every lesson of a learner for a calendar, cancelled ones included. */
export async function calendarOf(db: Db, schoolId: string, learnerId: string): Promise<CalendarOf> {
  const learner = await getLearner(db, schoolId, learnerId);
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
