import { wordsOf } from './words';

export const resource = {
  aNewVersionOfJasperwrenIs: 'A new version of Jasperwren is ready.',
  reload: 'Reload',
  refusedByTheServer_one: '{{count}} change was refused by the server and is kept here.',
  refusedByTheServer_other: '{{count}} changes were refused by the server and are kept here.',
  seeWhy: 'See why',
  noConnection: 'No connection. What you see is from {{when}}.',
  noConnectionUnknown: 'No connection. What you see was kept on this device.',
  tryAgain: 'Try again',
  keeping: 'Getting ready for driving without a network…',
  ready: 'Ready for driving without a network, as of {{time}}.',
  incomplete: 'Not ready for driving without a network: not everything could be loaded.',
  lessonsNotHere: 'No connection, and no lessons are kept on this device.',
} as const;

export const t = wordsOf('offline', resource);
