import { randomBytes } from 'node:crypto';
import { AccessRequest, CodeSignIn, ReviewBatch } from '@jasperwren/contract/checks';
import Router from '@koa/router';
import createError from 'http-errors';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { addReviews, reviewsOf } from '../checks/store';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { learnerIs, param, whoIs, type LearnerSession } from '../http/context';
import { endAccess, makeCode, useCode } from './access';
import { me, myDebrief, myDebriefs } from './store';

const windowS = 15 * 60;
const wrongCodes = 10;

/**
 * What a learner may do. No address names a learner: whose data it is follows from the sign-in alone. Besides, how an
 * instructor lets a learner in.
 */
export function meRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });
  const guessed = new RateLimiterMemory({ points: wrongCodes, duration: windowS, keyPrefix: 'code' });

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
    const tries = await guessed.get(ctx.ip);
    if (tries && tries.consumedPoints >= wrongCodes) {
      ctx.set('retry-after', String(Math.ceil(tries.msBeforeNext / 1000)));
      throw createError(429, 'Too many wrong codes. Try again in a quarter of an hour.', { code: 'too-many-tries' });
    }
    const learner = await useCode(db, code);
    if (!learner) {
      await guessed.consume(ctx.ip).catch(() => undefined);
      throw createError(401, 'This code is not known, was used, or has run out. Ask your instructor for a new one.', {
        code: 'wrong-code',
      });
    }
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
