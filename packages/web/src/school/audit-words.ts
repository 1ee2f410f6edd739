import type { AuditExtra, AuditLine } from '@jasperwren/contract/audit';
import type { RouteName } from '@jasperwren/contract/routes';

/** What somebody did, as a sentence goes on after their name. */
export const deedWords: Readonly<Partial<Record<RouteName | AuditExtra, string>>> = {
  signIn: 'signed in',
  signOut: 'signed out',
  refusedSignIn: 'was refused at sign-in',
  recoverAccount: 'was let in again from the command line',
  changePassword: 'changed their password',
  choosePassword: 'chose a password by a link',
  endSignIn: 'signed a device of theirs out',
  endOtherSignIns: 'signed their other devices out',
  beginFactor: 'began to set up a second factor',
  confirmFactor: 'turned their second factor on',
  dropFactor: 'turned their second factor off',
  editSchool: 'changed the school’s particulars',
  closeSchool: 'closed the school',
  invite: 'invited somebody',
  editAccount: 'changed an account',
  disableAccount: 'let somebody in no more',
  enableAccount: 'let somebody in again',
  handOver: 'handed learners and lessons over',
  sendPasswordLink: 'made a link for a new password',
  signOutAccount: 'signed somebody out everywhere',
  removeFactor: 'took somebody’s second factor off',
  auditTable: 'saved this trail as a table',
  addLearner: 'entered a learner',
  editLearner: 'changed a learner',
  archiveLearner: 'archived a learner',
  unarchiveLearner: 'put a learner back on the list',
  exportLearner: 'saved everything about a learner',
  eraseLearner: 'erased a learner',
  eraseOutOfTime: 'erased learners kept too long',
  beginStandard: 'began a standard',
  importStandard: 'brought a standard in',
  saveDraft: 'changed the draft of a standard',
  dropDraft: 'threw the draft of a standard away',
  publishStandard: 'published a standard',
  retireStandard: 'took a standard out of use',
  unretireStandard: 'brought a standard back into use',
  standardFile: 'saved a standard as a file',
  sendEvents: 'marked a drive',
  driveRecord: 'saved the record of a drive',
  driveTable: 'saved the faults of a drive as a table',
  share: 'shared a debrief',
  revokeShare: 'took a shared link back',
  sawPrivateNotes: 'looked at private notes of a colleague',
  addSheet: 'entered a real test',
  editSheet: 'corrected a real test',
  dropSheet: 'took a real test off the record',
  setFreeHours: 'changed their hours',
  keepLessons: 'booked lessons',
  calendar: 'saved a calendar file',
  addQuestion: 'wrote a safety question',
  editQuestion: 'changed a safety question',
  retireQuestion: 'took a safety question out of use',
  unretireQuestion: 'brought a safety question back',
  addVehicle: 'entered a car',
  editVehicle: 'changed a car',
  addReviews: 'heard safety questions',
  chooseVehicle: 'chose a learner’s car',
  letIn: 'made a code for a learner',
  endAccess: 'ended a learner’s sign-ins',
  learnerSignIn: 'signed in by a code',
  addMyReviews: 'answered safety questions',
};

export const deedOf = ({ action }: Pick<AuditLine, 'action'>): string =>
  deedWords[action as RouteName | AuditExtra] ?? action;

/** Who did it. */
export function doerOf({ by, byLearner, learner }: AuditLine): string {
  if (by) return by.name || 'Somebody';
  if (byLearner) return learner?.name ?? 'A learner';
  return 'Somebody not signed in';
}
