import { t } from '@jasperwren/words/refusals';
import { timingSafeEqual } from 'node:crypto';
import createError from 'http-errors';
import type { Middleware } from 'koa';
import { learnerOf, staffOf } from './session';

const harmless = new Set(['GET', 'HEAD', 'OPTIONS']);
/**
 * Signing in, and choosing a password by a link, have nothing to do with whoever is signed in here: there is no token
 * yet, and the origin is checked.
 */
const begins = /^POST \/api\/(session|me\/session|password-links\/[^/]+)$/;

/**
 * Lets a request change something only when it comes from our own pages: its origin, where the browser names one,
 * is this host, and a signed-in session shows its token.
 */
export const refuseForgedRequests: Middleware = async (ctx, next) => {
  if (!harmless.has(ctx.method)) {
    const origin = ctx.get('origin');
    if (origin && hostOf(origin) !== ctx.host) throw forged();
    const signedIn = staffOf(ctx) ?? learnerOf(ctx);
    if (signedIn && !begins.test(`${ctx.method} ${ctx.path}`))
      if (!same(ctx.get('x-csrf-token'), ctx.session?.csrfToken ?? '')) throw forged();
  }
  await next();
};

function forged() {
  return createError(403, t('notFromAPage'), { code: 'forged' });
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

/** Compares bytes, whatever a header holds, in a time that does not tell how much was right. */
function same(given: string, token: string): boolean {
  const [a, b] = [Buffer.from(given), Buffer.from(token)];
  return a.length > 0 && a.length === b.length && timingSafeEqual(a, b);
}
