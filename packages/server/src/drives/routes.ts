import { EventBatch } from '@jasperwren/contract/drives';
import { withoutPrivateNotes } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { driveColumns, driveTable } from '@jasperwren/core/formats/drive-table';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import Router from '@koa/router';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { toCsv } from '../http/csv';
import { param, whoIs } from '../http/context';
import { appendEvents, drivesOfLearner, getDrive, latestDrives, newsOf } from './store';

const mostListed = 60;

export function driveRoutes(db: Db): Router {
  const router = new Router({ prefix: '/api' });

  router.get('/drives', async (ctx) => {
    ctx.body = await latestDrives(db, whoIs(ctx).schoolId, mostListed);
  });

  router.get('/learners/:learnerId/drives', async (ctx) => {
    ctx.body = await drivesOfLearner(db, whoIs(ctx).schoolId, param(ctx, 'learnerId'));
  });

  router.get('/drives/:driveId', async (ctx) => {
    ctx.body = await getDrive(db, whoIs(ctx).schoolId, param(ctx, 'driveId'));
  });

  router.get('/drives/:driveId/news', async (ctx) => {
    const known = Number(ctx.query['known']);
    ctx.body = (await newsOf(db, whoIs(ctx).schoolId, param(ctx, 'driveId'), known)) ?? null;
  });

  router.post('/drives/:driveId/events', async (ctx) => {
    const who = whoIs(ctx);
    ctx.body = await appendEvents(db, who, param(ctx, 'driveId'), bodyOf(ctx, EventBatch));
  });

  router.get('/drives/:driveId/record', async (ctx) => {
    const { summary, standard, events } = await getDrive(db, whoIs(ctx).schoolId, param(ctx, 'driveId'));
    const record: DriveRecord = {
      format: 'jasperwren-drive',
      formatVersion: 1,
      driveId: summary.id,
      learner: { name: summary.learnerName },
      standard,
      events: withoutPrivateNotes(events),
    };
    ctx.attachment(`drive-${summary.startedAt.slice(0, 10)}.json`);
    ctx.body = record;
  });

  router.get('/drives/:driveId/marks.csv', async (ctx) => {
    const { summary, standard, events } = await getDrive(db, whoIs(ctx).schoolId, param(ctx, 'driveId'));
    ctx.attachment(`drive-${summary.startedAt.slice(0, 10)}.csv`);
    ctx.type = 'text/csv';
    ctx.body = toCsv(driveColumns, driveTable(standard, foldDrive(events)));
  });

  return router;
}
