import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { findBehaviour } from '@jasperwren/core/catalogue/catalogue';
import type { Drive } from '@jasperwren/core/drive/drive';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { rulesOf } from '@jasperwren/core/marking/rules';
import { drivenOn } from '@jasperwren/core/places/familiarity';
import type { RoadPlace } from '@jasperwren/core/places/passes';
import { placeMoment } from '@jasperwren/core/places/place-marks';
import { severityOf } from '@jasperwren/core/readiness/evidence';
import { openGraph, readRoute, type Roads } from '@jasperwren/core/routes/read-route';
import { clockOffset, zeroOf, type ClockOffset } from '@jasperwren/core/traces/clock-offset';
import { delaysOf } from '@jasperwren/core/traces/delays';
import { detoursOf } from '@jasperwren/core/traces/kept-route';
import { readingOf, type TraceReading } from '@jasperwren/core/traces/reading';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { openRoads } from '@jasperwren/roads/source';
import { cleanFixes, partsOfTrace, thinned, trimmed, type Fix } from '@jasperwren/roads/traces/fix';
import { matchTrace, type Match } from '@jasperwren/roads/traces/match';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { InSchool } from '../call';
import { getDrive } from '../drives/store';
import { getRoute } from '../driving-routes/store';
import { roadsOfSchool, waysOf } from '../roads/store';
import { fixesOf, type KeptReading, type TraceState } from './store';

const zip = promisify(gzip);

/** Which trace is to be worked out. */
export interface TraceTask {
  readonly driveId: string;
}

/** A fault at its place, as it is kept. */
interface KeptMark {
  readonly markId: string;
  readonly atMs: number;
  readonly behaviour: string;
  readonly area: string;
  readonly severity: string | null;
  readonly place: string | null;
  readonly lat: number;
  readonly lon: number;
  readonly piece: number;
  readonly metres: number;
  readonly within: number;
}

/** What came of a trace. */
export interface WorkedOut {
  readonly state: TraceState;
  readonly roadsId?: string;
  /** A `KeptReading` as JSON, gzipped. */
  readonly kept?: Uint8Array;
  readonly driven?: string;
  /** What was lost at junctions, as JSON. */
  readonly delays?: string;
  readonly places: readonly RoadPlace[];
  /** How often each place was passed. */
  readonly passes: readonly (readonly [place: string, count: number])[];
  readonly marks: readonly KeptMark[];
}

const nothingFound = (state: TraceState): WorkedOut => ({ state, places: [], passes: [], marks: [] });

/** What is on a trace this long before a drive and after it belongs to it still, in milliseconds. */
const aroundMs = 2 * 60_000;

/**
 * Lays the trace of a drive on the roads of its school and places the faults on it. Takes seconds: a thread's work.
 * @returns undefined where drive or trace are gone
 */
export async function workOutTrace(call: InSchool, { driveId }: TraceTask): Promise<WorkedOut | undefined> {
  const row = await call.db
    .selectFrom('traces')
    .select(['offset_ms', 'trim_start', 'trim_end'])
    .where('school_id', '=', call.who.schoolId)
    .where('drive_id', '=', driveId)
    .executeTakeFirst();
  if (!row) return undefined;
  const { summary, standard, events } = await getDrive(call, driveId);
  const drive = foldDrive(events);
  const zeroMs = zeroOf(events);
  const cleaned = cleanFixes(await fixesOf(call, driveId));
  const { fixes: own, offsetMs, suggested } = ownPart(cleaned.fixes, drive, zeroMs, row.offset_ms ?? undefined);
  const fixes = trimmed(thinned(own), row.trim_start, row.trim_end);
  if (fixes.length < 2) return nothingFound('empty');
  const found = await roadsUnder(call, fixes, summary.route?.id);
  if (!found) return nothingFound('no-roads');
  const { roads, roadsId } = found;
  const match = matchTrace(roads, fixes);
  const reading = readingOf(roads.graph, roads.side, match, { ...cleaned, fixes });
  const detours = await detoursIn(call, roads, roadsId, match, summary.route?.id);
  const kept: KeptReading = {
    offsetMs,
    zeroMs,
    reading,
    ...(suggested && { suggested }),
    ...(detours && { detours }),
  };
  const driven = drivenOn(
    roads.graph,
    match.pieces.map(({ path }) => path),
  );
  return {
    state: 'ready',
    roadsId,
    kept: await zip(JSON.stringify(kept)),
    driven: JSON.stringify(driven, (_, value: unknown) => (typeof value === 'number' ? Math.round(value) : value)),
    delays: JSON.stringify(delaysOf(roads.graph, roads.side, match.pieces)),
    ...passesIn(reading),
    marks: marksIn(standard, drive, reading, zeroMs),
  };
}

/** The part of a trace that is of this drive, its times those of the drive. */
function ownPart(
  fixes: readonly Fix[],
  drive: Drive,
  zeroMs: number,
  given: number | undefined,
): { readonly fixes: readonly Fix[]; readonly offsetMs: number; readonly suggested: ClockOffset | undefined } {
  const [from, to] = [zeroMs - aroundMs, zeroMs + (drive.ended?.atMs ?? drive.lastMs) + aroundMs];
  const parts = partsOfTrace(fixes).map((part) => {
    const suggested = clockOffset(part, drive, zeroMs);
    const offsetMs = given ?? suggested?.ms ?? 0;
    const inside = part.flatMap((fix) => {
      const at = fix.at + offsetMs;
      return at >= from && at <= to ? [{ ...fix, at }] : [];
    });
    return { fixes: inside, offsetMs, suggested, agree: (suggested?.agree ?? 0) / (suggested?.of ?? 1) };
  });
  const none = { fixes: [], offsetMs: given ?? 0, suggested: undefined, agree: 0 };
  // The one that agrees best with the drive, and of those the one that covers most of it.
  return parts.reduce(
    (a, b) =>
      b.fixes.length > 0 && (b.agree > a.agree || (b.agree === a.agree && b.fixes.length > a.fixes.length)) ? b : a,
    none,
  );
}

/** A trace lies on roads where at least this share of its fixes is near one, within so many metres. */
const leastShare = 0.5;
const near = 60;

/** The roads a trace lies on: those of its route, or else the newest of each name that fit. */
async function roadsUnder(
  call: InSchool,
  fixes: readonly Fix[],
  routeId: string | undefined,
): Promise<{ readonly roads: Roads; readonly roadsId: string } | undefined> {
  const all = (await roadsOfSchool(call)).filter(({ state }) => state === 'ready');
  const newest = all.filter(({ name }, i) => all.findIndex((one) => one.name === name) === i);
  const ofRoute = routeId === undefined ? undefined : await roadsOfRoute(call, routeId);
  const ids = new Set([...(ofRoute ? [ofRoute] : []), ...newest.map(({ id }) => id)]);
  const some = fixes.filter((_, i) => i % Math.max(1, Math.floor(fixes.length / 50)) === 0);
  for (const roadsId of ids) {
    const roads = openGraph(openRoads(await waysOf(call, roadsId)));
    const on = some.filter((fix) => roads.finder.near(fix, near).length > 0);
    if (on.length >= some.length * leastShare) return { roads, roadsId };
  }
  return undefined;
}

/** The roads a route is drawn on; undefined where it was deleted. */
async function roadsOfRoute({ db, who: { schoolId } }: InSchool, routeId: string): Promise<string | undefined> {
  const row = await db
    .selectFrom('driving_routes')
    .select('roads_id')
    .where('school_id', '=', schoolId)
    .where('id', '=', routeId)
    .executeTakeFirst();
  return row?.roads_id;
}

async function detoursIn(
  call: InSchool,
  roads: Roads,
  roadsId: string,
  { pieces }: Match,
  routeId: string | undefined,
): Promise<KeptReading['detours']> {
  if (routeId === undefined || (await roadsOfRoute(call, routeId)) !== roadsId) return undefined;
  const planned = readRoute(roads, (await getRoute(call, routeId)).stops, instructorStyle);
  if (!('edges' in planned)) return undefined;
  return pieces.map(({ path }) => detoursOf(roads.graph, path, planned.edges));
}

function passesIn({ pieces }: TraceReading): Pick<WorkedOut, 'places' | 'passes'> {
  const places = new Map<string, RoadPlace>();
  const counts = new Map<string, number>();
  for (const { place } of pieces.flatMap(({ passes }) => passes)) {
    places.set(place.id, place);
    counts.set(place.id, (counts.get(place.id) ?? 0) + 1);
  }
  return { places: [...places.values()], passes: [...counts] };
}

function marksIn(
  standard: EffectiveStandard,
  drive: Drive,
  reading: TraceReading,
  zeroMs: number,
): readonly KeptMark[] {
  const { items, grades } = rulesOf(standard);
  return countingMarks(standard, drive).flatMap((mark): readonly KeptMark[] => {
    const placed = placeMoment(reading, zeroMs + mark.atMs);
    const behaviour = items.get(mark.item)?.item.behaviour;
    if (!placed || behaviour === undefined) return [];
    const { lat, lon, piece, metres, within, pass } = placed;
    return [
      {
        markId: mark.id,
        atMs: mark.atMs,
        behaviour,
        area: findBehaviour(behaviour)?.category ?? '',
        severity: severityOf(grades.get(mark.grade)?.sign) ?? null,
        place: pass?.place.id ?? null,
        lat,
        lon,
        piece,
        metres,
        within,
      },
    ];
  });
}
