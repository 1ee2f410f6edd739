import type { FreeHoursList, FreeHoursView, LessonPlan, LessonsView, UpcomingLesson } from '../lessons';
import type { ReadinessInput, SchoolReadiness } from '../readiness';
import { del, get, post, put } from '../route';
import type { SheetEdit, SheetInput, SheetView } from '../sheets';

/** Licence tests, lessons, readiness. */
export const lessonsRoutes = {
  sheets: get('/api/learners/:learnerId/sheets', 'staff', { reads: ['sheets', 'learners'] }).answers<
    readonly SheetView[]
  >(),
  addSheet: post('/api/learners/:learnerId/sheets', 'staff', {
    changes: ['sheets', 'readiness'],
  })
    .takes<SheetInput>()
    .answers<SheetView>(201),
  sheet: get('/api/sheets/:sheetId', 'staff', { reads: ['sheets', 'learners'] }).answers<SheetView>(),
  editSheet: put('/api/sheets/:sheetId', 'staff', {
    changes: ['sheets', 'readiness'],
  })
    .takes<SheetEdit>()
    .answers<SheetView>(),
  dropSheet: del('/api/sheets/:sheetId', 'staff', { changes: ['sheets', 'readiness'] }).done(),
  freeHours: get('/api/free-hours', 'staff', { reads: ['lessons'] }).answers<FreeHoursView>(),
  setFreeHours: put('/api/free-hours', 'staff', { changes: ['lessons'] })
    .takes<FreeHoursList>()
    .answers<FreeHoursView>(),
  upcomingLessons: get('/api/lessons', 'staff', { reads: ['lessons', 'learners'] }).answers<
    readonly UpcomingLesson[]
  >(),
  lessons: get('/api/learners/:learnerId/lessons', 'staff', {
    reads: ['lessons', 'learners', 'accounts'],
  }).answers<LessonsView>(),
  keepLessons: put('/api/learners/:learnerId/lessons', 'staff', {
    // The forecast goes by the lessons that are booked.
    changes: ['lessons', 'readiness'],
  })
    .takes<LessonPlan>()
    .answers<LessonsView>(),
  calendar: get('/api/learners/:learnerId/lessons.ics', 'staff').file(),
  schoolReadiness: get('/api/readiness', 'staff', {
    // A drive tells by the estimate that follows from it.
    reads: ['readiness', 'learners', 'sheets', 'accounts'],
    ofSchool: true,
  }).answers<SchoolReadiness>(),
  schoolFigures: get('/api/readiness/figures.json', 'staff').file(),
  readiness: get('/api/learners/:learnerId/readiness', 'staff', {
    reads: ['readiness', 'learners', 'lessons', 'drives', 'sheets', 'reviews', 'checks', 'standards'],
  }).answers<ReadinessInput>(),
} as const;
