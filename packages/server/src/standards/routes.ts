import Router from '@koa/router';
import type { Db } from '../db/database';
import { whoIs } from '../http/context';
import { latestStandards } from './store';

export function standardRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api/standards' });

  router.get('/', async (ctx) => {
    ctx.body = await latestStandards(db, whoIs(ctx).schoolId);
  });

  return router;
}
