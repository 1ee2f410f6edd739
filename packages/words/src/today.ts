import { wordsOf } from './words';

export const resource = {
  leftTest: '{{left}}. {{test}}.',
  lessonsToday: 'Lessons today',
  nextLesson: 'Next lesson',
  minutesMin: '{{minutes}} min',
  startMockTestWithName: 'Start mock test with {{name}}',
  withInstructorName: 'with {{instructorName}}',
  inProgress: 'In progress',
  toFinishOnThisDevice: 'To finish on this device',
  today: 'Today',
  noLearnersYetAddYourFirst: 'No learners yet. Add your first learner, then start a mock test.',
  nothingToFinish: 'Nothing to finish',
  openToFinish: '{{open}} to finish',
  noDrivingTestBooked: 'No driving test booked',
  nextDrivingTestWhen: 'Next driving test {{when}}',
  startMockTest: 'Start mock test',
  toFinish: 'To finish',
  recentMockTests: 'Recent mock tests',
  noMockTestsYet: 'No mock tests yet.',
  upcomingDrivingTests: 'Upcoming driving tests',
  noDrivingTestsBookedAddA: 'No driving tests booked. Add a test date under Learners.',
} as const;

export const t = wordsOf('today', resource);
