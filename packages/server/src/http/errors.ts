import { t } from '@jasperwren/words/refusals';
import type { FieldProblem } from '@jasperwren/contract/parse-input';
import type { ErrorBody } from '@jasperwren/contract/errors';
import { isHttpError } from 'http-errors';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { Refusal, type RefusalKind } from '../refusal';

/** RFC 9110, 15; 507 is RFC 4918, 11.5; 429 is RFC 6585, 4. */
const statusOf: Readonly<Record<RefusalKind, number>> = {
  missing: 404,
  invalid: 422,
  conflict: 409,
  'not-allowed': 403,
  'not-signed-in': 401,
  'too-many-tries': 429,
  unavailable: 503,
  'disk-full': 507,
};

/** What an answer may say besides its words. */
interface Besides {
  readonly problems?: readonly FieldProblem[] | undefined;
  readonly current?: unknown;
}

/** Gives every error the one shape of the contract. What was not meant for people is logged and not shown. */
export function shapeErrors(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body === undefined && ctx.path.startsWith('/api/')) {
        answer(404, 'not-found', t('nothingHere'));
      }
    } catch (error) {
      if (error instanceof Refusal) {
        answer(statusOf[error.kind], error.code, error.message, error);
        return;
      }
      if (isHttpError(error) && error.expose) {
        const { code, problems } = error as { readonly code?: unknown } & Besides;
        answer(error.status, typeof code === 'string' ? code : 'refused', error.message, { problems });
        return;
      }
      log.error({ err: error, requestId: ctx.state['requestId'] as string }, 'request failed');
      answer(500, 'internal', t('ourMistake'));
    }

    function answer(status: number, code: string, message: string, { problems, current }: Besides = {}): void {
      const more = { ...(problems && { problems }), ...(current !== undefined && { current }) };
      const body: ErrorBody = { error: { code, message, ...more } };
      ctx.status = status;
      ctx.body = body;
    }
  };
}
