import { t } from '@jasperwren/words/refusals';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import createError from 'http-errors';
import type { Middleware } from 'koa';
import { uploadsIn } from '../uploads-folder';
import { staffOf } from './session';

/** The largest file that may be sent, in bytes. */
const mostBytes = 160e6;

const paths = new Set(
  routeNames.map(routeOf).flatMap(({ upload, path, method }) => (upload ? [`${method} ${path}`] : [])),
);

/**
 * Puts a file that is sent to a route which takes one onto the disk, piece by piece; the handler finds its path as
 * `call.upload`. What nobody takes over is deleted.
 */
export function uploads(dataDir: string): Middleware {
  return async (ctx, next) => {
    if (!paths.has(`${ctx.method} ${ctx.path}`)) return void (await next());
    // The body is the file, whatever it says it is.
    ctx['disableBodyParser'] = true;
    // Nothing of a stranger is written down; the route itself says so.
    if (!staffOf(ctx)) {
      ctx.req.resume();
      return void (await next());
    }
    const folder = uploadsIn(dataDir);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const file = join(folder, randomUUID());
    let bytes = 0;
    const counted = new Transform({
      transform(chunk: Buffer, _, done) {
        bytes += chunk.length;
        done(bytes > mostBytes ? tooLarge() : null, chunk);
      },
    });
    try {
      await pipeline(ctx.req, counted, createWriteStream(file, { mode: 0o600 }));
      ctx.state['upload'] = file;
      await next();
    } catch (error) {
      await rm(file, { force: true });
      throw error;
    }
  };
}

const tooLarge = () => createError(413, t('fileTooLarge', { megabytes: mostBytes / 1e6 }), { code: 'too-large' });
