import type { LessonPlan } from '@jasperwren/contract/lessons';
import { endOf, overlaps, type Booking } from '@jasperwren/core/readiness/booking';
import { t } from '@jasperwren/words/refusals';
import type { Call } from '../call';
import { conflict } from '../refusal';
import type { Tables } from '../db/schema';

type LessonRow = Pick<Tables['lessons'], 'id' | 'start' | 'minutes' | 'account_id'>;

/**
 * Says no where a lesson that is new or moved overlaps another one of the learner, or of its instructor. It runs inside
 * the transaction that books, so that of two who want one hour the first has it.
 * @throws 409
 */
export async function refuseDoubleBooking(
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
    if (own) throw doubleBooked(lesson.at, t('lessonThere', hourOf(own)));
    const taken = others.find((other) => other.account_id === lesson.accountId && overlaps(other, lesson));
    if (taken)
      throw doubleBooked(
        lesson.at,
        t('hasLessonWith', { teacher: taken.teacher, learner: taken.learner, ...hourOf(taken) }),
      );
  }
}

const doubleBooked = (at: number, message: string) =>
  conflict(t('nothingWasSaved', { message }), {
    code: 'double-booked',
    problems: [{ field: `lessons.${at}.start`, message }],
  });

/** When a lesson is, for a sentence: its day as milliseconds of UTC, and the times of its clock. */
export const hourOf = (booking: Booking) => ({
  date: Date.parse(`${booking.start}Z`),
  from: booking.start.slice(11),
  to: endOf(booking).slice(11),
});
