import type { Review } from '@jasperwren/core/safety-questions/memory';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import type { AccessCode, AccessRequest } from '../access';
import type { EventReceipt } from '../drives';
import type { LearnerView } from '../learners';
import type { ReviewBatch } from '../reviews';
import { del, get, post, put } from '../route';
import type { BoardView, ChecksView, KeptVersion, QuestionInput } from '../safety-questions';
import type { VehicleChoice, VehicleInput } from '../vehicles';

/** Safety questions, cars, and what learners know. */
export const safetyQuestionsRoutes = {
  checks: get('/api/checks', 'staff', { reads: ['checks'] }).answers<ChecksView>(),
  board: get('/api/checks/board', 'staff', {
    reads: ['checks', 'reviews', 'learners', 'standards'],
    ofSchool: true,
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
} as const;
