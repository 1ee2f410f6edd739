import { t } from '@jasperwren/words/refusals';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform, type TransformCallback } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import createError from 'http-errors';
import type { Context, Middleware } from 'koa';
import { uploadsIn } from '../uploads-folder';
import { staffOf } from './session';

/** The largest file that may be sent, in bytes. */
const mostBytes = 160e6;
/** The room on the disk is looked at again after so many bytes. */
const lookEveryBytes = 4e6;

/** Says no to a file before it is taken, and while it is. Each throws what is to be said. */
export interface FileGuard {
  /**
   * @param sending how many files of the school are being sent already
   * @param bytes how long it says it is; 0 where it does not
   */
  readonly admit: (schoolId: string, sending: number, bytes: number) => Promise<void>;
  /** So many bytes tell what a file is. */
  readonly firstBytes: number;
  /** Looks at them, or at all of a shorter file. */
  readonly refuseOther: (start: Buffer) => void;
  readonly refuseWithoutRoom: () => void;
}

const paths = new Set(
  routeNames.map(routeOf).flatMap(({ upload, path, method }) => (upload ? [`${method} ${path}`] : [])),
);

/**
 * Puts a file that is sent to a route which takes one onto the disk, piece by piece; the handler finds its path as
 * `call.upload`. What nobody takes over is deleted. What the guard refuses is refused before the rest is taken.
 */
export function uploads(dataDir: string, guard: FileGuard): Middleware {
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
      await guard.admit(who.schoolId, before, length);
      mkdirSync(uploadsIn(dataDir), { recursive: true, mode: 0o700 });
      await pipeline(ctx.req, checked(guard), createWriteStream(file, { mode: 0o600 }));
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

/** Lets pass what the guard does, as long as it is not too large. */
function checked(guard: FileGuard): Transform {
  let bytes = 0;
  let looked = 0;
  let start: Buffer | undefined = Buffer.alloc(0);
  /** Calls back with what a check throws, or else with what goes on. */
  const pass = (done: TransformCallback, check: () => Buffer | undefined) => {
    let goesOn: Buffer | undefined;
    try {
      goesOn = check();
    } catch (error) {
      return done(error as Error);
    }
    return done(null, goesOn);
  };
  return new Transform({
    transform(chunk: Buffer, _, done) {
      pass(done, () => {
        bytes += chunk.length;
        if (bytes > mostBytes) throw tooLarge();
        if (bytes - looked >= lookEveryBytes) {
          looked = bytes;
          guard.refuseWithoutRoom();
        }
        if (!start) return chunk;
        start = Buffer.concat([start, chunk]);
        if (start.length < guard.firstBytes) return undefined;
        const head = start;
        start = undefined;
        guard.refuseOther(head.subarray(0, guard.firstBytes));
        return head;
      });
    },
    flush(done) {
      pass(done, () => {
        if (start) guard.refuseOther(start);
        return start;
      });
    },
  });
}

/** What is still sent of a file that was refused is passed over, so that the answer arrives; then the connection ends. */
function endAfterAnswer(ctx: Context): void {
  ctx.set('connection', 'close');
  ctx.req.resume();
}

const tooLarge = () => createError(413, t('fileTooLarge', { megabytes: mostBytes / 1e6 }), { code: 'too-large' });
