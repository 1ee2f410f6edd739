import { LearnerInput } from '@jasperwren/contract/learners';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs } from '../http/context';
import { addLearner, editLearner, getLearner, listLearners, setArchived } from './store';

export function learnerRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api/learners' });

  router.get('/', async (ctx) => {
    ctx.body = await listLearners(db, whoIs(ctx).schoolId, ctx.query['archived'] === '1');
  });

  router.post('/', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    ctx.body = await addLearner(db, schoolId, bodyOf(ctx, LearnerInput));
    ctx.status = 201;
  });

  router.get('/:learnerId', async (ctx) => {
    ctx.body = await getLearner(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
  });

  router.put('/:learnerId', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    ctx.body = await editLearner(db, schoolId, param(ctx, 'learnerId'), bodyOf(ctx, LearnerInput));
  });

  router.put('/:learnerId/archived', async (ctx) => {
    ctx.body = await setArchived(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'), true);
  });

  router.delete('/:learnerId/archived', async (ctx) => {
    ctx.body = await setArchived(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'), false);
  });

  return router;
}
