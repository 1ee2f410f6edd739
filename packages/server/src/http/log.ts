import { randomUUID } from 'node:crypto';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';

/** One line a request: no bodies, no names, no addresses of people. */
export function logRequests(log: Logger): Middleware {
  return async (ctx, next) => {
    const begun = performance.now();
    const requestId = randomUUID();
    ctx.state['requestId'] = requestId;
    ctx.set('x-request-id', requestId);
    await next();
    const durationMs = Math.round((performance.now() - begun) * 10) / 10;
    log.info({ requestId, method: ctx.method, path: ctx.path, status: ctx.status, durationMs }, 'request');
  };
}
