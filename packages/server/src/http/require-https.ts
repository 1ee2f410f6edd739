import { t } from '@jasperwren/words/refusals';
import createError from 'http-errors';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import type { Config } from '../config';

/**
 * Cookies that travel over https only cannot be set on a request that came by http. Behind a proxy that was not
 * declared every request seems to: the operator is told, instead of people getting an error nobody can read.
 */
export function requireHttps(config: Config, log: Logger): Middleware {
  let told = false;
  return async (ctx, next) => {
    if (!config.secureCookies || ctx.secure) return void (await next());
    if (!told)
      log.error(
        { proxies: config.proxies, forwarded: ctx.get('x-forwarded-proto') !== '' },
        'a request came by http, but JASPERWREN_SECURE_COOKIES=1: set JASPERWREN_PROXIES to the number of proxies in front, or use https',
      );
    told = true;
    throw createError(421, t('httpsOnly'), {
      code: 'https-only',
    });
  };
}
