import { SheetInput } from '@jasperwren/contract/sheets';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs } from '../http/context';
import { addSheet, dropSheet, editSheet, getSheet, sheetsOfLearner } from './store';

export function sheetRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.get('/learners/:learnerId/sheets', async (ctx) => {
    ctx.body = await sheetsOfLearner(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
  });

  router.post('/learners/:learnerId/sheets', async (ctx) => {
    ctx.body = await addSheet(db, whoIs(ctx), param(ctx, 'learnerId'), bodyOf(ctx, SheetInput));
    ctx.status = 201;
  });

  router.get('/sheets/:sheetId', async (ctx) => {
    ctx.body = await getSheet(db, whoIs(ctx).schoolId, param(ctx, 'sheetId'));
  });

  router.put('/sheets/:sheetId', async (ctx) => {
    ctx.body = await editSheet(db, whoIs(ctx).schoolId, param(ctx, 'sheetId'), bodyOf(ctx, SheetInput));
  });

  router.delete('/sheets/:sheetId', async (ctx) => {
    await dropSheet(db, whoIs(ctx).schoolId, param(ctx, 'sheetId'));
    ctx.status = 204;
  });

  return router;
}
