import { wordsOf } from './words';

export const resource = {
  asATable: 'As a table',
  area: 'Area',
  question: 'Question',
  missed: 'Missed',
  asked: 'Asked',
  day: 'Day',
  passesOf20: 'Passes in 20 tests',
  from: 'From',
  to: 'To',
  drivingTest: 'Driving test',
  passed: 'Passed',
  failed: 'Failed',
  estimated: 'Estimated chance',
  learners: 'Learners',
} as const;

export const t = wordsOf('charts', resource);
