import type { LearnerView } from '@jasperwren/contract/learners';
import type { UpcomingLesson } from '@jasperwren/contract/lessons';
import dayjs from 'dayjs';

/** A learner whose mock test comes next, and why: a lesson that holds one, or their driving test. */
export interface NextUp {
  readonly learner: LearnerView;
  readonly lesson?: UpcomingLesson;
}

const mostShown = 4;
const daysAhead = 7;

/** Who has a mock test in a lesson of the next days, the earliest first; then those whose driving test is nearest. */
export function nextUp(
  learners: readonly LearnerView[],
  lessons: readonly UpcomingLesson[],
  now: dayjs.Dayjs = dayjs(),
): readonly NextUp[] {
  const byId = new Map(learners.map((learner) => [learner.id, learner]));
  const found = new Map<string, NextUp>();
  for (const lesson of lessons) {
    const learner = byId.get(lesson.learnerId);
    const soon = dayjs(lesson.start).diff(now, 'day') < daysAhead;
    if (learner && soon && !found.has(learner.id) && lesson.goals.some(({ kind }) => kind === 'mock'))
      found.set(learner.id, { learner, lesson });
  }
  const tested = learners
    .filter(({ id, testDate }) => testDate && !found.has(id) && !dayjs(testDate).isBefore(now, 'day'))
    .sort((a, b) => a.testDate!.localeCompare(b.testDate!));
  return [...found.values(), ...tested.map((learner) => ({ learner }))].slice(0, mostShown);
}
