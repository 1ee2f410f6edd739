import { wordsOf } from './words';

export const resource = {
  yourDrill: 'Your drill',
  yourInstructorGivesYouACode: 'Your instructor gives you a code. It works once and keeps you signed in here.',
  code: 'Code',
  signIn: 'Sign in',
  tenMinutes: 'Ten minutes',
  numbers: 'Numbers',
  helloFirstName: 'Hello {{firstName}}',
  yourTestIsOnDateWhen: 'Your test is on {{date}}, {{when}}.',
  noTestIsBookedYet: 'No test is booked yet.',
  drillForTenMinutes: 'Drill for ten minutes',
  numbersQuickFire: 'Numbers, quick-fire',
  answersAre_one: '{{count}} answer is',
  answersAre_other: '{{count}} answers are',
  countedKeptOnThisDeviceUntil: '{{counted}} kept on this device until the server can be reached.',
  workOnNext: 'Work on next',
  whenItIsSafe: 'When it is safe',
  lookFarAheadLookInThe: 'Look far ahead, look in the mirror, then act. Nobody hurries you.',
  debriefs: 'Debriefs',
  yourDebriefs: 'your debriefs',
  nothingHasBeenSharedWithYou: 'Nothing has been shared with you yet. Ask after your next mock test.',
  toBeReadUntilDate: 'to be read until {{date}}',
  theDebrief: 'the debrief',
} as const;

export const t = wordsOf('learn', resource);
