import { t } from '@jasperwren/words/refusals';
import type { SharedRehearsal } from '@jasperwren/contract/driving-routes';
import { openGraph, readRoute } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { metresBetween } from '@jasperwren/roads/geometry';
import { isInMiles, openRoads } from '@jasperwren/roads/source';
import type { InSchool } from '../call';
import { getRoute } from '../driving-routes/store';
import { callTimingOf } from '../driving-routes/timing';
import { conflict } from '../refusal';
import { notesOfSchool } from '../roads/notes';
import { waysOf } from '../roads/store';
import type { OpenLink } from './store';

/** A note goes along with a route within this many metres of it. */
const noteReach = 60;

/**
 * A route as one rehearses it without the school's roads. Takes a second where the roads are many: a thread's work.
 * @throws missing where route or roads are gone; conflict where the route cannot be driven
 */
export async function rehearsalOf(call: InSchool, { routeId, expiresAt }: OpenLink): Promise<SharedRehearsal> {
  const route = await getRoute(call, routeId);
  const [stored, notes, timing, school] = await Promise.all([
    waysOf(call, route.roadsId),
    notesOfSchool(call),
    callTimingOf(call),
    call.db.selectFrom('schools').select('name').where('id', '=', call.who.schoolId).executeTakeFirstOrThrow(),
  ]);
  const roads = openGraph(openRoads(stored));
  const reading = readRoute(roads, route.stops, { ...instructorStyle, ...timing.instructor });
  if (!('line' in reading) || reading.broken)
    throw conflict(t('routeCannotBeDriven'), {
      code: 'route-broken',
    });
  const near = notes.filter(({ lat, lon }) =>
    reading.line.some(([a, b]) => metresBetween(lat, lon, a, b) <= noteReach),
  );
  return {
    school: school.name,
    name: route.name,
    expiresAt,
    units: isInMiles(stored) ? 'miles' : 'metric',
    side: roads.side,
    reading,
    notes: near.map(({ lat, lon, text }) => ({ lat, lon, text })),
  };
}
