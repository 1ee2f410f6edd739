import type { Standard } from '@jasperwren/core/marking/standard';
import type { Review } from '@jasperwren/core/checks/memory';
import type { CheckQuestion } from '@jasperwren/core/checks/question';
import type { VehicleProfile } from '@jasperwren/core/checks/vehicle';
import {
  AccountEdit,
  FactorProof,
  HandOver,
  Invitation,
  NewPassword,
  PasswordChange,
  PasswordProof,
  SignInRequest,
  type AccountView,
  type FactorSecret,
  type HandedOver,
  type PasswordLink,
  type PasswordLinkView,
  type PersonView,
  type RecoveryCodes,
  type SessionView,
  type SignInView,
  type WelcomeView,
} from './accounts';
import { auditFilters, type AuditPage } from './audit';
import {
  AccessRequest,
  CodeSignIn,
  QuestionInput,
  ReviewBatch,
  VehicleChoice,
  VehicleInput,
  type AccessCode,
  type BoardView,
  type ChecksView,
  type KeptVersion,
  type MeView,
  type MyDebrief,
} from './checks';
import { EventBatch, type DriveNews, type DriveSummary, type DriveView, type EventReceipt } from './drives';
import { LearnerEdit, LearnerInput, type LearnerView } from './learners';
import { FreeHoursList, LessonPlan, type FreeHoursView, type LessonsView } from './lessons';
import type { ReadinessInput, SchoolReadiness } from './readiness';
import { del, get, post, put, type Route, type Topic } from './route';
import {
  SchoolInput,
  OutOfTimeIds,
  TypedName,
  type ErasedIds,
  type ErasureReceipt,
  type OutOfTime,
  type SchoolView,
} from './school';
import { ShareInput, type NewShare, type SharedDebrief, type ShareView } from './shares';
import { SheetEdit, SheetInput, type SheetView } from './sheets';
import {
  DraftInput,
  ImportInput,
  NewStandard,
  type DraftView,
  type StandardSummary,
  type StandardView,
} from './standards';

const erasing: readonly Topic[] = ['learners', 'drives', 'lessons', 'reviews', 'shares', 'sheets', 'readiness'];

/** Every way of calling the server; what is not here does not exist. The name is also what the audit trail says. */
export const routes = {
  // Signing in, and the own account.
  welcome: get('/api/welcome', 'anybody').answers<WelcomeView>(),
  session: get('/api/session', 'anybody').answers<SessionView>(),
  signIn: post('/api/session', 'anybody', { body: SignInRequest }).answers<SessionView>(),
  signOut: del('/api/session', 'anybody').done(),
  changePassword: put('/api/session/password', 'staff', { body: PasswordChange }).done(),
  passwordLink: get('/api/password-links/:token', 'anybody').answers<PasswordLinkView>(),
  choosePassword: post('/api/password-links/:token', 'anybody', { body: NewPassword }).done(),
  signIns: get('/api/sign-ins', 'staff').answers<readonly SignInView[]>(),
  endSignIn: del('/api/sign-ins/:signInId', 'staff', { changes: ['signIns'] }).done(),
  endOtherSignIns: del('/api/sign-ins', 'staff', { changes: ['signIns'] }).done(),
  beginFactor: post('/api/session/factor', 'staff', { body: PasswordProof }).answers<FactorSecret>(),
  confirmFactor: put('/api/session/factor', 'staff', {
    body: FactorProof,
    changes: ['accounts'],
  }).answers<RecoveryCodes>(),
  dropFactor: post('/api/session/factor/off', 'staff', { body: PasswordProof, changes: ['accounts'] }).done(),

  // The school and its people.
  school: get('/api/school', 'staff', { reads: ['school'] }).answers<SchoolView>(),
  editSchool: put('/api/school', 'lead', { body: SchoolInput, changes: ['school'] }).answers<SchoolView>(),
  closeSchool: post('/api/school/close', 'lead', { body: TypedName }).done(),
  accounts: get('/api/accounts', 'staff', { reads: ['accounts'] }).answers<readonly AccountView[]>(),
  people: get('/api/people', 'lead').answers<readonly PersonView[]>(),
  invite: post('/api/accounts', 'lead', { body: Invitation, changes: ['accounts'] }).answers<
    AccountView & { readonly link: PasswordLink }
  >(201),
  editAccount: put('/api/accounts/:accountId', 'lead', {
    body: AccountEdit,
    changes: ['accounts', 'drives', 'lessons', 'readiness'],
  }).answers<AccountView>(),
  disableAccount: put('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  enableAccount: del('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  handOver: post('/api/accounts/:accountId/hand-over', 'lead', {
    body: HandOver,
    changes: ['learners', 'lessons', 'readiness'],
  }).answers<HandedOver>(),
  sendPasswordLink: post('/api/accounts/:accountId/password-link', 'lead').answers<PasswordLink>(201),
  signOutAccount: del('/api/accounts/:accountId/sign-ins', 'lead', { changes: ['signIns'] }).done(),
  removeFactor: del('/api/accounts/:accountId/factor', 'lead', { changes: ['accounts'] }).done(),
  audit: get('/api/audit', 'lead', { query: auditFilters }).answers<AuditPage>(),
  auditTable: get('/api/audit.csv', 'lead', { query: auditFilters }).file(),

  // Learners.
  learners: get('/api/learners', 'staff', { query: ['archived'], reads: ['learners', 'drives', 'accounts'] }).answers<
    readonly LearnerView[]
  >(),
  addLearner: post('/api/learners', 'staff', {
    body: LearnerInput,
    changes: ['learners', 'readiness'],
  }).answers<LearnerView>(201),
  learner: get('/api/learners/:learnerId', 'staff', {
    reads: ['learners', 'drives', 'accounts'],
  }).answers<LearnerView>(),
  editLearner: put('/api/learners/:learnerId', 'staff', {
    body: LearnerEdit,
    changes: ['learners', 'drives', 'readiness'],
  }).answers<LearnerView>(),
  archiveLearner: put('/api/learners/:learnerId/archived', 'staff', {
    changes: ['learners', 'readiness'],
  }).answers<LearnerView>(),
  unarchiveLearner: del('/api/learners/:learnerId/archived', 'staff', {
    changes: ['learners', 'readiness'],
  }).answers<LearnerView>(),
  exportLearner: get('/api/learners/:learnerId/export.zip', 'staff').file(),
  eraseLearner: post('/api/learners/:learnerId/erase', 'lead', {
    body: TypedName,
    changes: erasing,
  }).answers<ErasureReceipt>(),
  outOfTime: get('/api/retention', 'lead').answers<readonly OutOfTime[]>(),
  eraseOutOfTime: post('/api/retention', 'lead', {
    body: OutOfTimeIds,
    changes: erasing,
  }).answers<readonly ErasureReceipt[]>(),
  erased: get('/api/erased', 'staff').answers<ErasedIds>(),

  // Standards.
  standards: get('/api/standards', 'staff', { reads: ['standards'] }).answers<readonly Standard[]>(),
  library: get('/api/standards/library', 'staff', { reads: ['standards', 'drives'] }).answers<
    readonly StandardSummary[]
  >(),
  beginStandard: post('/api/standards', 'lead', { body: NewStandard, changes: ['standards'] }).answers<DraftView>(201),
  importStandard: post('/api/standards/import', 'lead', {
    body: ImportInput,
    changes: ['standards'],
  }).answers<DraftView>(201),
  standard: get('/api/standards/:id', 'staff', { reads: ['standards'] }).answers<StandardView>(),
  standardVersion: get('/api/standards/:id/versions/:version', 'staff', { reads: ['standards'] }).answers<Standard>(),
  standardFile: get('/api/standards/:id/versions/:version/file', 'staff').file(),
  draft: get('/api/standards/:id/draft', 'staff').answers<DraftView>(),
  saveDraft: put('/api/standards/:id/draft', 'lead', { body: DraftInput, changes: ['standards'] }).answers<DraftView>(),
  dropDraft: del('/api/standards/:id/draft', 'lead', { changes: ['standards'] }).done(),
  publishStandard: post('/api/standards/:id/publish', 'lead', {
    changes: ['standards', 'readiness'],
  }).answers<Standard>(),
  retireStandard: put('/api/standards/:id/retired', 'lead', { changes: ['standards'] }).done(),
  unretireStandard: del('/api/standards/:id/retired', 'lead', { changes: ['standards'] }).done(),

  // Drives.
  drives: get('/api/drives', 'staff', { reads: ['drives', 'learners', 'accounts'] }).answers<readonly DriveSummary[]>(),
  learnerDrives: get('/api/learners/:learnerId/drives', 'staff', {
    reads: ['drives', 'learners', 'accounts'],
  }).answers<readonly DriveSummary[]>(),
  drive: get('/api/drives/:driveId', 'staff').answers<DriveView>(),
  driveNews: get('/api/drives/:driveId/news', 'staff', { query: ['known'] }).answers<DriveNews | null>(),
  sendEvents: post('/api/drives/:driveId/events', 'staff', {
    body: EventBatch,
    changes: ['drives'],
  }).answers<EventReceipt>(),
  driveRecord: get('/api/drives/:driveId/record', 'staff').file(),
  driveTable: get('/api/drives/:driveId/marks.csv', 'staff').file(),
  shares: get('/api/drives/:driveId/shares', 'staff').answers<readonly ShareView[]>(),
  share: post('/api/drives/:driveId/shares', 'staff', { body: ShareInput, changes: ['shares'] }).answers<NewShare>(201),
  revokeShare: del('/api/drives/:driveId/shares/:shareId', 'staff', { changes: ['shares'] }).done(),
  sharedDebrief: get('/api/shared/:token', 'anybody').answers<SharedDebrief>(),

  // Real tests, lessons, readiness.
  sheets: get('/api/learners/:learnerId/sheets', 'staff').answers<readonly SheetView[]>(),
  addSheet: post('/api/learners/:learnerId/sheets', 'staff', {
    body: SheetInput,
    changes: ['sheets', 'readiness'],
  }).answers<SheetView>(201),
  sheet: get('/api/sheets/:sheetId', 'staff').answers<SheetView>(),
  editSheet: put('/api/sheets/:sheetId', 'staff', {
    body: SheetEdit,
    changes: ['sheets', 'readiness'],
  }).answers<SheetView>(),
  dropSheet: del('/api/sheets/:sheetId', 'staff', { changes: ['sheets', 'readiness'] }).done(),
  freeHours: get('/api/free-hours', 'staff').answers<FreeHoursView>(),
  setFreeHours: put('/api/free-hours', 'staff', { body: FreeHoursList, changes: ['lessons'] }).answers<FreeHoursView>(),
  lessons: get('/api/learners/:learnerId/lessons', 'staff').answers<LessonsView>(),
  keepLessons: put('/api/learners/:learnerId/lessons', 'staff', {
    body: LessonPlan,
    changes: ['lessons'],
  }).answers<LessonsView>(),
  calendar: get('/api/learners/:learnerId/lessons.ics', 'staff').file(),
  schoolReadiness: get('/api/readiness', 'staff', {
    reads: ['readiness', 'learners', 'drives', 'sheets', 'accounts'],
  }).answers<SchoolReadiness>(),
  readiness: get('/api/learners/:learnerId/readiness', 'staff', {
    reads: ['readiness', 'learners', 'drives', 'sheets', 'reviews', 'checks', 'standards'],
  }).answers<ReadinessInput>(),

  // Safety questions.
  checks: get('/api/checks', 'staff', { reads: ['checks'] }).answers<ChecksView>(),
  board: get('/api/checks/board', 'staff', {
    reads: ['checks', 'reviews', 'learners', 'standards'],
  }).answers<BoardView>(),
  addQuestion: post('/api/checks/questions', 'staff', {
    body: QuestionInput,
    changes: ['checks'],
  }).answers<CheckQuestion>(201),
  editQuestion: put('/api/checks/questions/:questionId', 'staff', {
    body: QuestionInput,
    changes: ['checks'],
  }).answers<CheckQuestion>(),
  questionVersions: get('/api/checks/questions/:questionId/versions', 'staff', {
    reads: ['checks', 'accounts'],
  }).answers<readonly KeptVersion<CheckQuestion>[]>(),
  retireQuestion: put('/api/checks/questions/:questionId/retired', 'staff', { changes: ['checks'] }).done(),
  unretireQuestion: del('/api/checks/questions/:questionId/retired', 'staff', { changes: ['checks'] }).done(),
  addVehicle: post('/api/checks/vehicles', 'staff', {
    body: VehicleInput,
    changes: ['checks'],
  }).answers<VehicleProfile>(201),
  editVehicle: put('/api/checks/vehicles/:vehicleId', 'staff', {
    body: VehicleInput,
    changes: ['checks'],
  }).answers<VehicleProfile>(),
  reviews: get('/api/learners/:learnerId/reviews', 'staff', { reads: ['reviews'] }).answers<readonly Review[]>(),
  addReviews: post('/api/learners/:learnerId/reviews', 'staff', {
    body: ReviewBatch,
    changes: ['reviews'],
  }).answers<EventReceipt>(),
  chooseVehicle: put('/api/learners/:learnerId/vehicle', 'staff', {
    body: VehicleChoice,
    changes: ['learners'],
  }).answers<LearnerView>(),
  letIn: post('/api/learners/:learnerId/access', 'staff', { body: AccessRequest }).answers<AccessCode>(201),
  endAccess: del('/api/learners/:learnerId/access', 'staff').done(),

  // What a learner may do. No address names a learner: whose data it is follows from the sign-in alone.
  learnerSignIn: post('/api/me/session', 'anybody', { body: CodeSignIn }).answers<MeView>(),
  me: get('/api/me', 'learner').answers<MeView>(),
  myReviews: get('/api/me/reviews', 'learner').answers<readonly Review[]>(),
  addMyReviews: post('/api/me/reviews', 'learner', {
    body: ReviewBatch,
    changes: ['reviews'],
  }).answers<EventReceipt>(),
  myDebriefs: get('/api/me/debriefs', 'learner').answers<readonly MyDebrief[]>(),
  myDebrief: get('/api/me/debriefs/:shareId', 'learner').answers<SharedDebrief>(),
} as const;

export type Routes = typeof routes;
export type RouteName = keyof Routes;

/** The route of a name, without its types. */
export const routeOf = (name: RouteName): Route => routes[name] as unknown as Route;
export const routeNames = Object.keys(routes) as readonly RouteName[];

/** Whether a route changes something. */
export const writes = (route: Pick<Route, 'method'>): boolean => route.method !== 'GET';
