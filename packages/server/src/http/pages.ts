import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Middleware } from 'koa';
import serve from 'koa-static';

const yearS = 365 * 24 * 60 * 60;

/** Serves the built web application: its files by name, its page for every other address outside the API. */
export function pages(webDist: string): Middleware {
  const page = join(webDist, 'index.html');
  const html = existsSync(page) ? readFileSync(page, 'utf8') : undefined;
  const files = serve(webDist, {
    index: false,
    setHeaders: (res, path) => {
      res.setHeader('cache-control', path.includes('/assets/') ? `public, max-age=${yearS}, immutable` : 'no-cache');
    },
  });
  return async (ctx, next) => {
    // A link to a debrief or a password is for one person, not for a search engine.
    if (/^\/(shared|password|learn)\//.test(ctx.path)) ctx.set('x-robots-tag', 'noindex');
    if (ctx.path.startsWith('/api/') || ctx.path === '/healthz') return void (await next());
    await files(ctx, async () => {
      if (ctx.method !== 'GET' && ctx.method !== 'HEAD') return void (await next());
      if (html === undefined) {
        ctx.status = 503;
        ctx.body = 'The web application is not built yet: run "npm run build".';
        return;
      }
      if (/\.\w+$/.test(ctx.path)) return void (await next());
      ctx.set('cache-control', 'no-cache');
      ctx.type = 'html';
      ctx.body = html;
    });
  };
}
