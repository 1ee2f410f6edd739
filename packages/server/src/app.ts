import type { WelcomeView } from '@jasperwren/contract/accounts';
import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import type { Logger } from 'pino';
import { accountRoutes } from './accounts/routes';
import { checkRoutes } from './checks/routes';
import type { Config } from './config';
import type { Db } from './db/database';
import { driveRoutes } from './drives/routes';
import { refuseForgedRequests } from './http/csrf';
import { shapeErrors } from './http/errors';
import { logRequests } from './http/log';
import { pages } from './http/pages';
import { plainBody, smallSignIn } from './http/plain-body';
import { sessions } from './http/session';
import { learnerRoutes } from './learners/routes';
import { lessonRoutes } from './lessons/routes';
import { meRoutes } from './me/routes';
import { readinessRoutes } from './readiness/routes';
import { sheetRoutes } from './sheets/routes';
import { shareRoutes } from './shares/routes';
import { standardRoutes } from './standards/routes';

export interface Parts {
  readonly db: Db;
  readonly config: Config;
  readonly log: Logger;
  /** Folder of the built web application. */
  readonly webDist: string;
  readonly welcome: WelcomeView;
}

/** The whole server as a list, read from top to bottom. */
export function createApp({ db, config, log, webDist, welcome }: Parts): Koa {
  const app = new Koa({ proxy: config.behindProxy });
  app.on('error', (error: NodeJS.ErrnoException) => {
    if (!clientWentAway.has(error.code ?? '')) log.error({ err: error }, 'answer not sent');
  });
  app.use(logRequests(log));
  app.use(securityHeaders(config));
  app.use(compress());
  app.use(shapeErrors(log));
  app.use(pages(webDist));
  app.use(health(db));
  app.use(neverCached);
  app.use(sessions(app, db, config));
  app.use(refuseForgedRequests);
  app.use(smallSignIn);
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '1mb', onError: badBody }));
  app.use(plainBody);
  for (const router of routers(db, welcome)) app.use(router.routes());
  return app;
}

/** Somebody closed the page while it was being answered. */
const clientWentAway = new Set(['ERR_STREAM_PREMATURE_CLOSE', 'ECONNRESET', 'EPIPE']);

/** Every route of the server; what is not here does not exist. */
export function routers(db: Db, welcome: WelcomeView) {
  return [
    accountRoutes(db, welcome),
    learnerRoutes(db),
    standardRoutes(db),
    driveRoutes(db),
    sheetRoutes(db),
    shareRoutes(db),
    checkRoutes(db),
    meRoutes(db),
    readinessRoutes(db),
    lessonRoutes(db),
  ];
}

/** Styles are made in the page by the interface library, hence 'unsafe-inline' for styles and for nothing else. */
function securityHeaders(config: Config): Koa.Middleware {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        upgradeInsecureRequests: config.secureCookies ? [] : null,
      },
    },
    strictTransportSecurity: config.secureCookies,
  });
}

function health(db: Db): Koa.Middleware {
  return async (ctx, next) => {
    if (ctx.path !== '/healthz') return void (await next());
    await db.selectFrom('schools').select('id').limit(1).execute();
    ctx.body = { ok: true };
  };
}

const neverCached: Koa.Middleware = async (ctx, next) => {
  ctx.set('cache-control', 'no-store');
  await next();
};

function badBody(error: Error, ctx: Koa.Context): void {
  const tooLarge = (error as { status?: number }).status === 413;
  ctx.throw(
    tooLarge ? 413 : 400,
    tooLarge
      ? 'The request is larger than 1 MB. Nothing was taken.'
      : 'The request is not valid JSON. Nothing was taken.',
    {
      code: tooLarge ? 'too-large' : 'not-json',
    },
  );
}
