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

export type Ctx = RouterContext;

/** What `koa-session` puts on the context; setting it to null ends the session. */
type LiveSession = Partial<SessionData> & { regenerate(): Promise<void>; readonly externalKey?: string };

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

/**
 * Who is signed in.
 * @throws 401 where nobody is
 */
export function whoIs(ctx: WithSession): Who {
  const session = sessionOf(ctx);
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
