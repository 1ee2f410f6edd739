import { randomBytes } from 'node:crypto';
import { AccessRequest, CodeSignIn, ReviewBatch } from '@jasperwren/contract/checks';
import Router from '@koa/router';
import createError from 'http-errors';
import { triesOf } from '../http/tries';
import { addReviews, reviewsOf } from '../checks/store';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { learnerIs, param, whoIs, type LearnerSession } from '../http/context';
import { endAccess, makeCode, useCode } from './access';
import { me, myDebrief, myDebriefs } from './store';

const wrongCodes = 10;

/**
 * What a learner may do. No address names a learner: whose data it is follows from the sign-in alone. Besides, how an
 * instructor lets a learner in.
 */
export function meRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });
  const guessed = triesOf('code', wrongCodes, 'Signing in with a code');

  router.post('/learners/:learnerId/access', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await makeCode(db, who, param(ctx, 'learnerId'), bodyOf(ctx, AccessRequest).kind);
    ctx.status = 201;
  });

  router.delete('/learners/:learnerId/access', async (ctx) => {
    await endAccess(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
    ctx.status = 204;
  });

  router.post('/me/session', async (ctx) => {
    const { code } = bodyOf(ctx, CodeSignIn);
    await guessed.take(ctx, ctx.ip);
    const learner = await useCode(db, code);
    if (!learner)
      throw createError(401, 'This code is not known, was used, or has run out. Ask your instructor for a new one.', {
        code: 'wrong-code',
      });
    await guessed.giveBack(ctx.ip);
    const session: LearnerSession = { ...learner, csrfToken: randomBytes(24).toString('base64url') };
    // Whoever was signed in here before is not any more.
    Object.assign(ctx.session!, { accountId: undefined }, session);
    await ctx.session!.regenerate();
    ctx.body = await me(db, session);
  });

  router.get('/me', async (ctx) => {
    ctx.body = await me(db, learnerIs(ctx));
  });

  router.get('/me/reviews', async (ctx) => {
    const { schoolId, learnerId } = learnerIs(ctx);
    ctx.body = await reviewsOf(db, schoolId, learnerId);
  });

  router.post('/me/reviews', async (ctx) => {
    const { schoolId, learnerId } = learnerIs(ctx);
    ctx.body = await addReviews(db, schoolId, learnerId, bodyOf(ctx, ReviewBatch).reviews);
  });

  router.get('/me/debriefs', async (ctx) => {
    ctx.body = await myDebriefs(db, learnerIs(ctx));
  });

  router.get('/me/debriefs/:shareId', async (ctx) => {
    ctx.body = await myDebrief(db, learnerIs(ctx), param(ctx, 'shareId'));
  });

  return router;
}
