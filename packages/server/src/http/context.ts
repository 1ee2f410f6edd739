import type { RouterContext } from '@koa/router';
import createError from 'http-errors';

/** Who is signed in, as every store wants to know. */
export interface Who {
  readonly accountId: string;
  readonly schoolId: string;
}

/** What a session keeps between requests. */
export interface SessionData extends Who {
  readonly csrfToken: string;
}

/** A learner who is signed in: sees nothing but their own. */
export interface LearnerWho {
  readonly learnerId: string;
  readonly schoolId: string;
}

/** What the session of a learner keeps. */
export interface LearnerSession extends LearnerWho {
  readonly csrfToken: string;
}

export type Ctx = RouterContext;

/** What `koa-session` puts on the context; setting it to null ends the session. */
type LiveSession = Partial<SessionData & LearnerSession> & {
  regenerate(): Promise<void>;
  readonly externalKey?: string;
};

declare module 'koa' {
  interface DefaultContext {
    session: LiveSession | null;
  }
}

interface WithSession {
  readonly session: LiveSession | null;
}

/** The session of somebody signed in, or undefined. */
export function sessionOf({ session }: WithSession): SessionData | undefined {
  if (!session?.accountId || !session.schoolId || !session.csrfToken) return undefined;
  return { accountId: session.accountId, schoolId: session.schoolId, csrfToken: session.csrfToken };
}

/** The session of a learner who is signed in, or undefined. */
export function learnerSessionOf({ session }: WithSession): LearnerSession | undefined {
  if (!session?.learnerId || !session.schoolId || !session.csrfToken) return undefined;
  return { learnerId: session.learnerId, schoolId: session.schoolId, csrfToken: session.csrfToken };
}

/**
 * Which learner is signed in.
 * @throws 401 where none is
 */
export function learnerIs(ctx: WithSession): LearnerSession {
  const session = learnerSessionOf(ctx);
  if (!session)
    throw createError(401, 'You are not signed in, or the sign-in has run out. Ask your instructor for a code.', {
      code: 'not-signed-in',
    });
  return session;
}

/**
 * Who of the school is signed in.
 * @throws 401 where nobody is; 403 where it is a learner
 */
export function whoIs(ctx: WithSession): Who {
  const session = sessionOf(ctx);
  if (!session && learnerSessionOf(ctx))
    throw createError(403, 'This belongs to the instructors of the school.', { code: 'not-allowed' });
  if (!session)
    throw createError(401, 'Nobody is signed in, or the sign-in has run out. Sign in and try again.', {
      code: 'not-signed-in',
    });
  return { accountId: session.accountId, schoolId: session.schoolId };
}

/** A parameter of the route, which the router guarantees. */
export function param(ctx: Ctx, name: string): string {
  return ctx.params[name] ?? '';
}
