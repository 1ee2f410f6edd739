import createError from 'http-errors';
import type { Middleware } from 'koa';

/** What somebody who is not signed in may send, in bytes: an address and a password. */
const signInBytes = 4096;
const beforeSignIn = new Set(['/api/session', '/api/me/session']);
/** No body of the contract is nested deeper, has an object with more fields, or holds more values (house defaults). */
const mostDeep = 24;
const mostFields = 300;
const mostValues = 250_000;

/** Refuses large bodies from whoever is not signed in, before they are read. */
export const smallSignIn: Middleware = async (ctx, next) => {
  if (ctx.method === 'POST' && beforeSignIn.has(ctx.path) && !((ctx.request.length ?? Infinity) <= signInBytes))
    throw createError(413, 'The request is larger than a sign-in. Nothing was taken.', { code: 'too-large' });
  await next();
};

/**
 * Refuses bodies that no class of the contract could take, in one pass and without recursion: checking fields one by one
 * would take long for very many of them.
 */
export const plainBody: Middleware = async (ctx, next) => {
  const waiting: (readonly [value: unknown, depth: number])[] = [[(ctx.request as { body?: unknown }).body, 0]];
  let values = 0;
  for (let one = waiting.pop(); one; one = waiting.pop()) {
    const [value, depth] = one;
    if (typeof value !== 'object' || value === null) continue;
    const inner = Object.values(value);
    values += inner.length;
    if (depth >= mostDeep || values > mostValues || (!Array.isArray(value) && inner.length > mostFields))
      throw createError(422, 'The request holds more fields or levels than anything here has. Nothing was taken.', {
        code: 'invalid',
      });
    for (const next of inner) waiting.push([next, depth + 1]);
  }
  await next();
};
