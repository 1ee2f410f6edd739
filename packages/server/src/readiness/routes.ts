import Router from '@koa/router';
import type { Db } from '../db/database';
import { param, whoIs } from '../http/context';
import { readinessInput, schoolReadiness } from './store';

/** Who is ready, and what that rests on. */
export function readinessRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.get('/readiness', async (ctx) => {
    ctx.body = await schoolReadiness(db, whoIs(ctx), new Date());
  });

  router.get('/learners/:learnerId/readiness', async (ctx) => {
    ctx.body = await readinessInput(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'), new Date());
  });

  return router;
}
