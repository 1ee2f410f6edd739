import { wordsOf } from './words';

export const resource = {
  skipToContent: 'Skip to content',
  find: 'Find',
  ctrlK: 'Ctrl K',
  more: 'More',
  today: 'Today',
  learners: 'Learners',
  mockTest: 'Mock test',
  routes: 'Routes',
  yard: 'Yard',
  questions: 'Questions',
  standards: 'Standards',
  yourSignIn: 'your sign-in',
  yourSecondFactor: 'your second factor',
  main: 'Main',
  jasperwren: 'Jasperwren',
  account: 'Account',
  page: 'page',
  somethingWentWrongOnThisPage: 'Something went wrong on this page',
  reloadThePageFaultsRecordedOn: 'Reload the page. Faults recorded on this device are safe.',
} as const;

export const t = wordsOf('shell', resource);
