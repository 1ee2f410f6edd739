import { t } from '@jasperwren/words/refusals';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, statfsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import createError from 'http-errors';
import type { Context, Middleware } from 'koa';
import type { Db } from '../db/database';
import { diskFull, invalid } from '../refusal';
import { refuseWithoutRoom, reserve, roomFor } from './admit-upload';
import { beginsLikeRoads, firstBytes } from './first-bytes';
import { uploadsIn } from '../uploads-folder';
import { staffOf } from '../http/session';

/** The largest file that may be sent, in bytes. */
const mostBytes = 160e6;
/** The room on the disk is looked at again after so many bytes. */
const lookEveryBytes = 4e6;

const paths = new Set(
  routeNames.map(routeOf).flatMap(({ upload, path, method }) => (upload ? [`${method} ${path}`] : [])),
);

/**
 * Puts a file that is sent to a route which takes one onto the disk, piece by piece; the handler finds its path as
 * `call.upload`. What nobody takes over is deleted. A file for which there is no room, or that is none of roads by its first
 * bytes, is refused before the rest is taken.
 */
export function uploads(db: Db, dataDir: string): Middleware {
  /** How many files of each school are being sent. */
  const sending = new Map<string, number>();
  return async (ctx, next) => {
    if (!paths.has(`${ctx.method} ${ctx.path}`)) return void (await next());
    // The body is the file, whatever it says it is.
    ctx['disableBodyParser'] = true;
    const who = staffOf(ctx);
    // Nothing of a stranger is written down; the route itself says so.
    if (!who) {
      ctx.req.resume();
      return void (await next());
    }
    const file = join(uploadsIn(dataDir), randomUUID());
    const before = sending.get(who.schoolId) ?? 0;
    sending.set(who.schoolId, before + 1);
    try {
      const length = ctx.request.length ?? 0;
      if (length > mostBytes) throw tooLarge();
      refuseWithoutRoom(await roomFor(db, dataDir, who.schoolId), before, length);
      mkdirSync(uploadsIn(dataDir), { recursive: true, mode: 0o700 });
      await pipeline(ctx.req, checked(dataDir), createWriteStream(file, { mode: 0o600 }));
      ctx.state['upload'] = file;
      await next();
    } catch (error) {
      await rm(file, { force: true });
      endAfterAnswer(ctx);
      throw error;
    } finally {
      sending.set(who.schoolId, (sending.get(who.schoolId) ?? 1) - 1);
    }
  };
}

/** Lets pass what may be a file of roads, as long as it is not too large and leaves room on the disk. */
function checked(dataDir: string): Transform {
  let bytes = 0;
  let looked = 0;
  let start: Buffer | undefined = Buffer.alloc(0);
  const problemAt = (): Error | undefined => {
    if (bytes > mostBytes) return tooLarge();
    if (bytes - looked < lookEveryBytes) return undefined;
    looked = bytes;
    const { bavail, bsize } = statfsSync(dataDir);
    return bavail * bsize < reserve ? diskFull(t('noRoomForRoads'), { code: 'disk-full' }) : undefined;
  };
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      const problem = problemAt();
      if (problem || !start) return done(problem, chunk);
      start = Buffer.concat([start, chunk]);
      if (start.length < firstBytes) return done();
      const head = start;
      start = undefined;
      return done(beginsLikeRoads(head.subarray(0, firstBytes)) ? undefined : noRoads(), head);
    },
    flush(done) {
      if (!start) return done();
      return beginsLikeRoads(start) ? done(null, start) : done(noRoads());
    },
  });
}

/** What is still sent of a file that was refused is passed over, so that the answer arrives; then the connection ends. */
function endAfterAnswer(ctx: Context): void {
  ctx.set('connection', 'close');
  ctx.req.resume();
}

const tooLarge = () => createError(413, t('fileTooLarge', { megabytes: mostBytes / 1e6 }), { code: 'too-large' });
const noRoads = () => invalid(t('noFileOfRoads'), { code: 'no-roads-file' });
