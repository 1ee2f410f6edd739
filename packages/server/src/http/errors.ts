import type { FieldProblem } from '@jasperwren/contract/check';
import type { ErrorBody } from '@jasperwren/contract/errors';
import { isHttpError } from 'http-errors';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';

/** What a refusal may say besides its words. */
interface Refusal {
  readonly code?: unknown;
  readonly problems?: readonly FieldProblem[] | undefined;
  readonly current?: unknown;
}

/** Gives every error the one shape of the contract. What was not meant for people is logged and not shown. */
export function shapeErrors(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body === undefined && ctx.path.startsWith('/api/')) {
        answer(404, 'not-found', 'There is nothing at this address.');
      }
    } catch (error) {
      if (isHttpError(error) && error.expose) {
        const { code, problems, current } = error as Refusal;
        answer(error.status, typeof code === 'string' ? code : 'refused', error.message, { problems, current });
        return;
      }
      log.error({ err: error, requestId: ctx.state['requestId'] as string }, 'request failed');
      answer(500, 'internal', 'The server made a mistake. Nothing half-done was kept; try again.');
    }

    function answer(status: number, code: string, message: string, { problems, current }: Refusal = {}): void {
      const more = { ...(problems && { problems }), ...(current !== undefined && { current }) };
      const body: ErrorBody = { error: { code, message, ...more } };
      ctx.status = status;
      ctx.body = body;
    }
  };
}
