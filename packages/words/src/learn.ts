import { wordsOf } from './words';

export const resource = {
  practice: 'Practice',
  enterTheCodeFromYourInstructor: 'Enter the code from your instructor. It works once and keeps you signed in here.',
  code: 'Code',
  signIn: 'Sign in',
  tenMinutes: 'Practice',
  numbers: 'Numbers',
  helloFirstName: 'Hello {{firstName}}',
  yourDrivingTestIsOnDate: 'Your driving test is on {{date}}, {{when}}.',
  noDrivingTestBookedYet: 'No driving test booked yet.',
  practiseFor10Minutes: 'Practise for 10 minutes',
  quickNumbers: 'Stopping distances',
  answersAre_one: '{{count}} answer is',
  answersAre_other: '{{count}} answers are',
  countedSavedOnThisDeviceUntil: '{{counted}} saved on this device until you are online.',
  workOnNext: 'Work on next',
  safeMoment: 'Safe moment',
  lookWellAheadCheckTheMirror: 'Look well ahead, check the mirror, then act. Take your time.',
  routes: 'Routes',
  routes2: 'routes',
  noRoutesToRehearse: 'No routes to rehearse yet. Your instructor can share one.',
  debriefs: 'Debriefs',
  debriefs2: 'debriefs',
  practice2: 'practice',
  earlierAnswersMissing: 'Your earlier answers could not be loaded. Practice may ask what you already know.',
  noDebriefsYetYourInstructorCan: 'No debriefs yet. Your instructor can share one after your next mock test.',
  readableUntilDate: 'readable until {{date}}',
  debrief: 'debrief',
} as const;

export const t = wordsOf('learn', resource);
