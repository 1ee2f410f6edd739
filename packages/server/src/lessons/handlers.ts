import { file, type HandlersOf } from '../http/call';
import { todayOf } from '../school/store';
import { lessonsCalendar } from './calendar';
import { upcomingLessons } from './upcoming';
import { calendarOf, keepPlan, lessonsOf } from './store';
import { freeHoursOf, setFreeHours } from './free-hours';

/** Lessons planned, and the hours in which they can be given. */
export const lessonHandlers: HandlersOf<
  'freeHours' | 'setFreeHours' | 'upcomingLessons' | 'lessons' | 'keepLessons' | 'calendar'
> = {
  freeHours: (call) => freeHoursOf(call),
  setFreeHours: ({ write }, _, body) => write((trx) => setFreeHours(trx, body)),
  upcomingLessons: async (call) => upcomingLessons(call, await todayOf(call)),
  lessons: (call, { learnerId }) => lessonsOf(call, learnerId),
  keepLessons: ({ write }, { learnerId }, body) =>
    write(async (trx) => {
      await keepPlan(trx, learnerId, body, await todayOf(trx));
      return lessonsOf(trx, learnerId);
    }),
  async calendar(call, { learnerId }) {
    const calendar = await calendarOf(call, learnerId);
    return file('lessons.ics', 'text/calendar; charset=utf-8', lessonsCalendar(calendar));
  },
};
