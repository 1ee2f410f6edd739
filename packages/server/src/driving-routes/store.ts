import { t } from '@jasperwren/words/refusals';
import type { RouteEdit, RouteInput, RouteView } from '@jasperwren/contract/driving-routes';
import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { invalid, missing } from '../refusal';
import { getRoads } from '../roads/store';
import { refuseStale } from '../stale';

/** The routes of a school by name. */
export async function routesOfSchool(call: InSchool): Promise<readonly RouteView[]> {
  return (await selectRoutes(call).orderBy('name').execute()).map(toView);
}

/** @throws missing where the school has no such route */
export async function getRoute(call: InSchool, id: string): Promise<RouteView> {
  const route = await findRoute(call, id);
  if (!route) throw missing(t('routeNotFound'), { code: 'no-route' });
  return route;
}

/** A route of the school; undefined where it has none such. */
export async function findRoute(call: InSchool, id: string): Promise<RouteView | undefined> {
  const row = await selectRoutes(call).where('id', '=', id).executeTakeFirst();
  return row && toView(row);
}

/** @throws missing where the school has no such roads; invalid where they are not read yet */
export async function addRoute(call: Call, input: RouteInput): Promise<RouteView> {
  await requireReady(call, input.roadsId);
  const id = newId();
  const { schoolId, accountId } = call.who;
  await call.db
    .insertInto('driving_routes')
    .values({ id, school_id: schoolId, account_id: accountId, version: 0, ...toRow(call, input) })
    .execute();
  return getRoute(call, id);
}

/** @throws conflict where somebody else has changed it since */
export async function editRoute(call: Call, id: string, input: RouteEdit): Promise<RouteView> {
  const now = await getRoute(call, id);
  refuseStale(input.version, now.version, t('routeChanged'), now);
  await requireReady(call, input.roadsId);
  await call.db
    .updateTable('driving_routes')
    .set({ ...toRow(call, input), version: now.version + 1 })
    .where('id', '=', id)
    .execute();
  return getRoute(call, id);
}

export async function dropRoute(call: Call, id: string): Promise<void> {
  await getRoute(call, id);
  await call.db.deleteFrom('driving_routes').where('id', '=', id).execute();
}

async function requireReady(call: InSchool, roadsId: string): Promise<void> {
  const { state } = await getRoads(call, roadsId);
  if (state !== 'ready') throw invalid(t('roadsNotRead'), { code: 'roads-not-ready' });
}

function toRow({ now }: Call, { name, roadsId, stops, places, notes }: RouteInput) {
  const body: Omit<RouteBody, 'name'> = { stops, places, ...(notes !== undefined && { notes }) };
  return { name, roads_id: roadsId, body: JSON.stringify(body), changed_at: now.toISOString() };
}

const selectRoutes = ({ db, who: { schoolId } }: InSchool) =>
  db
    .selectFrom('driving_routes')
    .select(['id', 'roads_id', 'name', 'body', 'version', 'changed_at'])
    .where('school_id', '=', schoolId);

type Row = Awaited<ReturnType<ReturnType<typeof selectRoutes>['executeTakeFirstOrThrow']>>;

const toView = ({ roads_id: roadsId, changed_at: changedAt, body, ...row }: Row): RouteView => ({
  ...(JSON.parse(body) as Omit<RouteBody, 'name'>),
  ...row,
  roadsId,
  changedAt,
});
