import { t } from '@jasperwren/words/refusals';
import { gunzipSync } from 'node:zlib';
import type { RoadsView } from '@jasperwren/contract/roads';
import type { RoadsSummary } from '@jasperwren/roads/graph/summary';
import type { RoadsProblem } from '@jasperwren/roads/problem';
import type { Delays } from '@jasperwren/roads/delays';
import type { StoredRoads } from '@jasperwren/roads/source';
import { learntDelays, type MeasuredDelays } from '@jasperwren/core/traces/delays';
import type { Db } from '../db/database';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { conflict, invalid, missing } from '../refusal';

/** The roads of a school: by name, the newest version first. */
export async function roadsOfSchool(call: InSchool): Promise<readonly RoadsView[]> {
  const rows = await selectRoads(call).orderBy('name').orderBy('version', 'desc').execute();
  return rows.map(toView);
}

/** @throws missing where the school has no such roads */
export async function getRoads(call: InSchool, id: string): Promise<RoadsView> {
  const row = await selectRoads(call).where('id', '=', id).executeTakeFirst();
  if (!row) throw missing(t('roadsNotFound'), { code: 'no-roads' });
  return toView(row);
}

/**
 * The ways of roads, with what the school's drives lost at junctions.
 * @throws missing where there are none, or they are not read yet
 */
export async function waysOf({ db, who: { schoolId } }: InSchool, id: string): Promise<StoredRoads> {
  const row = await db
    .selectFrom('roads')
    .select('ways')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  if (!row?.ways) throw missing(t('roadsNotFound'), { code: 'no-roads' });
  const stored = JSON.parse(gunzipSync(row.ways).toString('utf8')) as StoredRoads;
  const delays = await delaysOfSchool(db, schoolId);
  return Object.keys(delays).length > 0 ? { ...stored, delays } : stored;
}

/** What the drives of a school lost at junctions. */
async function delaysOfSchool(db: Db, schoolId: string): Promise<Delays> {
  const rows = await db
    .selectFrom('traces')
    .select('delays')
    .where('school_id', '=', schoolId)
    .where('delays', 'is not', null)
    .execute();
  return learntDelays(rows.map(({ delays }) => JSON.parse(delays!) as MeasuredDelays));
}

/**
 * Notes that a file of roads is being read; a name that exists gets a new version.
 * @throws invalid where the file has no name
 */
export async function beginRoads(call: Call, file: string, name: string | undefined): Promise<RoadsView> {
  const {
    db,
    who: { schoolId, accountId },
    now,
  } = call;
  const plain = file.trim().split(/[\\/]/).at(-1)!.slice(0, 120);
  if (plain === '') throw invalid(t('nameTheFile'));
  const called = (name?.trim() || plain.replace(/(\.osm|\.xml|\.geojson|\.json)?(\.gz)?$/i, '')).slice(0, 80);
  const newest = await db
    .selectFrom('roads')
    .select((eb) => eb.fn.max('version').as('version'))
    .where('school_id', '=', schoolId)
    .where('name', '=', called)
    .executeTakeFirst();
  const id = newId();
  await db
    .insertInto('roads')
    .values({
      id,
      school_id: schoolId,
      account_id: accountId,
      name: called,
      file: plain,
      version: Number(newest?.version ?? 0) + 1,
      added_at: now.toISOString(),
      state: 'reading',
      progress: 0,
    })
    .execute();
  return getRoads(call, id);
}

/**
 * Takes roads out, those that are being read as well.
 * @throws conflict where a route is drawn on them
 */
export async function dropRoads(call: Call, id: string): Promise<void> {
  const {
    db,
    who: { schoolId },
  } = call;
  await getRoads(call, id);
  const routes = await db
    .selectFrom('driving_routes')
    .select('name')
    .where('school_id', '=', schoolId)
    .where('roads_id', '=', id)
    .orderBy('name')
    .execute();
  if (routes.length > 0)
    throw conflict(t('roadsInUse', { value: routes.map(({ name }) => name).join(', ') }), {
      code: 'roads-in-use',
    });
  await db.deleteFrom('roads').where('school_id', '=', schoolId).where('id', '=', id).execute();
}

const selectRoads = ({ db, who: { schoolId } }: InSchool) =>
  db
    .selectFrom('roads')
    .select(['id', 'name', 'file', 'version', 'added_at', 'state', 'progress', 'problem', 'summary'])
    .where('school_id', '=', schoolId);

type Row = Awaited<ReturnType<ReturnType<typeof selectRoads>['executeTakeFirstOrThrow']>>;

function toView({ added_at: addedAt, problem, summary, ...row }: Row): RoadsView {
  return {
    ...row,
    addedAt,
    ...(problem !== null && { problem: JSON.parse(problem) as RoadsProblem }),
    ...(summary !== null && { summary: JSON.parse(summary) as RoadsSummary }),
  };
}
