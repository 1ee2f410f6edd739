import { wordsOf } from './words';

export const resource = {
  nameWhat: '{{name}}: {{what}}',
  actionLine: '{{action}}: {{line}}',
  continue: 'Continue',
  debrief: 'Debrief',
  namePin: 'Name pin',
  savedOnThisDeviceOnly: 'mock test saved on this device only',
  mockTestInProgress: 'mock test in progress',
  stateChanges: '{{state}}, {{changes}}',
  changesNotSent_one: '{{count}} change not sent',
  changesNotSent_other: '{{count}} changes not sent',
  pins_one: '{{count}} pin',
  pins_other: '{{count}} pins',
  possibleDuplicates_one: '{{count}} possible duplicate',
  possibleDuplicates_other: '{{count}} possible duplicates',
  mockTestOfDateLeftToSortOut: 'mock test of {{date}}, {{what}} left to sort out',
  mockTestOfDateSortOut: 'mock test of {{date}}, sort out {{what}} to get the result',
  mockTestOfDateNotDebriefed: 'mock test of {{date}}, not debriefed yet',
} as const;

export const t = wordsOf('to-finish', resource);
