import type Koa from 'koa';
import { createSession } from 'koa-session';
import type { Config } from '../config';
import type { Db } from '../db/database';
import type { LearnerSession, SessionData } from './context';

const dayMs = 24 * 60 * 60 * 1000;
/** A sign-in lasts as long as it is used within this time. */
const lifeMs = 14 * dayMs;

export const sessionCookie = 'jasperwren';

/** Sessions kept in the database; the cookie holds nothing but a random key. */
export function sessions(app: Koa, db: Db, config: Config): Koa.Middleware {
  const store = {
    async get(key: string) {
      const row = await db
        .selectFrom('sessions')
        .select(['data', 'expires_ms'])
        .where('id', '=', key)
        .executeTakeFirst();
      return row && row.expires_ms > Date.now() ? (JSON.parse(row.data) as Record<string, unknown>) : undefined;
    },
    async set(key: string, session: Record<string, unknown>) {
      const { schoolId, accountId, learnerId } = session as Partial<SessionData & LearnerSession>;
      const row = {
        school_id: schoolId ?? null,
        account_id: accountId ?? null,
        learner_id: learnerId ?? null,
        data: JSON.stringify(session),
        expires_ms: Date.now() + lifeMs,
      };
      await db
        .insertInto('sessions')
        .values({ id: key, ...row })
        .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
        .execute();
    },
    async destroy(key: string) {
      await db.deleteFrom('sessions').where('id', '=', key).execute();
    },
  };
  return createSession(
    {
      key: sessionCookie,
      maxAge: lifeMs,
      renew: true,
      httpOnly: true,
      sameSite: 'strict',
      secure: config.secureCookies,
      signed: false,
      store,
    },
    app,
  );
}

/** Forgets sessions that have run out. */
export async function dropOldSessions(db: Db): Promise<void> {
  await db.deleteFrom('sessions').where('expires_ms', '<', Date.now()).execute();
}
