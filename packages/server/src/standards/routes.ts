import { standardFile } from '@jasperwren/core/formats/standard-file';
import { DraftInput, ImportInput, NewStandard } from '@jasperwren/contract/standards';
import Router from '@koa/router';
import { assertLead } from '../accounts/store';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs, type Ctx } from '../http/context';
import { beginStandard, dropDraft, getDraft, importDraft, publishDraft, saveDraft } from './drafts';
import { library, setRetired, viewStandard } from './library';
import { getStandard, latestStandards } from './store';

export function standardRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api/standards' });
  const asLead = async (ctx: Ctx) => {
    const who = whoIs(ctx);
    await assertLead(db, who);
    return who.schoolId;
  };

  router.get('/', async (ctx) => {
    ctx.body = await latestStandards(db, whoIs(ctx).schoolId);
  });

  router.get('/library', async (ctx) => {
    ctx.body = await library(db, whoIs(ctx).schoolId);
  });

  router.post('/', async (ctx) => {
    ctx.body = await beginStandard(db, await asLead(ctx), bodyOf(ctx, NewStandard));
    ctx.status = 201;
  });

  router.post('/import', async (ctx) => {
    ctx.body = await importDraft(db, await asLead(ctx), bodyOf(ctx, ImportInput).source);
    ctx.status = 201;
  });

  router.get('/:id', async (ctx) => {
    ctx.body = await viewStandard(db, whoIs(ctx).schoolId, param(ctx, 'id'));
  });

  router.get('/:id/versions/:version', async (ctx) => {
    ctx.body = await getStandard(db, whoIs(ctx).schoolId, param(ctx, 'id'), Number(param(ctx, 'version')));
  });

  router.get('/:id/versions/:version/file', async (ctx) => {
    const standard = await getStandard(db, whoIs(ctx).schoolId, param(ctx, 'id'), Number(param(ctx, 'version')));
    ctx.attachment(`${standard.id}-v${standard.version}.json`);
    ctx.body = standardFile(standard);
  });

  router.get('/:id/draft', async (ctx) => {
    ctx.body = await getDraft(db, whoIs(ctx).schoolId, param(ctx, 'id'));
  });

  router.put('/:id/draft', async (ctx) => {
    ctx.body = await saveDraft(db, await asLead(ctx), param(ctx, 'id'), bodyOf(ctx, DraftInput));
  });

  router.delete('/:id/draft', async (ctx) => {
    await dropDraft(db, await asLead(ctx), param(ctx, 'id'));
    ctx.status = 204;
  });

  router.post('/:id/publish', async (ctx) => {
    ctx.body = await publishDraft(db, await asLead(ctx), param(ctx, 'id'));
  });

  router.put('/:id/retired', async (ctx) => {
    await setRetired(db, await asLead(ctx), param(ctx, 'id'), true);
    ctx.status = 204;
  });

  router.delete('/:id/retired', async (ctx) => {
    await setRetired(db, await asLead(ctx), param(ctx, 'id'), false);
    ctx.status = 204;
  });

  return router;
}
