import type { InputClass } from './parse-input';
import type { BodyOf } from './route';
import type { RouteName, Routes } from './routes';
import {
  AccountEdit,
  FactorProof,
  HandOver,
  Invitation,
  NewPassword,
  PasswordChange,
  PasswordProof,
  SignInRequest,
} from './accounts';
import { PhrasesInput } from './phrases';
import { VoiceInput } from './voices';
import { QuestionInput } from './safety-questions';
import { AccessRequest, CodeSignIn } from './access';
import { ReviewBatch } from './reviews';
import { RouteEdit, RouteInput } from './driving-routes';
import { RoadNoteInput } from './roads';
import { VehicleChoice, VehicleInput } from './vehicles';
import { EventBatch } from './drives';
import { LearnerEdit, LearnerInput } from './learners';
import { FreeHoursList, LessonPlan } from './lessons';
import { OutOfTimeIds, SchoolInput, TypedName } from './school';
import { CallTimingInput } from './call-timing';
import { ShareInput } from './shares';
import { SheetEdit, SheetInput } from './sheets';
import { FixBatch, TraceEdit } from './traces';
import { KeptInput } from './wheels';
import { YardCarInput, YardRunInput } from './yard';
import { DraftInput, ImportInput, NewStandard } from './standards';

/** The routes that take something. */
type Taking = { [N in RouteName]: [BodyOf<Routes[N]>] extends [never] ? never : N }[RouteName];

/** What a body is checked against, by the route that takes it. */
export const bodies: { readonly [N in Taking]: InputClass<BodyOf<Routes[N]>> } = {
  signIn: SignInRequest,
  changePassword: PasswordChange,
  choosePassword: NewPassword,
  beginFactor: PasswordProof,
  confirmFactor: FactorProof,
  dropFactor: PasswordProof,
  editSchool: SchoolInput,
  closeSchool: TypedName,
  invite: Invitation,
  editAccount: AccountEdit,
  handOver: HandOver,
  addLearner: LearnerInput,
  editLearner: LearnerEdit,
  eraseLearner: TypedName,
  eraseOutOfTime: OutOfTimeIds,
  beginStandard: NewStandard,
  importStandard: ImportInput,
  saveDraft: DraftInput,
  sendEvents: EventBatch,
  sendFixes: FixBatch,
  sendVoice: VoiceInput,
  editTrace: TraceEdit,
  addYardRun: YardRunInput,
  addYardCar: YardCarInput,
  keepWheels: KeptInput,
  share: ShareInput,
  shareRoute: ShareInput,
  setCallTiming: CallTimingInput,
  setPhrases: PhrasesInput,
  addSheet: SheetInput,
  editSheet: SheetEdit,
  setFreeHours: FreeHoursList,
  keepLessons: LessonPlan,
  addQuestion: QuestionInput,
  editQuestion: QuestionInput,
  addRoadNote: RoadNoteInput,
  editRoadNote: RoadNoteInput,
  addRoute: RouteInput,
  editRoute: RouteEdit,
  addVehicle: VehicleInput,
  editVehicle: VehicleInput,
  addReviews: ReviewBatch,
  chooseVehicle: VehicleChoice,
  letIn: AccessRequest,
  learnerSignIn: CodeSignIn,
  addMyReviews: ReviewBatch,
};

/** The class a route's body is checked against; missing where it takes none. */
export const bodyClassOf = (name: RouteName): InputClass<object> | undefined =>
  (bodies as Partial<Record<RouteName, InputClass<object>>>)[name];
