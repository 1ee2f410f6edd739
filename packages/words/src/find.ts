import { wordsOf } from './words';

export const resource = {
  actions: 'Actions',
  startMockTest: 'Start mock test',
  addLearner: 'Add learner',
  readinessOfAllLearners: 'Readiness of all learners',
  addQuestion: 'Add question',
  addCar: 'Add car',
  school: 'School',
  mockTests: 'Mock tests',
  learnerDate: '{{learner}}, {{date}}',
  nothingFound: 'Nothing found.',
  findALearnerTest: 'Find a learner, mock test, standard or action',
  safeMoment: 'Safe moment',
  wheels: 'Where the wheels go',
  stopping: 'Stopping and seeing',
} as const;

export const t = wordsOf('find', resource);
