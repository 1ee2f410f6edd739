import { t } from '@jasperwren/words/school';
import type { AuditExtra, AuditLine } from '@jasperwren/contract/audit';
import type { RouteName } from '@jasperwren/contract/routes';

/** What somebody did, as a sentence goes on after their name. */
export const deedWords: Readonly<Partial<Record<RouteName | AuditExtra, string>>> = {
  signIn: t('signedIn'),
  signOut: t('signedOut'),
  refusedSignIn: t('wasRefusedAtSignIn'),
  recoverAccount: t('wasLetInAgainFromThe'),
  changePassword: t('changedTheirPassword'),
  choosePassword: t('choseAPasswordByALink'),
  endSignIn: t('signedADeviceOfTheirsOut'),
  endOtherSignIns: t('signedTheirOtherDevicesOut'),
  beginFactor: t('beganToSetUpASecond'),
  confirmFactor: t('turnedTheirSecondFactorOn'),
  dropFactor: t('turnedTheirSecondFactorOff'),
  editSchool: t('changedTheSchoolsParticulars'),
  closeSchool: t('closedTheSchool'),
  invite: t('invitedSomebody'),
  editAccount: t('changedAnAccount'),
  disableAccount: t('letSomebodyInNoMore'),
  enableAccount: t('letSomebodyInAgain'),
  handOver: t('handedLearnersAndLessonsOver'),
  sendPasswordLink: t('madeALinkForANew'),
  signOutAccount: t('signedSomebodyOutEverywhere'),
  removeFactor: t('tookSomebodysSecondFactorOff'),
  auditTable: t('savedThisTrailAsATable'),
  addLearner: t('enteredALearner'),
  editLearner: t('changedALearner'),
  archiveLearner: t('archivedALearner'),
  unarchiveLearner: t('putALearnerBackOnThe'),
  exportLearner: t('savedEverythingAboutALearner'),
  eraseLearner: t('erasedALearner'),
  eraseOutOfTime: t('erasedLearnersKeptTooLong'),
  beginStandard: t('beganAStandard'),
  importStandard: t('broughtAStandardIn'),
  saveDraft: t('changedTheDraftOfAStandard'),
  dropDraft: t('threwTheDraftOfAStandard'),
  publishStandard: t('publishedAStandard'),
  retireStandard: t('tookAStandardOutOfUse'),
  unretireStandard: t('broughtAStandardBackIntoUse'),
  standardFile: t('savedAStandardAsAFile'),
  sendEvents: t('markedADrive'),
  driveRecord: t('savedTheRecordOfADrive'),
  driveTable: t('savedTheFaultsOfADrive'),
  share: t('sharedADebrief'),
  revokeShare: t('tookASharedLinkBack'),
  sawPrivateNotes: t('lookedAtPrivateNotesOfA'),
  addSheet: t('enteredARealTest'),
  editSheet: t('correctedARealTest'),
  dropSheet: t('tookARealTestOffThe'),
  setFreeHours: t('changedTheirHours'),
  keepLessons: t('bookedLessons'),
  calendar: t('savedACalendarFile'),
  addQuestion: t('wroteASafetyQuestion'),
  editQuestion: t('changedASafetyQuestion'),
  retireQuestion: t('tookASafetyQuestionOutOf'),
  unretireQuestion: t('broughtASafetyQuestionBack'),
  addVehicle: t('enteredACar'),
  editVehicle: t('changedACar'),
  addReviews: t('heardSafetyQuestions'),
  chooseVehicle: t('choseALearnersCar'),
  letIn: t('madeACodeForALearner'),
  endAccess: t('endedALearnersSignIns'),
  learnerSignIn: t('signedInByACode'),
  addMyReviews: t('answeredSafetyQuestions'),
};

export const deedOf = ({ action }: Pick<AuditLine, 'action'>): string =>
  deedWords[action as RouteName | AuditExtra] ?? action;

/** Who did it. */
export function doerOf({ by, byLearner, learner }: AuditLine): string {
  if (by) return by.name || t('somebody');
  if (byLearner) return learner?.name ?? t('aLearner');
  return t('somebodyNotSignedIn');
}
