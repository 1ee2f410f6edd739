import { QuestionInput, ReviewBatch, VehicleChoice, VehicleInput } from '@jasperwren/contract/checks';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs } from '../http/context';
import { setVehicle } from '../learners/store';
import {
  addReviews,
  assertVehicle,
  board,
  checksOf,
  keepQuestion,
  keepVehicle,
  reviewsOf,
  setQuestionRetired,
} from './store';
import { versionsOf } from './versions';

/** Safety questions, cars, and what learners remember, for the instructors of the school. */
export function checkRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.get('/checks', async (ctx) => {
    ctx.body = await checksOf(db, whoIs(ctx).schoolId);
  });

  router.get('/checks/board', async (ctx) => {
    ctx.body = await board(db, whoIs(ctx).schoolId, new Date());
  });

  router.post('/checks/questions', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await keepQuestion(db, who, undefined, bodyOf(ctx, QuestionInput));
    ctx.status = 201;
  });

  router.put('/checks/questions/:questionId', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await keepQuestion(db, who, param(ctx, 'questionId'), bodyOf(ctx, QuestionInput));
  });

  router.get('/checks/questions/:questionId/versions', async (ctx) => {
    ctx.body = await versionsOf(db, 'check_questions', whoIs(ctx).schoolId, param(ctx, 'questionId'));
  });

  router.put('/checks/questions/:questionId/retired', async (ctx) => {
    await setQuestionRetired(db, whoIs(ctx), param(ctx, 'questionId'), true);
    ctx.status = 204;
  });

  router.delete('/checks/questions/:questionId/retired', async (ctx) => {
    await setQuestionRetired(db, whoIs(ctx), param(ctx, 'questionId'), false);
    ctx.status = 204;
  });

  router.post('/checks/vehicles', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await keepVehicle(db, who, undefined, bodyOf(ctx, VehicleInput));
    ctx.status = 201;
  });

  router.put('/checks/vehicles/:vehicleId', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await keepVehicle(db, who, param(ctx, 'vehicleId'), bodyOf(ctx, VehicleInput));
  });

  router.get('/learners/:learnerId/reviews', async (ctx) => {
    ctx.body = await reviewsOf(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
  });

  router.post('/learners/:learnerId/reviews', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    ctx.body = await addReviews(db, schoolId, param(ctx, 'learnerId'), bodyOf(ctx, ReviewBatch).reviews);
  });

  router.put('/learners/:learnerId/vehicle', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    const { vehicleId } = bodyOf(ctx, VehicleChoice);
    await assertVehicle(db, schoolId, vehicleId);
    ctx.body = await setVehicle(db, schoolId, param(ctx, 'learnerId'), vehicleId);
  });

  return router;
}
