import { wordsOf } from './words';

export const resource = {
  today: 'Today',
  learners: 'Learners',
  drive: 'Drive',
  checks: 'Checks',
  standards: 'Standards',
  yourSignIn: 'your sign-in',
  yourSecondFactor: 'your second factor',
  main: 'Main',
  jasperwren: 'Jasperwren',
  account: 'Account',
  aNewerVersionOfJasperwrenIs: 'A newer version of Jasperwren is here.',
  reloadIntoIt: 'Reload into it',
  entriesWere_one: '{{count}} entry was',
  entriesWere_other: '{{count}} entries were',
  countedRefusedByTheServerAnd: '{{counted}} refused by the server and {{part}} kept here.',
  seeWhy: 'See why',
  drill: 'Drill',
  whenSafe: 'When safe',
  debriefs: 'Debriefs',
  yourDrill: 'your drill',
  thePage: 'the page',
  thereIsNoSuchPage: 'There is no such page',
  theAddressLeadsNowhere: 'The address leads nowhere.',
  goToToday: 'Go to Today',
  thisPageBroke: 'This page broke',
  whatYouMarkedIsKeptOn: 'What you marked is kept on this device. Reload the page to go on.',
} as const;

export const t = wordsOf('shell', resource);
