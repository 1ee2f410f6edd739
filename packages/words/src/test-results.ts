import { wordsOf } from './words';

export const resource = {
  noAreaHasTheLetterFirst: 'No area has the letter {{first}}.',
  categoryHasNoFaultWithThe: '{{category}} has no fault with the letter {{second}}.',
  itemHasNoGradeThird: '{{item}} has no grade {{third}}.',
  addedFaultGet: 'Added: {{fault}}, {{get}}',
  faults: 'Faults',
  areaFaultAndGrade: 'Area, fault and grade',
  oneWordFewerName: 'One {{word}} fewer: {{name}}',
  oneWordMoreName: 'One {{word}} more: {{name}}',
  testResult: 'Test result',
  dateOfTheTest: 'Date of the test',
  testCentre: 'Test centre',
  officialResult: 'Official result',
  pass: 'Pass',
  fail: 'Fail',
  notes: 'Notes',
  cancel: 'Cancel',
  markingStandard: 'Marking standard',
  byTheseFaultsVerdictSentence: 'By these faults: {{verdictSentence}}',
  theOfficialResultAgrees: 'The official result agrees.',
  theOfficialResultIsAOfficial:
    'The official result is a {{official}}. Check the faults. If they are right, save anyway.',
  learner: 'learner',
  testResultSaved: 'Test result saved.',
  savedItDiffersFromTheOfficial: 'Saved. It differs from the official result.',
  saveResult: 'Save result',
  testResult2: 'test result',
  standard: 'standard',
  testResultDeleted: 'Test result deleted.',
  drivingTestOfDate: 'Driving test of {{date}}',
  learner2: 'Learner',
  deleteResult: 'Delete result',
  saveChanges: 'Save changes',
  thisTestResult: 'This test result',
} as const;

export const t = wordsOf('test-results', resource);
