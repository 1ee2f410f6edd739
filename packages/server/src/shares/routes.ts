import { ShareInput } from '@jasperwren/contract/shares';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs } from '../http/context';
import { addShare, readShare, revokeShare, sharesOf } from './store';

/** Links to debriefs; reading one needs no sign-in. */
export function shareRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.get('/drives/:driveId/shares', async (ctx) => {
    ctx.body = await sharesOf(db, whoIs(ctx).schoolId, param(ctx, 'driveId'));
  });

  router.post('/drives/:driveId/shares', async (ctx) => {
    ctx.body = await addShare(db, whoIs(ctx), param(ctx, 'driveId'), bodyOf(ctx, ShareInput).days);
    ctx.status = 201;
  });

  router.delete('/drives/:driveId/shares/:shareId', async (ctx) => {
    await revokeShare(db, whoIs(ctx).schoolId, param(ctx, 'driveId'), param(ctx, 'shareId'));
    ctx.status = 204;
  });

  router.get('/shared/:token', async (ctx) => {
    ctx.set('x-robots-tag', 'noindex');
    ctx.body = await readShare(db, param(ctx, 'token'));
  });

  return router;
}
