import { t } from '@jasperwren/words/refusals';
import type { FreeHoursList, FreeHoursView, LessonPlan, LessonsView } from '@jasperwren/contract/lessons';
import { endOf, overlaps, type Booking } from '@jasperwren/core/readiness/booking';
import type { FreeHours } from '@jasperwren/core/readiness/plan';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { conflict, missing } from '../refusal';
import type { Tables } from '../db/schema';
import { refuseStale } from '../stale';
import { getLearner } from '../learners/store';
import type { CalendarOf } from './calendar';

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

/** When an instructor gives lessons. */
export async function freeHoursOf({ db, who: { schoolId, accountId } }: Call): Promise<FreeHoursView> {
  const row = await db
    .selectFrom('accounts')
    .select(['free_hours', 'hours_version'])
    .where('school_id', '=', schoolId)
    .where('id', '=', accountId)
    .executeTakeFirstOrThrow();
  return { hours: JSON.parse(row.free_hours ?? '[]') as FreeHours[], version: row.hours_version };
}

/**
 * Says when an instructor gives lessons.
 * @throws conflict where they were changed since, on another device
 */
export async function setFreeHours(call: Call, { hours, version }: FreeHoursList): Promise<FreeHoursView> {
  const { db, who } = call;
  const now = await freeHoursOf(call);
  refuseStale(version, now.version, 'these hours', now);
  await db
    .updateTable('accounts')
    .set({ free_hours: JSON.stringify(hours), hours_version: now.version + 1 })
    .where('school_id', '=', who.schoolId)
    .where('id', '=', who.accountId)
    .execute();
  return freeHoursOf(call);
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
  refuseStale(version, now.version, 'this plan', now);
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

type LessonRow = Pick<Tables['lessons'], 'id' | 'start' | 'minutes' | 'account_id'>;

/**
 * Says no where a lesson that is new or moved overlaps another one of the learner, or of its instructor. It runs inside
 * the transaction that books, so that of two who want one hour the first has it.
 * @throws 409
 */
async function refuseDoubleBooking(
  { db, who: { schoolId, accountId } }: Call,
  learnerId: string,
  lessons: LessonPlan['lessons'],
  before: readonly LessonRow[],
  today: string,
): Promise<void> {
  const known = new Map(before.map((row) => [row.id, row]));
  const planned = lessons.map(({ id, start, minutes }, at) => {
    const row = id === undefined ? undefined : known.get(id);
    const changed = !row || row.start !== start || row.minutes !== minutes;
    return { at, start, minutes, changed, accountId: row?.account_id ?? accountId };
  });
  const kept = new Set(lessons.flatMap(({ id }) => id ?? []));
  const past = before
    .filter(({ id, start }) => start.slice(0, 10) < today && !kept.has(id))
    .map(({ start, minutes, account_id }) => ({ at: -1, start, minutes, changed: false, accountId: account_id }));
  const changed = planned.filter((lesson) => lesson.changed);
  if (changed.length === 0) return;
  const others = await db
    .selectFrom('lessons')
    .innerJoin('learners', 'learners.id', 'lessons.learner_id')
    .innerJoin('accounts', 'accounts.id', 'lessons.account_id')
    .select([
      'lessons.start',
      'lessons.minutes',
      'lessons.account_id',
      'learners.name as learner',
      'accounts.name as teacher',
    ])
    .where('lessons.school_id', '=', schoolId)
    .where('lessons.learner_id', '!=', learnerId)
    .where('lessons.account_id', 'in', [...new Set(changed.map((lesson) => lesson.accountId))])
    .where('cancelled', '=', 0)
    .execute();
  for (const lesson of changed) {
    const own = [...planned, ...past].find((other) => other !== lesson && overlaps(other, lesson));
    if (own) throw doubleBooked(lesson.at, t('lessonThere', { own: hourWords(own) }));
    const taken = others.find((other) => other.account_id === lesson.accountId && overlaps(other, lesson));
    if (taken)
      throw doubleBooked(
        lesson.at,
        t('hasLessonWith', { teacher: taken.teacher, learner: taken.learner, taken: hourWords(taken) }),
      );
  }
}

const doubleBooked = (at: number, message: string) =>
  conflict(t('nothingWasSaved', { message }), {
    code: 'double-booked',
    problems: [{ field: `lessons.${at}.start`, message }],
  });

const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });

/** "on 1 June 2099 from 09:00 to 10:00". */
function hourWords(booking: Booking): string {
  const { start } = booking;
  return `on ${day.format(new Date(`${start}Z`))} from ${start.slice(11)} to ${endOf(booking).slice(11)}`;
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
