import type { Review } from '@jasperwren/core/safety-questions/memory';
import type { CodeSignIn } from '../access';
import type { EventReceipt } from '../drives';
import type { SharedRehearsal } from '../driving-routes';
import type { MeView, MyDebrief, MyRoute } from '../me';
import type { ReviewBatch } from '../reviews';
import { get, post } from '../route';
import type { SharedDebrief } from '../shares';
import type { SharedRoad } from '../traces';

/** What a learner may do. No address names a learner: whose data it is follows from the sign-in alone. */
export const meRoutes = {
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
