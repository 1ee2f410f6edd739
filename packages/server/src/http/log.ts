import { randomUUID } from 'node:crypto';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { withoutSecrets } from './without-secrets';

/** One line a request: no bodies, no queries, no names, no addresses of people, and nothing that opens something. */
export function logRequests(log: Logger): Middleware {
  return async (ctx, next) => {
    const begun = performance.now();
    const requestId = randomUUID();
    ctx.state['requestId'] = requestId;
    ctx.set('x-request-id', requestId);
    await next();
    const durationMs = Math.round((performance.now() - begun) * 10) / 10;
    log.info(
      { requestId, method: ctx.method, path: withoutSecrets(ctx.path), status: ctx.status, durationMs },
      'request',
    );
  };
}
