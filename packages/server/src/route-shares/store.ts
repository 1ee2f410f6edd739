import { t } from '@jasperwren/words/refusals';
import { linkTo } from '@jasperwren/contract/link-pages';
import type { MyRoute } from '@jasperwren/contract/me';
import type { NewShare, ShareView } from '@jasperwren/contract/shares';
import type { Anybody, Call, InSchool } from '../call';
import { getRoute } from '../driving-routes/store';
import { missing } from '../refusal';
import { noteWithdrawal } from '../withdrawals/note';
import { digestOfSecret } from '../secrets';
import { deadLink, linkView, newLink, noLink } from '../shares/links';

/** Which route a link leads to, and until when. */
export interface OpenLink {
  readonly schoolId: string;
  readonly routeId: string;
  readonly expiresAt: string;
}

/**
 * Makes a link by which a learner may rehearse a route; it runs out by itself.
 * @throws missing where the school has no such route
 */
export async function addRouteShare(call: Call, routeId: string, days: number): Promise<NewShare> {
  await getRoute(call, routeId);
  const { token, row } = newLink(call, days);
  await call.db
    .insertInto('route_shares')
    .values({ ...row, route_id: routeId })
    .execute();
  return { ...linkView(row), path: linkTo('rehearsal', token) };
}

/** The links to a route, the newest first, those that have run out or were revoked included. */
export async function routeSharesOf(
  { db, who: { schoolId } }: InSchool,
  routeId: string,
): Promise<readonly ShareView[]> {
  const rows = await db
    .selectFrom('route_shares')
    .select(['id', 'created_at', 'expires_at', 'revoked_at'])
    .where('school_id', '=', schoolId)
    .where('route_id', '=', routeId)
    .orderBy('created_at', 'desc')
    .execute();
  return rows.map(linkView);
}

/**
 * Takes a link back.
 * @throws missing where the route has none such
 */
export async function revokeRouteShare(call: InSchool, routeId: string, id: string): Promise<void> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  const { numUpdatedRows } = await db
    .updateTable('route_shares')
    .set({ revoked_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('route_id', '=', routeId)
    .where('id', '=', id)
    .where('revoked_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 0n) throw noLink();
  await noteWithdrawal(call, 'route-link', id);
}

/**
 * What a link leads to, for whoever has it.
 * @throws missing where the link is unknown, has run out or was taken back
 */
export async function openLink(call: Anybody, token: string): Promise<OpenLink> {
  const row = await openShares(call)
    .select(['school_id', 'route_id', 'expires_at'])
    .where('token_hash', '=', digestOfSecret(token))
    .executeTakeFirst();
  if (!row) throw deadLink();
  return { schoolId: row.school_id, routeId: row.route_id, expiresAt: row.expires_at };
}

/** The routes of a learner's school that are shared for rehearsal, by name. */
export async function myRoutes(call: InSchool): Promise<readonly MyRoute[]> {
  return openShares(call)
    .innerJoin('driving_routes', 'driving_routes.id', 'route_shares.route_id')
    .select((eb) => ['driving_routes.id', 'driving_routes.name', eb.fn.max('route_shares.expires_at').as('expiresAt')])
    .where('route_shares.school_id', '=', call.who.schoolId)
    .groupBy(['driving_routes.id', 'driving_routes.name'])
    .orderBy('driving_routes.name')
    .execute();
}

/**
 * One of them.
 * @throws missing where the learner's school shares no such route
 */
export async function myRoute(call: InSchool, routeId: string): Promise<OpenLink> {
  const found = (await myRoutes(call)).find(({ id }) => id === routeId);
  if (!found) throw missing(t('noSuchRoute'), { code: 'no-share' });
  return { schoolId: call.who.schoolId, routeId, expiresAt: found.expiresAt };
}

const openShares = ({ db, now }: Anybody) =>
  db
    .selectFrom('route_shares')
    .where('route_shares.revoked_at', 'is', null)
    .where('route_shares.expires_at', '>', now.toISOString());
