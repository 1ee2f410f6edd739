import { timingSafeEqual } from 'node:crypto';
import createError from 'http-errors';
import type { Middleware } from 'koa';
import { learnerSessionOf, sessionOf } from './context';

const harmless = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Lets a request change something only when it comes from our own pages: its origin, where the browser names one,
 * is this host, and a signed-in session shows its token.
 */
export const refuseForgedRequests: Middleware = async (ctx, next) => {
  if (!harmless.has(ctx.method)) {
    const origin = ctx.get('origin');
    if (origin && hostOf(origin) !== ctx.host) throw forged();
    const session = sessionOf(ctx) ?? learnerSessionOf(ctx);
    if (session && !same(ctx.get('x-csrf-token'), session.csrfToken)) throw forged();
  }
  await next();
};

function forged() {
  return createError(
    403,
    'This request did not come from a page of this sign-in. Nothing was changed; reload the page and try again.',
    { code: 'forged' },
  );
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

function same(a: string, b: string): boolean {
  return a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));
}
