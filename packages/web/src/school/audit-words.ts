import { t } from '@jasperwren/words/school';
import { afterEndMark, type AuditExtra, type AuditLine } from '@jasperwren/contract/audit';
import type { RouteName } from '@jasperwren/contract/routes';

/** What somebody did, as a sentence goes on after their name. */
export const deedWords: Readonly<Partial<Record<RouteName | AuditExtra, string>>> = {
  signIn: t('signedIn'),
  signOut: t('signedOut'),
  refusedSignIn: t('wasRefusedAtSignIn'),
  recoverAccount: t('gotAccessBackFromTheCommand'),
  changePassword: t('changedTheirPassword'),
  choosePassword: t('choseAPasswordByALink'),
  endSignIn: t('signedOutOneOfTheirDevices'),
  endOtherSignIns: t('signedOutTheirOtherDevices'),
  beginFactor: t('startedSettingUpASecondFactor'),
  confirmFactor: t('turnedTheirSecondFactorOn'),
  dropFactor: t('turnedTheirSecondFactorOff'),
  editSchool: t('changedTheSchoolsDetails'),
  closeSchool: t('closedTheSchool'),
  invite: t('invitedSomeone'),
  editAccount: t('changedAnAccount'),
  disableAccount: t('removedSomeonesAccess'),
  enableAccount: t('restoredSomeonesAccess'),
  handOver: t('handedOverLearnersAndLessons'),
  sendPasswordLink: t('sentAPasswordLink'),
  signOutAccount: t('signedSomeoneOutEverywhere'),
  removeFactor: t('turnedOffSomeonesSecondFactor'),
  auditTable: t('downloadedThisLog'),
  addLearner: t('addedALearner'),
  editLearner: t('changedALearner'),
  archiveLearner: t('archivedALearner'),
  unarchiveLearner: t('restoredALearner'),
  exportLearner: t('downloadedAllDataAboutALearner'),
  eraseLearner: t('erasedALearner'),
  eraseOutOfTime: t('erasedLearnersKeptTooLong'),
  beginStandard: t('startedAStandard'),
  importStandard: t('importedAStandard'),
  saveDraft: t('changedTheDraftOfAStandard'),
  dropDraft: t('deletedTheDraftOfAStandard'),
  publishStandard: t('publishedAStandard'),
  retireStandard: t('retiredAStandard'),
  unretireStandard: t('restoredAStandard'),
  standardFile: t('exportedAStandard'),
  sendEvents: t('markedAMockTest'),
  sendFixes: t('recordedATrace'),
  editTrace: t('changedATrace'),
  sendVoice: t('spokeWithAPin'),
  dropVoice: t('deletedWhatWasSpoken'),
  dropTrace: t('deletedATrace'),
  traceFile: t('downloadedATrace'),
  addYardRun: t('addedAYardRun'),
  carBeganRun: t('aCarBeganAYardRun'),
  yardRunFile: t('downloadedAYardRun'),
  dropYardRun: t('deletedAYardRun'),
  addYardCar: t('addedAYardCar'),
  dropYardCar: t('removedAYardCar'),
  keepWheels: t('keptWheels'),
  dropWheels: t('droppedWheels'),
  placesFile: t('downloadedPlaces'),
  passesTable: t('downloadedPlaces'),
  driveRecord: t('downloadedTheRecordOfAMock'),
  driveTable: t('downloadedTheFaultsOfAMock'),
  share: t('sharedADebrief'),
  revokeShare: t('revokedAShareLink'),
  sawPrivateNotes: t('lookedAtPrivateNotesOfA'),
  addSheet: t('addedATestResult'),
  editSheet: t('changedATestResult'),
  dropSheet: t('deletedATestResult'),
  setFreeHours: t('changedTheirTeachingHours'),
  keepLessons: t('savedLessons'),
  calendar: t('downloadedACalendarFile'),
  schoolFigures: t('downloadedTheSchoolsFigures'),
  addQuestion: t('addedASafetyQuestion'),
  editQuestion: t('changedASafetyQuestion'),
  retireQuestion: t('retiredASafetyQuestion'),
  unretireQuestion: t('restoredASafetyQuestion'),
  addRoads: t('addedRoads'),
  dropRoads: t('deletedRoads'),
  addRoadNote: t('addedARoadNote'),
  editRoadNote: t('changedARoadNote'),
  dropRoadNote: t('deletedARoadNote'),
  addRoute: t('addedARoute'),
  editRoute: t('changedARoute'),
  dropRoute: t('deletedARoute'),
  setPhrases: t('changedThePhrases'),
  setCallTiming: t('changedWhenDirectionsAreSpoken'),
  shareRoute: t('sharedARoute'),
  revokeRouteShare: t('revokedALinkToARoute'),
  addVehicle: t('addedACar'),
  editVehicle: t('changedACar'),
  addReviews: t('heardSafetyQuestions'),
  chooseVehicle: t('choseALearnersCar'),
  letIn: t('createdACodeForALearner'),
  endAccess: t('signedALearnerOut'),
  learnerSignIn: t('signedInWithACode'),
  addMyReviews: t('answeredSafetyQuestions'),
};

export const deedOf = ({ action }: Pick<AuditLine, 'action'>): string =>
  deedWords[action as RouteName | AuditExtra] ?? action;

/** Who did it. */
export function doerOf({ action, by, byLearner, learner, detail }: AuditLine): string {
  if (action === 'carBeganRun') return detail ?? t('aCar');
  if (by) return by.name || t('someone');
  if (byLearner) return learner?.name ?? t('aLearner');
  return t('someoneNotSignedIn');
}

/** What else is to be said of a deed. */
export const detailOf = (detail: string): string =>
  detail.startsWith(afterEndMark) ? t('afterTheEnd', { kinds: detail.slice(afterEndMark.length) }) : detail;
