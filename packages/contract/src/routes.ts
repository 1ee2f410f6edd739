import type { EffectiveStandard, Standard } from '@jasperwren/core/marking/standard';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import type {
  AccountEdit,
  FactorProof,
  HandOver,
  Invitation,
  NewPassword,
  PasswordChange,
  PasswordProof,
  SignInRequest,
  AccountView,
  FactorSecret,
  HandedOver,
  PasswordLink,
  PasswordLinkView,
  PersonView,
  RecoveryCodes,
  SessionView,
  SignInView,
  WelcomeView,
} from './accounts';
import type { FixBatch, SharedRoad, TraceEdit, TraceView } from './traces';
import type { NewYardCar, YardCarInput, YardCarView, YardRunInput, YardRunView } from './yard';
import type { KeptInput, KeptView } from './wheels';
import { placeFilters, type FaultAtPlace, type PlacesView } from './places';
import { auditFilters, type AuditPage } from './audit';
import type { QuestionInput, BoardView, ChecksView, KeptVersion } from './safety-questions';
import type { MeView, MyDebrief, MyRoute } from './me';
import type { AccessRequest, CodeSignIn, AccessCode } from './access';
import type { ReviewBatch } from './reviews';
import type { CallTimingInput, CallTimingView } from './call-timing';
import type { RouteEdit, RouteInput, RouteView, SharedRehearsal } from './driving-routes';
import type { RoadNoteInput, RoadNoteView, RoadsView } from './roads';
import type { StoredRoads } from '@jasperwren/roads/source';
import type { VehicleChoice, VehicleInput } from './vehicles';
import type { EventBatch, DriveNews, DriveSummary, DriveView, EventReceipt } from './drives';
import type { LearnerEdit, LearnerInput, LearnerView } from './learners';
import type { FreeHoursList, LessonPlan, FreeHoursView, LessonsView, UpcomingLesson } from './lessons';
import type { ReadinessInput, SchoolReadiness } from './readiness';
import { del, get, post, put, type Route, type Topic } from './route';
import type { SchoolInput, OutOfTimeIds, TypedName, ErasedIds, ErasureReceipt, OutOfTime, SchoolView } from './school';
import type { ShareInput, NewShare, SharedDebrief, ShareView } from './shares';
import type { SheetEdit, SheetInput, SheetView } from './sheets';
import type { DraftInput, ImportInput, NewStandard, DraftView, StandardSummary, StandardView } from './standards';

const erasing: readonly Topic[] = ['learners', 'drives', 'lessons', 'reviews', 'shares', 'sheets', 'readiness'];

/** Every way of calling the server; what is not here does not exist. The name is also what the audit trail says. */
export const routes = {
  // Signing in, and the own account.
  welcome: get('/api/welcome', 'anybody', { beforeFactor: true }).answers<WelcomeView>(),
  session: get('/api/session', 'anybody', { reads: ['accounts', 'school'], beforeFactor: true }).answers<SessionView>(),
  signIn: post('/api/session', 'anybody', { changes: ['signIns'] })
    .takes<SignInRequest>()
    .answers<SessionView>(),
  signOut: del('/api/session', 'anybody', { beforeFactor: true }).done(),
  changePassword: put('/api/session/password', 'staff', { changes: ['signIns'] })
    .takes<PasswordChange>()
    .done(),
  passwordLink: get('/api/password-links/:token', 'anybody').answers<PasswordLinkView>(),
  choosePassword: post('/api/password-links/:token', 'anybody').takes<NewPassword>().done(),
  signIns: get('/api/sign-ins', 'staff', { reads: ['signIns'], live: true }).answers<readonly SignInView[]>(),
  endSignIn: del('/api/sign-ins/:signInId', 'staff', { changes: ['signIns'] }).done(),
  endOtherSignIns: del('/api/sign-ins', 'staff', { changes: ['signIns'] }).done(),
  beginFactor: post('/api/session/factor', 'staff', { beforeFactor: true })
    .takes<PasswordProof>()
    .answers<FactorSecret>(),
  confirmFactor: put('/api/session/factor', 'staff', { changes: ['accounts'], beforeFactor: true })
    .takes<FactorProof>()
    .answers<RecoveryCodes>(),
  dropFactor: post('/api/session/factor/off', 'staff', { changes: ['accounts'] })
    .takes<PasswordProof>()
    .done(),

  // The school and its people.
  school: get('/api/school', 'staff', { reads: ['school'] }).answers<SchoolView>(),
  editSchool: put('/api/school', 'lead', { changes: ['school'] })
    .takes<SchoolInput>()
    .answers<SchoolView>(),
  closeSchool: post('/api/school/close', 'lead').takes<TypedName>().done(),
  accounts: get('/api/accounts', 'staff', { reads: ['accounts'] }).answers<readonly AccountView[]>(),
  people: get('/api/people', 'lead', { reads: ['accounts', 'signIns'], live: true }).answers<readonly PersonView[]>(),
  invite: post('/api/accounts', 'lead', { changes: ['accounts'] })
    .takes<Invitation>()
    .answers<AccountView & { readonly link: PasswordLink }>(201),
  editAccount: put('/api/accounts/:accountId', 'lead', {
    changes: ['accounts', 'drives', 'lessons', 'readiness'],
  })
    .takes<AccountEdit>()
    .answers<AccountView>(),
  disableAccount: put('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  enableAccount: del('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  handOver: post('/api/accounts/:accountId/hand-over', 'lead', {
    changes: ['learners', 'lessons', 'readiness'],
  })
    .takes<HandOver>()
    .answers<HandedOver>(),
  sendPasswordLink: post('/api/accounts/:accountId/password-link', 'lead').answers<PasswordLink>(201),
  signOutAccount: del('/api/accounts/:accountId/sign-ins', 'lead', { changes: ['signIns'] }).done(),
  removeFactor: del('/api/accounts/:accountId/factor', 'lead', { changes: ['accounts'] }).done(),
  audit: get('/api/audit', 'lead', { query: auditFilters, live: true }).answers<AuditPage>(),
  auditTable: get('/api/audit.csv', 'lead', { query: auditFilters }).file(),

  // Learners.
  learners: get('/api/learners', 'staff', { query: ['archived'], reads: ['learners', 'drives', 'accounts'] }).answers<
    readonly LearnerView[]
  >(),
  addLearner: post('/api/learners', 'staff', {
    changes: ['learners', 'readiness'],
  })
    .takes<LearnerInput>()
    .answers<LearnerView>(201),
  learner: get('/api/learners/:learnerId', 'staff', {
    reads: ['learners', 'drives', 'accounts'],
  }).answers<LearnerView>(),
  editLearner: put('/api/learners/:learnerId', 'staff', {
    changes: ['learners', 'drives', 'readiness'],
  })
    .takes<LearnerEdit>()
    .answers<LearnerView>(),
  archiveLearner: put('/api/learners/:learnerId/archived', 'staff', {
    changes: ['learners', 'readiness'],
  }).answers<LearnerView>(),
  unarchiveLearner: del('/api/learners/:learnerId/archived', 'staff', {
    changes: ['learners', 'readiness'],
  }).answers<LearnerView>(),
  exportLearner: get('/api/learners/:learnerId/export.zip', 'staff').file(),
  eraseLearner: post('/api/learners/:learnerId/erase', 'lead', {
    changes: erasing,
  })
    .takes<TypedName>()
    .answers<ErasureReceipt>(),
  outOfTime: get('/api/retention', 'lead', { reads: ['learners', 'school'], live: true }).answers<
    readonly OutOfTime[]
  >(),
  eraseOutOfTime: post('/api/retention', 'lead', {
    changes: erasing,
  })
    .takes<OutOfTimeIds>()
    .answers<readonly ErasureReceipt[]>(),
  erased: get('/api/erased', 'staff', { live: true }).answers<ErasedIds>(),

  // Standards.
  standards: get('/api/standards', 'staff', { reads: ['standards'] }).answers<readonly EffectiveStandard[]>(),
  library: get('/api/standards/library', 'staff', { reads: ['standards', 'drives'] }).answers<
    readonly StandardSummary[]
  >(),
  beginStandard: post('/api/standards', 'lead', { changes: ['standards'] })
    .takes<NewStandard>()
    .answers<DraftView>(201),
  importStandard: post('/api/standards/import', 'lead', {
    changes: ['standards'],
  })
    .takes<ImportInput>()
    .answers<DraftView>(201),
  standard: get('/api/standards/:id', 'staff', { reads: ['standards'] }).answers<StandardView>(),
  standardVersion: get('/api/standards/:id/versions/:version', 'staff', { reads: ['standards'] }).answers<Standard>(),
  standardFile: get('/api/standards/:id/versions/:version/file', 'staff').file(),
  draft: get('/api/standards/:id/draft', 'staff', { live: true }).answers<DraftView>(),
  saveDraft: put('/api/standards/:id/draft', 'lead', { changes: ['standards'] })
    .takes<DraftInput>()
    .answers<DraftView>(),
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
  drive: get('/api/drives/:driveId', 'staff', { live: true }).answers<DriveView>(),
  driveNews: get('/api/drives/:driveId/news', 'staff', { query: ['known'], live: true }).answers<DriveNews | null>(),
  sendEvents: post('/api/drives/:driveId/events', 'staff', { changes: ['drives'], ahead: true })
    .takes<EventBatch>()
    .answers<EventReceipt>(),
  driveRecord: get('/api/drives/:driveId/record', 'staff').file(),
  driveTable: get('/api/drives/:driveId/marks.csv', 'staff').file(),
  trace: get('/api/drives/:driveId/trace', 'staff', {
    reads: ['traces', 'drives', 'roads', 'routes'],
  }).answers<TraceView | null>(),
  driveRoad: get('/api/drives/:driveId/road', 'staff', {
    reads: ['traces', 'drives', 'roads', 'routes'],
  }).answers<SharedRoad | null>(),
  sendFixes: post('/api/drives/:driveId/fixes', 'staff', { changes: ['traces'], ahead: true })
    .takes<FixBatch>()
    .done(),
  editTrace: put('/api/drives/:driveId/trace', 'staff', { changes: ['traces'] })
    .takes<TraceEdit>()
    .done(),
  dropTrace: del('/api/drives/:driveId/trace', 'staff', { changes: ['traces', 'readiness'] }).done(),
  traceFile: get('/api/drives/:driveId/trace.gpx', 'staff').file(),
  shares: get('/api/drives/:driveId/shares', 'staff', { reads: ['shares'], live: true }).answers<
    readonly ShareView[]
  >(),
  share: post('/api/drives/:driveId/shares', 'staff', { changes: ['shares'] })
    .takes<ShareInput>()
    .answers<NewShare>(201),
  revokeShare: del('/api/drives/:driveId/shares/:shareId', 'staff', { changes: ['shares'] }).done(),
  sharedDebrief: get('/api/shared/:token', 'anybody').answers<SharedDebrief>(),
  sharedDebriefRoad: get('/api/shared/:token/road', 'anybody').answers<SharedRoad | null>(),

  // Real tests, lessons, readiness.
  sheets: get('/api/learners/:learnerId/sheets', 'staff', { reads: ['sheets', 'learners'] }).answers<
    readonly SheetView[]
  >(),
  addSheet: post('/api/learners/:learnerId/sheets', 'staff', {
    changes: ['sheets', 'readiness'],
  })
    .takes<SheetInput>()
    .answers<SheetView>(201),
  sheet: get('/api/sheets/:sheetId', 'staff', { reads: ['sheets', 'learners'] }).answers<SheetView>(),
  editSheet: put('/api/sheets/:sheetId', 'staff', {
    changes: ['sheets', 'readiness'],
  })
    .takes<SheetEdit>()
    .answers<SheetView>(),
  dropSheet: del('/api/sheets/:sheetId', 'staff', { changes: ['sheets', 'readiness'] }).done(),
  freeHours: get('/api/free-hours', 'staff', { reads: ['lessons'] }).answers<FreeHoursView>(),
  setFreeHours: put('/api/free-hours', 'staff', { changes: ['lessons'] })
    .takes<FreeHoursList>()
    .answers<FreeHoursView>(),
  upcomingLessons: get('/api/lessons', 'staff', { reads: ['lessons', 'learners'] }).answers<
    readonly UpcomingLesson[]
  >(),
  lessons: get('/api/learners/:learnerId/lessons', 'staff', {
    reads: ['lessons', 'learners', 'accounts'],
  }).answers<LessonsView>(),
  keepLessons: put('/api/learners/:learnerId/lessons', 'staff', {
    changes: ['lessons'],
  })
    .takes<LessonPlan>()
    .answers<LessonsView>(),
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
    changes: ['checks'],
  })
    .takes<QuestionInput>()
    .answers<SafetyQuestion>(201),
  editQuestion: put('/api/checks/questions/:questionId', 'staff', {
    changes: ['checks'],
  })
    .takes<QuestionInput>()
    .answers<SafetyQuestion>(),
  questionVersions: get('/api/checks/questions/:questionId/versions', 'staff', {
    reads: ['checks', 'accounts'],
  }).answers<readonly KeptVersion<SafetyQuestion>[]>(),
  retireQuestion: put('/api/checks/questions/:questionId/retired', 'staff', { changes: ['checks'] }).done(),
  unretireQuestion: del('/api/checks/questions/:questionId/retired', 'staff', { changes: ['checks'] }).done(),
  addVehicle: post('/api/checks/vehicles', 'staff', {
    changes: ['checks'],
  })
    .takes<VehicleInput>()
    .answers<VehicleProfile>(201),
  editVehicle: put('/api/checks/vehicles/:vehicleId', 'staff', {
    changes: ['checks'],
  })
    .takes<VehicleInput>()
    .answers<VehicleProfile>(),
  reviews: get('/api/learners/:learnerId/reviews', 'staff', { reads: ['reviews'] }).answers<readonly Review[]>(),
  addReviews: post('/api/learners/:learnerId/reviews', 'staff', {
    changes: ['reviews'],
  })
    .takes<ReviewBatch>()
    .answers<EventReceipt>(),
  chooseVehicle: put('/api/learners/:learnerId/vehicle', 'staff', {
    changes: ['learners'],
  })
    .takes<VehicleChoice>()
    .answers<LearnerView>(),
  letIn: post('/api/learners/:learnerId/access', 'staff').takes<AccessRequest>().answers<AccessCode>(201),
  endAccess: del('/api/learners/:learnerId/access', 'staff').done(),

  // Roads and the routes drawn on them.
  roads: get('/api/roads', 'staff', { reads: ['roads'], live: true }).answers<readonly RoadsView[]>(),
  addRoads: post('/api/roads', 'staff', {
    query: ['file', 'name'],
    changes: ['roads'],
    upload: true,
  }).answers<RoadsView>(201),
  dropRoads: del('/api/roads/:roadsId', 'staff', { changes: ['roads'] }).done(),
  roadsOf: get('/api/roads/:roadsId/ways', 'staff', { reads: ['roads'] }).answers<StoredRoads>(),
  roadNotes: get('/api/road-notes', 'staff', { reads: ['roads', 'accounts'] }).answers<readonly RoadNoteView[]>(),
  addRoadNote: post('/api/road-notes', 'staff', { changes: ['roads'] })
    .takes<RoadNoteInput>()
    .answers<RoadNoteView>(201),
  editRoadNote: put('/api/road-notes/:noteId', 'staff', { changes: ['roads'] })
    .takes<RoadNoteInput>()
    .answers<RoadNoteView>(),
  dropRoadNote: del('/api/road-notes/:noteId', 'staff', { changes: ['roads'] }).done(),
  routes: get('/api/routes', 'staff', { reads: ['routes'] }).answers<readonly RouteView[]>(),
  addRoute: post('/api/routes', 'staff', { changes: ['routes'] })
    .takes<RouteInput>()
    .answers<RouteView>(201),
  editRoute: put('/api/routes/:routeId', 'staff', { changes: ['routes'] })
    .takes<RouteEdit>()
    .answers<RouteView>(),
  callTiming: get('/api/call-timing', 'staff', { reads: ['routes'] }).answers<CallTimingView>(),
  setCallTiming: put('/api/call-timing', 'staff', { changes: ['routes'] })
    .takes<CallTimingInput>()
    .answers<CallTimingView>(),
  routeShares: get('/api/routes/:routeId/shares', 'staff', { reads: ['shares'], live: true }).answers<
    readonly ShareView[]
  >(),
  shareRoute: post('/api/routes/:routeId/shares', 'staff', { changes: ['shares'] })
    .takes<ShareInput>()
    .answers<NewShare>(201),
  revokeRouteShare: del('/api/routes/:routeId/shares/:linkId', 'staff', { changes: ['shares'] }).done(),
  sharedRoute: get('/api/shared-routes/:token', 'anybody').answers<SharedRehearsal>(),
  dropRoute: del('/api/routes/:routeId', 'staff', { changes: ['routes'] }).done(),

  // Where faults happen.
  places: get('/api/places', 'staff', {
    query: placeFilters,
    reads: ['traces', 'drives', 'learners'],
  }).answers<PlacesView>(),
  faultsAtPlace: get('/api/places/:placeId/faults', 'staff', {
    query: placeFilters,
    reads: ['traces', 'drives', 'learners'],
  }).answers<readonly FaultAtPlace[]>(),
  placesFile: get('/api/places.geojson', 'staff', { query: placeFilters }).file(),
  passesTable: get('/api/passes.csv', 'staff', { query: placeFilters }).file(),

  // The yard: runs of sensor values, and the cars that send them.
  yardRuns: get('/api/yard/runs', 'staff', { reads: ['yard', 'learners', 'drives'], live: true }).answers<
    readonly YardRunView[]
  >(),
  addYardRun: post('/api/yard/runs', 'staff', { changes: ['yard'] })
    .takes<YardRunInput>()
    .answers<YardRunView>(201),
  yardRunFile: get('/api/yard/runs/:runId/file', 'staff').file(),
  dropYardRun: del('/api/yard/runs/:runId', 'staff', { changes: ['yard'] }).done(),
  yardCars: get('/api/yard/cars', 'staff', { reads: ['yard'] }).answers<readonly YardCarView[]>(),
  addYardCar: post('/api/yard/cars', 'lead', { changes: ['yard'] })
    .takes<YardCarInput>()
    .answers<NewYardCar>(201),
  dropYardCar: del('/api/yard/cars/:carId', 'lead', { changes: ['yard'] }).done(),

  // Where the wheels go: vehicles, grounds and questions that a school keeps.
  keptWheels: get('/api/wheels/kept', 'staff', { reads: ['wheels'] }).answers<readonly KeptView[]>(),
  keepWheels: post('/api/wheels/kept', 'staff', { changes: ['wheels'] })
    .takes<KeptInput>()
    .answers<KeptView>(201),
  dropWheels: del('/api/wheels/kept/:keptId', 'staff', { changes: ['wheels'] }).done(),

  // What a learner may do. No address names a learner: whose data it is follows from the sign-in alone.
  learnerSignIn: post('/api/me/session', 'anybody').takes<CodeSignIn>().answers<MeView>(),
  me: get('/api/me', 'learner', { reads: ['learners'] }).answers<MeView>(),
  myReviews: get('/api/me/reviews', 'learner', { reads: ['reviews'] }).answers<readonly Review[]>(),
  addMyReviews: post('/api/me/reviews', 'learner', {
    changes: ['reviews'],
  })
    .takes<ReviewBatch>()
    .answers<EventReceipt>(),
  myDebriefs: get('/api/me/debriefs', 'learner', { reads: ['shares'] }).answers<readonly MyDebrief[]>(),
  myDebrief: get('/api/me/debriefs/:shareId', 'learner').answers<SharedDebrief>(),
  myDebriefRoad: get('/api/me/debriefs/:shareId/road', 'learner').answers<SharedRoad | null>(),
  myRoutes: get('/api/me/routes', 'learner', { reads: ['shares'] }).answers<readonly MyRoute[]>(),
  myRoute: get('/api/me/routes/:routeId', 'learner').answers<SharedRehearsal>(),
} as const;

export type Routes = typeof routes;
export type RouteName = keyof Routes;

/** The route of a name, without its types. */
export const routeOf = (name: RouteName): Route => routes[name];
export const routeNames = Object.keys(routes) as readonly RouteName[];

/** Whether a route changes something. */
export const writes = (route: Pick<Route, 'method'>): boolean => route.method !== 'GET';
