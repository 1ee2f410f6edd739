import { t } from '@jasperwren/words/refusals';
import type { FaultAtPlace, KindOfPlace, placeFilters, PlaceOfFaults, PlacesView } from '@jasperwren/contract/places';
import { groupBy } from '@jasperwren/core/marking/grouping';
import { ratesOf, type PlaceSum } from '@jasperwren/core/places/hot-spots';
import { placeSorts, type PlaceSort, type RoadPlace } from '@jasperwren/core/places/passes';
import { severities, type FaultKind } from '@jasperwren/core/readiness/evidence';
import { sql, type RawBuilder } from 'kysely';
import type { InSchool } from '../call';
import { invalid } from '../refusal';

/** Which drives and which faults are looked at, as the address says it. */
export type PlaceFilter = Readonly<Partial<Record<(typeof placeFilters)[number], string>>>;

/** So many places at most are told in full. */
const mostPlaces = 60;

/** The conditions on passes, or on drives, that a filter means. */
function only({ learner, instructor, since }: PlaceFilter, at: 'at' | 'started_at'): RawBuilder<unknown> {
  if (since !== undefined && Number.isNaN(Date.parse(since))) throw invalid(t('noSuchFirstDay'));
  return sql`${learner === undefined ? sql`` : sql`and learner_id = ${learner}`}
    ${instructor === undefined ? sql`` : sql`and account_id = ${instructor}`}
    ${since === undefined ? sql`` : sql`and ${sql.ref(at)} >= ${since}`}`;
}

/** The faults that are looked at, each with the drive it was made on, as a common table expression. */
function faultsIn({ who: { schoolId } }: InSchool, filter: PlaceFilter): RawBuilder<unknown> {
  const { area, behaviour, severity } = filter;
  if (severity !== undefined && !severities.some((one) => one === severity)) throw invalid(t('countedOrOutright'));
  return sql`faults as (
    select marks_on_road.*, drives.learner_id, drives.started_at from marks_on_road
    join drives on drives.school_id = marks_on_road.school_id and drives.id = marks_on_road.drive_id
    where marks_on_road.school_id = ${schoolId} and severity is not null and place_id is not null
    ${only(filter, 'started_at')}
    ${area === undefined ? sql`` : sql`and area = ${area}`}
    ${behaviour === undefined ? sql`` : sql`and behaviour = ${behaviour}`}
    ${severity === undefined ? sql`` : sql`and severity = ${severity}`}
  )`;
}

interface Sum {
  readonly place: string;
  readonly month: string;
  readonly passes: number;
  readonly observed: number;
  readonly expected: number;
}

/**
 * Passes and faults by place and month. The faults of each drive are expected at its places in proportion to its passes; where
 * only some faults are looked at they are counted anew, otherwise as the job has counted them.
 */
async function sumsOf(call: InSchool, filter: PlaceFilter): Promise<readonly Sum[]> {
  const {
    db,
    who: { schoolId },
  } = call;
  const some = [filter.area, filter.behaviour, filter.severity].some((one) => one !== undefined);
  const query = some
    ? sql<Sum>`with ${faultsIn(call, filter)},
        counted as materialized (select drive_id, place_id, count(*) as n from faults group by drive_id, place_id),
        totals as materialized (select drive_id, sum(n) as n from counted group by drive_id)
        select passes.place_id as place, substr(at, 1, 7) as month, sum(passes.passes) as passes,
          sum(coalesce(counted.n, 0)) as observed, sum(1.0 * passes.passes * coalesce(totals.n, 0) / drive_passes) as expected
        from passes
        left join counted on counted.drive_id = passes.drive_id and counted.place_id = passes.place_id
        left join totals on totals.drive_id = passes.drive_id
        where passes.school_id = ${schoolId} ${only(filter, 'at')} group by passes.place_id, month`
    : sql<Sum>`select place_id as place, substr(at, 1, 7) as month, sum(passes) as passes, sum(faults) as observed,
          sum(1.0 * passes * drive_faults / drive_passes) as expected
        from passes where school_id = ${schoolId} ${only(filter, 'at')} group by place_id, month`;
  return (await query.execute(db)).rows;
}

/** Where faults happen. */
export async function placesOf(call: InSchool, filter: PlaceFilter): Promise<PlacesView> {
  const {
    db,
    who: { schoolId },
  } = call;
  const parts = await sumsOf(call, filter);
  const sums = [...groupBy(parts, ({ place }) => place)].map(([place, months]) => ({ place, ...added(months) }));
  const { rates, tooFew } = ratesOf(sums);
  const shown = rates.slice(0, mostPlaces);
  const known = await placesById(
    call,
    sums.map(({ place }) => place),
  );
  const behaviours = await behavioursAt(
    call,
    filter,
    shown.map(({ place }) => place),
  );
  const { rows } = await sql<{ readonly drives: number; readonly learners: number }>`
    select count(*) as drives, count(distinct drives.learner_id) as learners from drives
    where school_id = ${schoolId} ${only(filter, 'started_at')} and id in
      (select drive_id from traces where school_id = ${schoolId} and state = 'ready')`.execute(db);
  const whole = added(sums);
  return {
    ...rows[0]!,
    passes: whole.passes,
    faults: whole.observed,
    places: shown.map(({ place, ...rate }): PlaceOfFaults => ({
      ...rate,
      place: known.get(place)!,
      behaviours: behaviours.get(place) ?? [],
    })),
    tooFew,
    kinds: kindsOf(sums, known),
    months: [...groupBy(parts, ({ month }) => month)]
      .map(([month, all]) => ({ month, passes: added(all).passes, faults: added(all).observed }))
      .sort((a, b) => a.month.localeCompare(b.month)),
  };
}

/** Sums of sums. */
function added(parts: readonly Pick<Sum, 'passes' | 'observed' | 'expected'>[]) {
  const sum = { passes: 0, observed: 0, expected: 0 };
  for (const { passes, observed, expected } of parts) {
    sum.passes += passes;
    sum.observed += observed;
    sum.expected += expected;
  }
  return sum;
}

function kindsOf(sums: readonly PlaceSum[], known: ReadonlyMap<string, RoadPlace>): readonly KindOfPlace[] {
  const kinds = new Map<string, KindOfPlace>();
  for (const { place, passes, observed } of sums) {
    const { sort, turn } = known.get(place)!;
    const key = `${sort} ${turn ?? ''}`;
    const kind = kinds.get(key) ?? { sort, ...(turn && { turn }), passes: 0, faults: 0 };
    kinds.set(key, { ...kind, passes: kind.passes + passes, faults: kind.faults + observed });
  }
  return [...kinds.values()].sort((a, b) => placeSorts.indexOf(a.sort) - placeSorts.indexOf(b.sort));
}

async function placesById(
  { db, who: { schoolId } }: InSchool,
  ids: readonly string[],
): Promise<ReadonlyMap<string, RoadPlace>> {
  const { rows } = await sql<{
    readonly id: string;
    readonly sort: string;
    readonly turn: string | null;
    readonly from_road: string | null;
    readonly onto_road: string | null;
    readonly lat: number;
    readonly lon: number;
  }>`select id, sort, turn, from_road, onto_road, lat, lon from places
    where school_id = ${schoolId} and id in (select value from json_each(${JSON.stringify(ids)}))`.execute(db);
  return new Map(
    rows.map(({ id, sort, turn, from_road, onto_road, lat, lon }) => [
      id,
      {
        id,
        sort: sort as PlaceSort,
        lat,
        lon,
        ...(turn !== null && { turn: turn as NonNullable<RoadPlace['turn']> }),
        ...(from_road !== null && { from: from_road }),
        ...(onto_road !== null && { onto: onto_road }),
      },
    ]),
  );
}

async function behavioursAt(call: InSchool, filter: PlaceFilter, ids: readonly string[]) {
  const { rows } = await sql<{
    readonly place: string;
    readonly behaviour: string;
    readonly faults: number;
  }>`with ${faultsIn(call, filter)}
    select place_id as place, behaviour, count(*) as faults from faults
    where place_id in (select value from json_each(${JSON.stringify(ids)}))
    group by place_id, behaviour order by faults desc, behaviour`.execute(call.db);
  const found = new Map<string, { readonly behaviour: string; readonly faults: number }[]>();
  for (const { place, behaviour, faults } of rows)
    found.set(place, [...(found.get(place) ?? []), { behaviour, faults }]);
  return found;
}

/** The faults made at a place, the latest first. */
export async function faultsAtPlace(
  call: InSchool,
  placeId: string,
  filter: PlaceFilter,
): Promise<readonly FaultAtPlace[]> {
  return allFaults(call, filter, placeId);
}

/** A fault with the place it belongs to. */
export interface PlacedFault extends FaultAtPlace {
  readonly place: string;
}

/** Every fault that lies at a place, or at this one, the latest first. */
export async function allFaults(
  call: InSchool,
  filter: PlaceFilter,
  placeId?: string,
): Promise<readonly PlacedFault[]> {
  const { rows } = await sql<{
    readonly drive_id: string;
    readonly learner_id: string;
    readonly name: string;
    readonly started_at: string;
    readonly at_ms: number;
    readonly behaviour: string;
    readonly severity: string;
    readonly place_id: string;
    readonly lat: number;
    readonly lon: number;
  }>`with ${faultsIn(call, filter)}
    select drive_id, learner_id, learners.name, started_at, at_ms, behaviour, severity, place_id, lat, lon
    from faults join learners on learners.id = faults.learner_id
    ${placeId === undefined ? sql`` : sql`where place_id = ${placeId}`}
    order by started_at desc, at_ms`.execute(call.db);
  return rows.map((row) => ({
    driveId: row.drive_id,
    learnerId: row.learner_id,
    learnerName: row.name,
    at: new Date(Date.parse(row.started_at) + row.at_ms).toISOString(),
    behaviour: row.behaviour,
    severity: row.severity as FaultKind,
    place: row.place_id,
    lat: row.lat,
    lon: row.lon,
  }));
}

/** How often each drive led over each place, and with how many faults. */
export async function passTable(call: InSchool, filter: PlaceFilter): Promise<readonly object[]> {
  const { db, who } = call;
  const { rows } = await sql<object>`with ${faultsIn(call, filter)},
    counted as materialized (select drive_id, place_id, count(*) as n from faults group by drive_id, place_id)
    select substr(at, 1, 10) as date, learners.name as learner, places.sort, places.turn,
      places.from_road as "from", places.onto_road as "onto", places.lat, places.lon, passes.passes,
      coalesce(counted.n, 0) as faults
    from passes join learners on learners.id = passes.learner_id
    join places on places.school_id = passes.school_id and places.id = passes.place_id
    left join counted on counted.drive_id = passes.drive_id and counted.place_id = passes.place_id
    where passes.school_id = ${who.schoolId} ${only(filter, 'at')}
    order by at, places.sort, places.id`.execute(db);
  return rows;
}
