import { FreeHoursList, LessonPlan } from '@jasperwren/contract/lessons';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { param, whoIs } from '../http/context';
import { lessonsCalendar } from './calendar';
import { calendarOf, keepPlan, lessonsOf, setFreeHours } from './store';

/** Lessons planned, and the hours in which they can be given. */
export function lessonRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.put('/free-hours', async (ctx) => {
    await setFreeHours(db, whoIs(ctx), bodyOf(ctx, FreeHoursList).hours);
    ctx.status = 204;
  });

  router.get('/learners/:learnerId/lessons', async (ctx) => {
    ctx.body = await lessonsOf(db, whoIs(ctx), param(ctx, 'learnerId'));
  });

  router.put('/learners/:learnerId/lessons', async (ctx) => {
    const who = whoIs(ctx);
    const today = new Date().toISOString().slice(0, 10);
    await keepPlan(db, who, param(ctx, 'learnerId'), bodyOf(ctx, LessonPlan), today);
    ctx.body = await lessonsOf(db, who, param(ctx, 'learnerId'));
  });

  router.get('/learners/:learnerId/lessons.ics', async (ctx) => {
    const calendar = await calendarOf(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
    ctx.attachment('lessons.ics');
    ctx.type = 'text/calendar; charset=utf-8';
    ctx.body = lessonsCalendar(calendar);
  });

  return router;
}
