import type { Place } from '@jasperwren/roads/geometry';
import { edgeLine, edgeMetres, edgeNodes } from '@jasperwren/roads/graph/graph';
import type { End } from '@jasperwren/roads/route/router';
import { endAt } from '@jasperwren/roads/route/via';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { nodesOfPlace, passesOf, type RoadPlace } from '../places/passes';
import type { RouteStop } from './driving-route';
import { readRoute, type Roads } from './read-route';
import { placesAlong } from './along-line';

/** So often a practice leads over its place. */
const times = 3;

/**
 * The stops of a loop that leads over a place several times the same way, from a start and back to it.
 * @param start where it begins and ends
 * @returns undefined where no way leads over the place and back
 */
export function practiceLoop(roads: Roads, place: RoadPlace, start: Place): readonly RouteStop[] | undefined {
  const over = stopsOver(roads, place);
  if (!over) return undefined;
  const rounds = Array.from({ length: times }, () => over).flat();
  const stops = [start, ...rounds, start].map(({ lat, lon }): RouteStop => ({ lat, lon, mode: 'directions' }));
  const reading = readRoute(roads, stops, instructorStyle);
  if (!('edges' in reading) || reading.broken) return undefined;
  const { edges, metres } = reading;
  const path = { edges, start: 0, end: edgeMetres(roads.graph, edges.at(-1)!), metres, cost: 0 };
  const leads = passesOf(roads.graph, roads.side, path).some((pass) => pass.place.id === place.id);
  return leads ? stops : undefined;
}

/** A place lies on its road within so many metres. */
const onRoad = 30;

/** The ends that a way passes one after the other to lead over a place; undefined where these roads do not have it. */
export function endsOver(roads: Roads, place: RoadPlace): readonly End[] | undefined {
  const stops = stopsOver(roads, place);
  if (!stops?.every((stop) => roads.finder.near(stop, onRoad).length > 0)) return undefined;
  return stops.map((stop) => endAt(roads.graph, roads.finder, stop, onRoad));
}

/** The stops that lead over a place: on the road one comes by and on the one that is taken; on a road one in its middle. */
function stopsOver({ graph }: Roads, place: RoadPlace): readonly Place[] | undefined {
  if (place.sort === 'road') return [place];
  const [come, node, go] = nodesOfPlace(place);
  const { ids } = graph.source;
  let before: number | undefined;
  let after: number | undefined;
  for (let edge = 0; edge < graph.edgeCount; edge++) {
    const nodes = edgeNodes(graph, edge);
    if (ids[nodes.at(-1)!] === node && ids[nodes.at(-2)!] === come) before ??= edge;
    if (ids[nodes[1]!] === go && (place.sort === 'roundabout' || ids[nodes[0]!] === node)) after ??= edge;
  }
  if (before === undefined || after === undefined) return undefined;
  return [before, after].map((edge) => placesAlong(edgeLine(graph, edge))(edgeMetres(graph, edge) / 2));
}
