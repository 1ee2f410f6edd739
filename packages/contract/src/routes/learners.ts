import type { LearnerEdit, LearnerInput, LearnerView } from '../learners';
import { del, get, post, put, type Topic } from '../route';
import type { ErasedIds, ErasureReceipt, OutOfTime, OutOfTimeIds, TypedName } from '../school';

const erasing: readonly Topic[] = ['learners', 'drives', 'lessons', 'reviews', 'shares', 'sheets', 'readiness'];

/** Learners, and the end of their data. */
export const learnersRoutes = {
  learners: get('/api/learners', 'staff', {
    query: ['archived'],
    reads: ['learners', 'drives', 'accounts'],
    ofSchool: true,
  }).answers<readonly LearnerView[]>(),
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
} as const;
