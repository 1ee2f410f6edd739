import { t } from '@jasperwren/words/refusals';
import type { WelcomeView } from '@jasperwren/contract/accounts';
import { bodyParser } from '@koa/bodyparser';
import type Router from '@koa/router';
import Koa from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import type { Logger } from 'pino';
import { wheelsHandlers } from './wheels/handlers';
import { yardHandlers } from './yard/handlers';
import { placeHandlers } from './places/handlers';
import { voiceHandlers } from './voices/handlers';
import { traceHandlers } from './traces/handlers';
import { peopleHandlers } from './accounts/people-handlers';
import { signInHandlers } from './accounts/sign-in-handlers';
import { auditHandlers } from './audit/handlers';
import { checkHandlers } from './safety-questions/handlers';
import type { Config } from './config';
import type { Keeper } from './db/keeper';
import { together } from './db/together';
import { appendTogether } from './drives/append';
import type { Digests } from './drives/digests';
import { driveHandlers } from './drives/handlers';
import { routeHandlers } from './driving-routes/handlers';
import type { Changes } from './http/answers';
import { refuseForgedRequests } from './http/csrf';
import { shapeErrors } from './http/errors';
import { logRequests } from './http/log';
import { pages } from './http/pages';
import { plainBody, smallSignIn } from './http/plain-body';
import { requireHttps } from './http/require-https';
import { serveRoutes, type Handlers } from './http/serve-routes';
import { sessions } from './http/session';
import { uploads } from './http/upload';
import { roadsGuard } from './roads/admit-upload';
import type { Runner } from './jobs/runner';
import type { Workers } from './jobs/threads';
import { learnerHandlers } from './learners/handlers';
import { lessonHandlers } from './lessons/handlers';
import { meHandlers } from './me/handlers';
import { personalHandlers } from './personal/handlers';
import { readinessHandlers } from './readiness/handlers';
import { roadsHandlers } from './roads/handlers';
import { schoolHandlers } from './school/handlers';
import { routeShareHandlers } from './route-shares/handlers';
import { shareHandlers } from './shares/handlers';
import { sheetHandlers } from './sheets/handlers';
import { standardHandlers } from './standards/handlers';

export interface Parts {
  readonly keeper: Keeper;
  readonly digests: Digests;
  readonly jobs: Runner;
  readonly workers: Workers;
  readonly changes: Changes;
  readonly config: Config;
  readonly log: Logger;
  /** Folder of the built web application. */
  readonly webDist: string;
  readonly welcome: WelcomeView;
}

/** The whole server as a list, read from top to bottom. */
export function createApp(parts: Parts): Koa {
  const { keeper, config, log, webDist } = parts;
  // Of the addresses that proxies wrote, the last ones are theirs; what stands before them anybody can write.
  const app = new Koa({ proxy: config.proxies > 0, maxIpsCount: config.proxies });
  app.on('error', (error: NodeJS.ErrnoException) => {
    if (!isOfTheirs(error)) log.error({ err: error }, 'answer not sent');
  });
  app.use(logRequests(log));
  app.use(securityHeaders(config));
  app.use(compress());
  app.use(shapeErrors(log));
  app.use(pages(webDist));
  app.use(health(keeper));
  app.use(neverCached);
  app.use(requireHttps(config, log));
  app.use(sessions(app, keeper, config));
  app.use(refuseForgedRequests);
  app.use(smallSignIn);
  app.use(uploads(config.dataDir, roadsGuard(keeper.db, config.dataDir)));
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '1mb', onError: badBody }));
  app.use(plainBody);
  app.use(routerOf(parts).routes());
  return app;
}

/** Every route of the table, with what it does. */
function routerOf({ keeper, digests, jobs, workers, changes, config, welcome, log }: Parts): Router {
  const handlers: Handlers = {
    ...signInHandlers({ ...welcome, ...(config.tiles && { tiles: config.tiles }) }),
    ...schoolHandlers(keeper, config.dataDir),
    ...peopleHandlers,
    ...auditHandlers,
    ...learnerHandlers,
    ...personalHandlers(jobs),
    ...standardHandlers,
    ...driveHandlers(digests, together(keeper.write, appendTogether)),
    ...shareHandlers(workers),
    ...routeShareHandlers(workers),
    ...sheetHandlers(workers),
    ...lessonHandlers,
    ...readinessHandlers(jobs),
    ...checkHandlers,
    ...roadsHandlers(jobs, config.dataDir),
    ...routeHandlers,
    ...traceHandlers(jobs, workers),
    ...voiceHandlers(),
    ...placeHandlers,
    ...yardHandlers,
    ...wheelsHandlers,
    ...meHandlers(workers),
  };
  return serveRoutes(handlers, { keeper, changes, settled: digests.settled, jobs, dataDir: config.dataDir, log });
}

/** Somebody closed the page while it was being answered, or sent what is no request after one (`HPE_`, Node.js, errors of its parser). */
const isOfTheirs = ({ code = '' }: NodeJS.ErrnoException): boolean =>
  ['ERR_STREAM_PREMATURE_CLOSE', 'ECONNRESET', 'EPIPE'].includes(code) || code.startsWith('HPE_');

/** Styles are made in the page by the interface library, hence 'unsafe-inline' for styles and for nothing else. */
function securityHeaders(config: Config): Koa.Middleware {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        // What was said with a pin, and a film that is opened on this device.
        mediaSrc: ["'self'", 'data:', 'blob:'],
        imgSrc: ["'self'", 'data:', 'blob:', ...(config.tiles ? [new URL(config.tiles.address).origin] : [])],
        fontSrc: ["'self'"],
        upgradeInsecureRequests: config.secureCookies ? [] : null,
      },
    },
    strictTransportSecurity: config.secureCookies,
  });
}

function health(keeper: Keeper): Koa.Middleware {
  return async (ctx, next) => {
    if (ctx.path !== '/healthz') return void (await next());
    await keeper.db.selectFrom('schools').select('id').limit(1).execute();
    const trouble = keeper.trouble();
    ctx.status = trouble === undefined ? 200 : 503;
    ctx.body = { ok: trouble === undefined, ...(trouble !== undefined && { trouble }) };
  };
}

const neverCached: Koa.Middleware = async (ctx, next) => {
  ctx.set('cache-control', 'no-store');
  await next();
};

function badBody(error: Error, ctx: Koa.Context): void {
  const tooLarge = (error as { status?: number }).status === 413;
  ctx.throw(tooLarge ? 413 : 400, tooLarge ? t('over1Mb') : t('noJson'), {
    code: tooLarge ? 'too-large' : 'not-json',
  });
}
