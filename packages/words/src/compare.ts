import { wordsOf } from './words';

export const resource = {
  nearestGradeThisItemHas: 'nearest grade this item has',
  gradedAnewByWhatWasMeasured: 'graded anew by what was measured',
  nothingWasMarkedOnThisDrive: 'Nothing was marked on this drive.',
  oneOfFitsItemsItFits: '(one of {{fits}} items it fits)',
  noPlaceWhyNot: 'No place: {{whyNot}}.',
  standardVVersion: '{{standard}} v{{version}}',
  decidedByCrossingWords: 'Decided by {{crossingWords}}.',
  missingBesidesMissing: 'Missing besides: {{missing}}.',
  marks_one: '{{count}} mark',
  marks_other: '{{count}} marks',
  countForNothingHere: 'count for nothing here',
  readAsTo: 'read as “{{to}}”',
  countedOfFromPart: '{{counted}} of “{{from}}” {{part}}.',
  withoutOfCountMarksHaveNo: '{{without}} of {{count}} marks have no place here.',
  theDriveAndTheStandards: 'the drive and the standards',
  theSameDriveMarkedElsewhere: 'The same drive, marked elsewhere',
  markedUnderOwnVVersion: ', marked under {{own}} v{{version}}',
  marksAreTakenOverByWhat:
    'Marks are taken over by what was watched, and grades by their severity. What has no place elsewhere is listed, not dropped in silence.',
  thereIsNoOtherStandardTo: 'There is no other standard to compare with.',
  judgeItUnder: 'Judge it under',
  howEachMarkReadsThere: 'How each mark reads there',
  underEveryStandard: 'Under every standard',
  countOfCount2MarksJudged: '{{count}} of {{count2}} marks judged',
} as const;

export const t = wordsOf('compare', resource);
