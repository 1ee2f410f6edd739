import { t } from '@jasperwren/words/calendar';
import { goalName, goalSeek } from '@jasperwren/words/lesson-goals';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';

export interface CalendarLesson {
  readonly id: string;
  readonly start: string;
  readonly minutes: number;
  readonly goals: readonly LessonGoal[];
  readonly cancelled: boolean;
  readonly sequence: number;
  readonly updatedAt: string;
}

export interface CalendarOf {
  readonly learnerId: string;
  readonly learnerName: string;
  readonly testDate?: string | undefined;
  readonly testCentre?: string | undefined;
  readonly lessons: readonly CalendarLesson[];
}

/** RFC 5545, 3.3.11: within a text there is one kind of line end. */
const plain = (text: string) => text.replace(/\r\n?/g, '\n');
const numbers = (text: string) => text.split(/\D/).map(Number);
/** Be there about 15 minutes early (common practice). */
const earlyMin = 15;

/**
 * The lessons and the test as an iCalendar file (RFC 5545). Times are floating: they mean the clock on the wall where
 * the lesson is. A lesson that was cancelled stays in the file as cancelled, so that calendars take it out.
 */
export function lessonsCalendar({ learnerId, learnerName, testDate, testCentre, lessons }: CalendarOf): string {
  const events = lessons.map((lesson): EventAttributes => ({
    uid: `${lesson.id}@jasperwren`,
    title: plain(t('lesson', { learner: learnerName })),
    start: numbers(lesson.start) as DateArray,
    startInputType: 'local',
    startOutputType: 'local',
    duration: { minutes: lesson.minutes },
    description: plain(
      lesson.goals.map((goal) => t('goal', { aim: goalName(goal), where: goalSeek(goal) })).join('\n'),
    ),
    status: lesson.cancelled ? 'CANCELLED' : 'CONFIRMED',
    sequence: lesson.sequence,
    lastModified: Date.parse(lesson.updatedAt),
    productId: 'jasperwren/lessons',
    calName: plain(t('lessons', { learner: learnerName })),
  }));
  const test: EventAttributes[] = testDate
    ? [
        {
          uid: `test-${learnerId}@jasperwren`,
          title: plain(t('test', { learner: learnerName })),
          start: numbers(testDate) as DateArray,
          duration: { days: 1 },
          description: t('early', { minutes: earlyMin }),
          ...(testCentre && { location: plain(testCentre) }),
          productId: 'jasperwren/lessons',
        },
      ]
    : [];
  const { error, value } = createEvents([...events, ...test]);
  if (error || !value) throw new Error('The calendar could not be written.');
  return value;
}
