import type { CompiledQuery } from 'kysely';
import { LRUCache } from 'lru-cache';
import type { Role } from '@jasperwren/contract/accounts';
import type Koa from 'koa';
import { createSession } from 'koa-session';
import type { Config } from '../config';
import type { Db } from '../db/database';
import type { Keeper } from '../db/keeper';
import { digestOfSecret } from '../secrets';
import type { LearnerWho, Who } from '../call';

const hourMs = 60 * 60 * 1000;
const dayMs = 24 * hourMs;
/** A sign-in ends when it was not used for this long, and in any case after the longest time (house defaults). */
const idleMs = 14 * dayMs;
const longestMs = 90 * dayMs;
const longestDevice = 300;

/** Over https the name binds the cookie to this host and to https (RFC 6265bis, 4.1.3.2, from memory). */
export const cookieName = ({ secureCookies }: Pick<Config, 'secureCookies'>): string =>
  secureCookies ? '__Host-jasperwren' : 'jasperwren';

/** What a sign-in keeps: the token that goes back with every change. Who it is stands in the row. */
interface Kept {
  readonly csrfToken?: string;
  readonly schoolId?: string;
  readonly accountId?: string | undefined;
  readonly learnerId?: string | undefined;
}

/** What the row says besides, as of this request. */
interface Live {
  readonly role?: Role;
  /** The school requires a second factor and the account has none. */
  readonly factorMissing?: boolean;
}

/** What `koa-session` puts on the context; setting it to null ends the session. */
type LiveSession = Kept & Live & { regenerate(): Promise<void>; readonly externalKey?: string };

declare module 'koa' {
  interface DefaultContext {
    session: LiveSession | null;
  }
}

interface WithSession {
  readonly session: LiveSession | null;
}

/** Who of the school is signed in, or undefined. */
export function staffOf({ session }: WithSession): (Who & { readonly factorMissing: boolean }) | undefined {
  if (!session?.accountId || !session.schoolId || !session.role) return undefined;
  const { accountId, schoolId, role, factorMissing = false } = session;
  return { accountId, schoolId, role, factorMissing };
}

/** The learner who is signed in, or undefined. */
export function learnerOf({ session }: WithSession): LearnerWho | undefined {
  if (!session?.learnerId || !session.schoolId) return undefined;
  return { learnerId: session.learnerId, schoolId: session.schoolId };
}

/** Under which digest a sign-in is kept: the key itself stands nowhere but in the browser. */
export const signInId = digestOfSecret;

/**
 * Sign-ins kept in the database; the cookie holds nothing but a random key. Accounts that were disabled and learners
 * who were archived are signed out with the next request.
 */
export function sessions(app: Koa, { db, write, mark }: Keeper, config: Config): Koa.Middleware {
  const rows = rememberedRows(mark);
  const store = {
    async get(key: string): Promise<(Kept & Live) | undefined> {
      const id = signInId(key);
      const row = await liveRow(db, id, rows);
      if (!row) return undefined;
      const now = Date.now();
      if (now - row.seen_ms > hourMs)
        await write((trx) =>
          trx
            .updateTable('sessions')
            .set({ seen_ms: now, expires_ms: now + idleMs })
            .where('id', '=', id)
            .execute(),
        );
      const kept = JSON.parse(row.data) as Kept;
      if (row.role === null) return kept;
      return { ...kept, role: row.role, factorMissing: row.require_factor === 1 && row.factor_secret === null };
    },
    async set(key: string, { csrfToken, schoolId, accountId, learnerId }: Kept, _maxAge: unknown, at: StoreContext) {
      const now = Date.now();
      const row = {
        school_id: schoolId ?? null,
        account_id: accountId ?? null,
        learner_id: learnerId ?? null,
        data: JSON.stringify({ csrfToken, schoolId, accountId, learnerId }),
        seen_ms: now,
        expires_ms: now + idleMs,
      };
      const device = (at.ctx?.get('user-agent') ?? '').slice(0, longestDevice);
      await write((trx) =>
        trx
          .insertInto('sessions')
          .values({ id: signInId(key), ...row, device, address: at.ctx?.ip ?? '', created_ms: now })
          .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
          .execute(),
      );
    },
    async destroy(key: string) {
      await write((trx) => trx.deleteFrom('sessions').where('id', '=', signInId(key)).execute());
    },
  };
  return createSession(
    {
      key: cookieName(config),
      // The row says when a sign-in ends; the cookie only has to last as long as one can.
      maxAge: longestMs,
      renew: false,
      httpOnly: true,
      sameSite: 'strict',
      secure: config.secureCookies,
      signed: false,
      store,
    },
    app,
  );
}

/** Who of the school is signed in by the cookies of a request that is none of the routes; undefined where nobody is. */
export async function staffOfCookie(db: Db, config: Config, cookies: string | undefined): Promise<Who | undefined> {
  const name = cookieName(config);
  const key = cookies
    ?.split(';')
    .map((one) => one.trim().split('='))
    .find(([own]) => own === name)?.[1];
  // A key needs no encoding; one that has some is none of ours.
  const row = key === undefined ? undefined : await liveRow(db, signInId(key));
  if (!row?.account_id || row.role === null) return undefined;
  const { schoolId } = JSON.parse(row.data) as Kept;
  const factorMissing = row.require_factor === 1 && row.factor_secret === null;
  return schoolId === undefined || factorMissing ? undefined : { accountId: row.account_id, schoolId, role: row.role };
}

/** A sign-in that holds: not run out, its account or learner still let in. */
async function liveRow(db: Db, id: string, known = rowOf) {
  const row = await known(db, id);
  const now = Date.now();
  if (!row || row.expires_ms <= now || row.created_ms + longestMs <= now) return undefined;
  if (row.account_id !== null && (row.role === null || row.disabled_at !== null)) return undefined;
  if (row.learner_id !== null && (row.learner === null || row.archived_at !== null)) return undefined;
  return row;
}

interface StoreContext {
  readonly ctx?: Koa.Context;
}

type Row = Awaited<ReturnType<ReturnType<typeof queryOf>['executeTakeFirstOrThrow']>>;

/** Asked with every request: put together once. */
let asked: CompiledQuery | undefined;

/** Reads a row once as long as nothing at all has changed in the database: a sign-in that was ended has. */
function rememberedRows(mark: () => number): typeof rowOf {
  const known = new LRUCache<string, Row>({ max: 5000 });
  let at = -1;
  return async (db, id) => {
    const now = mark();
    if (now !== at) known.clear();
    at = now;
    const remembered = known.get(id);
    if (remembered) return remembered;
    const row = await rowOf(db, id);
    // What was read before a change that came meanwhile is not remembered.
    if (row && mark() === now) known.set(id, row);
    return row;
  };
}

async function rowOf(db: Db, id: string): Promise<Row | undefined> {
  asked ??= queryOf(db, '').compile();
  const { rows } = await db.executeQuery<Row>({ ...asked, parameters: [id] });
  return rows[0];
}

const queryOf = (db: Db, id: string) =>
  db
    .selectFrom('sessions')
    .leftJoin('accounts', 'accounts.id', 'sessions.account_id')
    .leftJoin('schools', 'schools.id', 'sessions.school_id')
    .leftJoin('learners', 'learners.id', 'sessions.learner_id')
    .select([
      'sessions.account_id',
      'sessions.learner_id',
      'sessions.data',
      'sessions.created_ms',
      'sessions.seen_ms',
      'sessions.expires_ms',
      'accounts.role',
      'accounts.disabled_at',
      'accounts.factor_secret',
      'schools.require_factor',
      'learners.id as learner',
      'learners.archived_at',
    ])
    .where('sessions.id', '=', id);

/** Forgets sign-ins, codes and links that have run out. */
export async function dropOldSessions(db: Db): Promise<void> {
  const now = Date.now();
  await db
    .deleteFrom('sessions')
    .where((eb) => eb.or([eb('expires_ms', '<', now), eb('created_ms', '<', now - longestMs)]))
    .execute();
  for (const table of ['access_codes', 'password_links'] as const)
    await db.deleteFrom(table).where('expires_at', '<', new Date(now).toISOString()).execute();
}
