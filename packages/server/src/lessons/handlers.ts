import { file, type HandlersOf } from '../http/call';
import { todayOf } from '../school/store';
import { lessonsCalendar } from './calendar';
import { calendarOf, freeHoursOf, keepPlan, lessonsOf, setFreeHours } from './store';

/** Lessons planned, and the hours in which they can be given. */
export const lessonHandlers: HandlersOf<'freeHours' | 'setFreeHours' | 'lessons' | 'keepLessons' | 'calendar'> = {
  freeHours: ({ db, who }) => freeHoursOf(db, who),
  setFreeHours: ({ write, who }, _, body) => write((db) => setFreeHours(db, who, body)),
  lessons: ({ db, who }, { learnerId }) => lessonsOf(db, who, learnerId),
  keepLessons: ({ write, who, now }, { learnerId }, body) =>
    write(async (db) => {
      await keepPlan(db, who, learnerId, body, await todayOf(db, who.schoolId, now));
      return lessonsOf(db, who, learnerId);
    }),
  async calendar({ db, who }, { learnerId }) {
    const calendar = await calendarOf(db, who.schoolId, learnerId);
    return file('lessons.ics', 'text/calendar; charset=utf-8', lessonsCalendar(calendar));
  },
};
