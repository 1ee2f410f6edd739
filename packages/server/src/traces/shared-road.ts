import type { SharedRoad } from '@jasperwren/contract/traces';
import { clipRoads } from '@jasperwren/roads/clip';
import { openRoads, storeRoads } from '@jasperwren/roads/source';
import type { InSchool } from '../call';
import { waysOf } from '../roads/store';
import { traceOf } from './store';

/** So many metres round the way that was driven are shown. */
const around = 400;

/** Where a drive went, with the roads near it and no others; null where it has no trace that can be shown. */
export async function sharedRoad(
  call: InSchool,
  { driveId }: { readonly driveId: string },
): Promise<SharedRoad | null> {
  const trace = await traceOf(call, driveId);
  if (!trace?.reading || !trace.roads) return null;
  const { reading, marks, zeroMs } = trace;
  const line = reading.pieces.flatMap((piece) => piece.line.map(([lat, lon]) => [lat, lon] as const));
  const roads = clipRoads(openRoads(await waysOf(call, trace.roads.id)), line, around);
  return { roads: storeRoads(roads), reading, marks, zeroMs };
}
