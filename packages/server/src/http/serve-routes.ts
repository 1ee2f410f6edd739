import { t } from '@jasperwren/words/refusals';
import { bodyClassOf } from '@jasperwren/contract/bodies';
import { parseInput } from '@jasperwren/contract/parse-input';
import type { FileAnswer, Route } from '@jasperwren/contract/route';
import { routeNames, routeOf, writes, type RouteName } from '@jasperwren/contract/routes';
import type { Logger } from 'pino';
import Router, { type RouterContext } from '@koa/router';
import { invalid, notAllowed, notSignedIn } from '../refusal';
import { addDeed } from '../audit/store';
import type { Keeper } from '../db/keeper';
import { listWithdrawals } from '../withdrawals/list';
import { queueJob } from '../jobs/queue';
import type { Runner } from '../jobs/runner';
import { newToken } from '../secrets';
import { answersOf, type Changes } from './answers';
import type { LearnerWho, Who } from '../call';
import { nothing, type About, type HandlersOf, type RouteCall, type SignIn } from './call';
import { learnerOf, signInId, staffOf } from './session';

export type Handlers = HandlersOf<RouteName>;
/** A handler as it is called, its types checked where it was written. */
type AnyHandler = (call: RouteCall, input: Readonly<Record<string, string>>, body: unknown) => Promise<unknown>;

/** What the routes are told by and tell. */
interface Around {
  readonly keeper: Keeper;
  readonly changes: Changes;
  /** Waits for what still has to follow from earlier changes, of a school or of all. */
  readonly settled: (schoolId?: string) => Promise<void>;
  readonly jobs: Runner;
  readonly dataDir: string;
  readonly log: Logger;
}

/**
 * Serves the table of routes: one handler for each, called only by who may, with a body that was checked.
 * @throws Error where a route has no handler
 */
export function serveRoutes(handlers: Handlers, around: Around): Router {
  const router = new Router();
  const answer = answersOf(around.changes);
  for (const name of routeNames) {
    const route = routeOf(name);
    const handle = handlers[name] as unknown as AnyHandler | undefined;
    if (!handle) throw new Error(`The route "${name}" has no handler.`);
    router.register(route.path, [route.method], async (ctx) => {
      const who = admit(ctx, route);
      const body = bodyOf(ctx, name);
      if (!route.ahead) await around.settled(who?.schoolId);
      const input = inputOf(ctx, route);
      const call = callOf(ctx, name, route, who, input, around);
      const work = () => handle(call, input, body);
      if (route.reads.length > 0 && !route.live && who && 'accountId' in who) return answer(ctx, route, who, work);
      const answered = await work();
      ctx.status = route.status;
      if (route.file) {
        // What leaves the house stands in the trail.
        await call.write(nothing);
        sendFile(ctx, answered as FileAnswer);
      }
      if (!route.file && route.status !== 204) ctx.body = answered ?? null;
    });
  }
  return router;
}

/** @throws notSignedIn where nobody is signed in; notAllowed where it is somebody else's */
function admit(ctx: RouterContext, { who, beforeFactor }: Route): Who | LearnerWho | undefined {
  if (who === 'anybody') return undefined;
  const staff = staffOf(ctx);
  const learner = learnerOf(ctx);
  if (who === 'learner') {
    if (learner) return learner;
    throw notSignedIn(t('learnerNotSignedIn'), {
      code: 'not-signed-in',
    });
  }
  if (!staff && learner) throw notAllowed(t('onlyInstructors'), { code: 'not-allowed' });
  if (!staff)
    throw notSignedIn(t('signInAgain'), {
      code: 'not-signed-in',
    });
  if (staff.factorMissing && !beforeFactor) throw notAllowed(t('secondFactorNeeded'), { code: 'factor-missing' });
  if (who === 'lead' && staff.role !== 'lead') throw notAllowed(t('onlyTheLead'), { code: 'not-allowed' });
  return { accountId: staff.accountId, schoolId: staff.schoolId, role: staff.role };
}

/** @throws invalid with every field that is wrong */
function bodyOf(ctx: RouterContext, name: RouteName): unknown {
  const type = bodyClassOf(name);
  if (!type) return undefined;
  const checked = parseInput(type, (ctx.request as { body?: unknown }).body);
  if (checked.ok) return checked.value;
  throw invalid(t('someFieldsWrong'), {
    problems: checked.problems,
  });
}

function inputOf(ctx: RouterContext, { query }: Route): Readonly<Record<string, string>> {
  const asked = query.flatMap((name) => {
    const value = ctx.query[name];
    return typeof value === 'string' ? [[name, value] as const] : [];
  });
  return { ...Object.fromEntries(asked), ...ctx.params };
}

function sendFile(ctx: RouterContext, { name, type, body }: FileAnswer): void {
  ctx.attachment(name);
  ctx.type = type;
  ctx.body = typeof body === 'string' ? body : Buffer.from(body);
}

function callOf(
  ctx: RouterContext,
  name: RouteName,
  route: Route,
  who: Who | LearnerWho | undefined,
  input: Readonly<Record<string, string>>,
  { keeper, changes, jobs, dataDir, log }: Around,
): RouteCall {
  const now = new Date();
  // Estimates rest on it.
  const restsOn = writes(route) && route.changes.includes('readiness');
  const deed: RouteCall['deed'] = (about, made) => ({
    schoolId: who?.schoolId ?? about.schoolId ?? '',
    at: now,
    action: about.action ?? name,
    address: ctx.ip,
    ...deedOf(who, input, about, made),
  });
  const write: RouteCall['write'] = async (work, about = {}) => {
    let schoolId: string | undefined;
    const made = await keeper.write(async (db) => {
      const value = await work({ db, who, now });
      const told = typeof about === 'function' ? about(value) : about;
      schoolId = who?.schoolId ?? told.schoolId;
      if (schoolId === undefined) return value;
      // What is about one learner is worked out for that learner; the school's figures follow where it moved them.
      const line = deed({ schoolId, ...told }, value);
      if (restsOn && line.learnerId !== undefined)
        await queueJob(db, { schoolId, kind: 'estimates', subject: line.learnerId }, now);
      if (restsOn) await queueJob(db, { schoolId, kind: 'estimates' }, now);
      if (told.goesOn) return value;
      await addDeed(db, line);
      return value;
    });
    if (writes(route) && schoolId !== undefined) {
      changes.note(schoolId, route.changes);
      if (restsOn) jobs.wake();
    }
    return made;
  };
  return {
    db: keeper.db,
    who,
    now,
    address: ctx.ip,
    signIn: signInOf(ctx),
    upload: ctx.state['upload'] as string | undefined,
    setHeader: (header, value) => ctx.set(header, value),
    write,
    deed,
    changed: () => who && changes.note(who.schoolId, route.changes),
    async withdraw(work, about) {
      const made = await write(work, about);
      // It is withdrawn, whatever comes now; what is not listed yet is listed with the next, and at the start.
      await listWithdrawals(keeper.db, dataDir).catch((error: unknown) =>
        log.error({ err: error }, 'a withdrawal was not listed'),
      );
      await keeper.forget();
      return made;
    },
  };
}

/** Who did it, and about whom and what: as the call says, or the address, or the answer. */
function deedOf(
  who: Who | LearnerWho | undefined,
  input: Readonly<Record<string, string>>,
  about: About,
  made: unknown,
) {
  const { learnerId, ...others } = Object.fromEntries(Object.entries(input).filter(([name]) => name !== 'token'));
  const byLearner = who !== undefined && 'learnerId' in who;
  return {
    accountId: who && 'accountId' in who ? who.accountId : about.accountId,
    byLearner,
    learnerId: byLearner ? who.learnerId : (about.learnerId ?? learnerId),
    subject: about.subject ?? Object.values(others).at(-1) ?? idOf(made),
    detail: about.detail,
  };
}

const idOf = (made: unknown): string | undefined =>
  typeof made === 'object' && made !== null && 'id' in made && typeof made.id === 'string' ? made.id : undefined;

function signInOf(ctx: RouterContext): SignIn {
  const key = ctx.session?.externalKey;
  return {
    staff: staffOf(ctx),
    learner: learnerOf(ctx),
    csrfToken: ctx.session?.csrfToken ?? '',
    id: key ? signInId(key) : '',
    async begin(who) {
      const csrfToken = newToken();
      Object.assign(ctx.session!, { accountId: undefined, learnerId: undefined, role: undefined }, who, { csrfToken });
      await ctx.session!.regenerate();
      return csrfToken;
    },
    end() {
      ctx.session = null;
    },
  };
}
