import type { PlacedRoad, SharedRoad } from '@jasperwren/contract/traces';
import { only } from '@jasperwren/core/debrief/only';
import { standingMarks } from '@jasperwren/core/drive/drive';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { openGraph, readRoute } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { clipRoads } from '@jasperwren/roads/clip';
import { openRoads, storeRoads, type RoadSource } from '@jasperwren/roads/source';
import type { InSchool } from '../call';
import { getDrive } from '../drives/store';
import { findRoute } from '../driving-routes/store';
import { waysOf } from '../roads/store';
import { traceOf } from './store';

/** Which drive, and how many metres round its way are shown. */
export interface RoadTask {
  readonly driveId: string;
  readonly around: number;
}

/** So much is shown by a link, and so much to the school itself, in metres. */
export const roundTheWay = { link: 400, school: 2500 } as const;

/**
 * Where a drive was, with the roads near it and no others: by its trace, or by what was placed on its route; null where
 * neither tells. It reads roads: a thread's work.
 */
export async function sharedRoad(call: InSchool, { driveId, around }: RoadTask): Promise<SharedRoad | null> {
  const trace = await traceOf(call, driveId);
  if (!trace) return placedRoad(call, { driveId, around });
  if (!trace.reading || !trace.roads) return null;
  const { reading, zeroMs } = trace;
  const { events } = await getDrive(call, driveId);
  const standing = new Set(standingMarks(foldDrive(events)).map(({ id }) => id));
  const marks = trace.marks
    .filter(({ markId }) => standing.has(markId))
    .map((mark) => only(mark, 'markId', 'atMs', 'lat', 'lon', 'piece', 'metres', 'within', 'place'));
  const line = reading.pieces.flatMap((piece) => piece.line.map(([lat, lon]) => [lat, lon] as const));
  const roads = near(openRoads(await waysOf(call, trace.roads.id)), line, around);
  return { roads, reading: only(reading, ...partsOfReading), marks, zeroMs };
}

/** What is given away of a reading, by name. */
const partsOfReading = ['pieces', 'beside', 'brakings', 'noise', 'fixes', 'leftOut', 'outOfOrder'] as const;

/** The faults that were placed by hand, on the route that was planned; null where none was, or the route is gone. */
async function placedRoad(call: InSchool, { driveId, around }: RoadTask): Promise<PlacedRoad | null> {
  const { summary, events } = await getDrive(call, driveId);
  const marks = standingMarks(foldDrive(events)).flatMap(({ id, place }) =>
    place ? [{ markId: id, lat: place.lat, lon: place.lon }] : [],
  );
  const route = summary.route && marks.length > 0 ? await findRoute(call, summary.route.id) : undefined;
  if (!route) return null;
  const source = openRoads(await waysOf(call, route.roadsId));
  const planned = readRoute(openGraph(source), route.stops, instructorStyle);
  if (!('line' in planned)) return null;
  return { roads: near(source, planned.line, around), line: planned.line, marks };
}

const near = (source: RoadSource, line: PlacedRoad['line'], around: number) =>
  storeRoads(clipRoads(source, line, around));
