import type { FaultAtPlace, KindOfPlace, PlaceOfFaults, PlacesView } from '@jasperwren/contract/places';
import { ratesOf } from '@jasperwren/core/places/hot-spots';
import { placeSorts, type PlaceSort, type RoadPlace } from '@jasperwren/core/places/passes';
import { severities, type FaultKind } from '@jasperwren/core/readiness/evidence';
import { sql, type RawBuilder } from 'kysely';
import type { InSchool } from '../call';
import { invalid } from '../refusal';

/** Which drives and which faults are looked at, as the address says it. */
export type PlaceFilter = Readonly<Partial<Record<'learner' | 'instructor' | 'since' | 'area' | 'severity', string>>>;

/** So many places at most are told in full. */
const mostPlaces = 60;

/** The traced drives that are looked at, and the faults on them, as common table expressions. */
function looked({ who: { schoolId } }: InSchool, filter: PlaceFilter): RawBuilder<unknown> {
  const { learner, instructor, since, area, severity } = filter;
  if (since !== undefined && Number.isNaN(Date.parse(since)))
    throw invalid('The date from which on drives count is not a date of the calendar.');
  if (severity !== undefined && !severities.some((one) => one === severity))
    throw invalid('Faults are counted or outright.');
  const only = (condition: RawBuilder<unknown> | undefined) => condition ?? sql``;
  return sql`
    looked as (
      select drives.id, drives.learner_id, drives.started_at from drives
      join traces on traces.school_id = drives.school_id and traces.drive_id = drives.id
      where drives.school_id = ${schoolId} and traces.state = 'ready'
      ${only(learner === undefined ? undefined : sql`and drives.learner_id = ${learner}`)}
      ${only(instructor === undefined ? undefined : sql`and drives.account_id = ${instructor}`)}
      ${only(since === undefined ? undefined : sql`and drives.started_at >= ${since}`)}
    ),
    passed as (
      select passes.drive_id, passes.place_id, passes.passes from looked
      join passes on passes.school_id = ${schoolId} and passes.drive_id = looked.id
    ),
    faults as (
      select marks_on_road.* from looked
      join marks_on_road on marks_on_road.school_id = ${schoolId} and marks_on_road.drive_id = looked.id
      where severity is not null and place_id is not null
      ${only(area === undefined ? undefined : sql`and area = ${area}`)}
      ${only(severity === undefined ? undefined : sql`and severity = ${severity}`)}
    ),
    counted as (
      select drive_id, place_id, count(*) as faults from faults group by drive_id, place_id
    ),
    seen as (
      select passed.drive_id, passed.place_id, passed.passes, coalesce(counted.faults, 0) as faults from passed
      left join counted on counted.drive_id = passed.drive_id and counted.place_id = passed.place_id
    )`;
}

interface Sum {
  readonly place: string;
  readonly passes: number;
  readonly observed: number;
  readonly expected: number;
}

/** Where faults happen. */
export async function placesOf(call: InSchool, filter: PlaceFilter): Promise<PlacesView> {
  const { db } = call;
  const from = looked(call, filter);
  // The faults of each drive are expected at its places in proportion to its passes.
  const { rows: sums } = await sql<Sum>`with ${from},
    totals as (select drive_id, sum(passes) as passes, sum(faults) as faults from seen group by drive_id)
    select seen.place_id as place, sum(seen.passes) as passes, sum(seen.faults) as observed,
      sum(1.0 * seen.passes * totals.faults / totals.passes) as expected
    from seen join totals on totals.drive_id = seen.drive_id group by seen.place_id`.execute(db);
  const { rates, tooFew } = ratesOf(sums);
  const shown = rates.slice(0, mostPlaces);
  const known = await placesById(
    call,
    sums.map(({ place }) => place),
  );
  const behaviours = await behavioursAt(
    call,
    from,
    shown.map(({ place }) => place),
  );
  const { rows: counts } = await sql<{ readonly drives: number; readonly learners: number }>`with ${from}
    select count(*) as drives, count(distinct learner_id) as learners from looked`.execute(db);
  const { rows: months } = await sql<PlacesView['months'][number]>`with ${from}
    select substr(looked.started_at, 1, 7) as month, sum(seen.passes) as passes, sum(seen.faults) as faults
    from seen join looked on looked.id = seen.drive_id group by month order by month`.execute(db);
  return {
    ...counts[0]!,
    passes: sums.reduce((sum, { passes }) => sum + passes, 0),
    faults: sums.reduce((sum, { observed }) => sum + observed, 0),
    places: shown.map(({ place, ...rate }): PlaceOfFaults => ({
      ...rate,
      place: known.get(place)!,
      behaviours: behaviours.get(place) ?? [],
    })),
    tooFew,
    kinds: kindsOf(sums, known),
    months,
  };
}

function kindsOf(sums: readonly Sum[], known: ReadonlyMap<string, RoadPlace>): readonly KindOfPlace[] {
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

async function behavioursAt({ db }: InSchool, from: RawBuilder<unknown>, ids: readonly string[]) {
  const { rows } = await sql<{
    readonly place: string;
    readonly behaviour: string;
    readonly faults: number;
  }>`with ${from}
    select place_id as place, behaviour, count(*) as faults from faults
    where place_id in (select value from json_each(${JSON.stringify(ids)}))
    group by place_id, behaviour order by faults desc, behaviour`.execute(db);
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
  return (await allFaults(call, filter)).filter(({ place }) => place === placeId);
}

/** A fault with the place it belongs to. */
export interface PlacedFault extends FaultAtPlace {
  readonly place: string;
}

/** Every fault that lies at a place, the latest first. */
export async function allFaults(call: InSchool, filter: PlaceFilter): Promise<readonly PlacedFault[]> {
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
  }>`with ${looked(call, filter)}
    select faults.drive_id, looked.learner_id, learners.name, looked.started_at, at_ms, behaviour, severity, place_id, lat, lon
    from faults join looked on looked.id = faults.drive_id join learners on learners.id = looked.learner_id
    order by looked.started_at desc, at_ms`.execute(call.db);
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
  const { rows } = await sql<object>`with ${looked(call, filter)}
    select substr(looked.started_at, 1, 10) as date, learners.name as learner, places.sort, places.turn,
      places.from_road as "from", places.onto_road as "onto", places.lat, places.lon, seen.passes, seen.faults
    from seen join looked on looked.id = seen.drive_id join learners on learners.id = looked.learner_id
    join places on places.school_id = ${call.who.schoolId} and places.id = seen.place_id
    order by looked.started_at, places.sort, places.id`.execute(call.db);
  return rows;
}
