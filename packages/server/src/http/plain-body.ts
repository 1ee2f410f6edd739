import { t } from '@jasperwren/words/refusals';
import createError from 'http-errors';
import type { Middleware } from 'koa';

/** What somebody who is not signed in may send, in bytes: an address and a password. */
const signInBytes = 4096;
const beforeSignIn = /^\/api\/(session|me\/session|password-links\/[^/]+)$/;
/** No body of the contract is nested deeper, has an object with more fields, or holds more values (house defaults). */
const mostDeep = 24;
const mostFields = 300;
const mostValues = 250_000;
/** What no keyboard writes: control characters but for tab and line ends, and halves of a character. */
const unwritable =
  // eslint-disable-next-line no-control-regex -- they are what is looked for
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Refuses large bodies from whoever is not signed in, before they are read. */
export const smallSignIn: Middleware = async (ctx, next) => {
  if (ctx.method === 'POST' && beforeSignIn.test(ctx.path) && !((ctx.request.length ?? Infinity) <= signInBytes))
    throw createError(413, t('largerThanASignIn'), { code: 'too-large' });
  await next();
};

interface Waiting {
  readonly value: object;
  readonly depth: number;
  /** The field it is in, and what that is in. */
  readonly name: string;
  readonly within?: Waiting;
}

/**
 * Refuses bodies that no class of the contract could take, in one pass and without recursion: checking fields one by one
 * would take long for very many of them. Control characters are refused with the name of the field.
 */
export const plainBody: Middleware = async (ctx, next) => {
  const { body } = ctx.request as { body?: unknown };
  const waiting: Waiting[] = isObject(body) ? [{ value: body, depth: 0, name: '' }] : [];
  let values = 0;
  for (let one = waiting.pop(); one; one = waiting.pop()) {
    const inner = Object.entries(one.value);
    values += inner.length;
    if (one.depth >= mostDeep || values > mostValues || (!Array.isArray(one.value) && inner.length > mostFields))
      throw createError(422, t('tooManyFields'), {
        code: 'invalid',
      });
    for (const [name, value] of inner) {
      if (isObject(value)) waiting.push({ value, depth: one.depth + 1, name, within: one });
      // A whole file is looked at by its own reader, which says where in it.
      else if (typeof value === 'string' && name !== 'source' && unwritable.test(value))
        throw unwritableIn(pathOf(one, name));
    }
  }
  await next();
};

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

function pathOf(within: Waiting, name: string): string {
  const names = [name];
  for (let one: Waiting | undefined = within; one?.name; one = one.within) names.unshift(one.name);
  return names.join('.');
}

const unwritableIn = (field: string) =>
  createError(422, t('controlCharacter', { field }), {
    code: 'invalid',
    problems: [{ field, message: t('takeItOut') }],
  });
