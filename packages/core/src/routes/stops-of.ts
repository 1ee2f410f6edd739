import type { Path, End } from '@jasperwren/roads/route/router';
import type { LegMode, RouteStop } from './driving-route';
import type { Roads } from './read-route';
import type { Place } from '@jasperwren/roads/geometry';
import { type RoadGraph, edgeLine, edgeMetres } from '@jasperwren/roads/graph/graph';
import { placesAlong } from './along-line';

/**
 * The stops that lead over a path of the planner: as few as make the ways of least cost between them that path.
 * @param from where the path begins, and ends where `to` is not given
 */
export function stopsOf(
  { graph, router }: Roads,
  { edges }: Pick<Path, 'edges'>,
  from: End,
  mode: LegMode,
  to: End = from,
): readonly RouteStop[] {
  const { source, edgeTo, vertexNode } = graph;
  const endOf = (i: number): End => {
    const vertex = edgeTo[edges[i]!]!;
    const node = vertexNode[vertex]!;
    return { vertex, lat: source.lat[node]!, lon: source.lon[node]! };
  };
  const stops: RouteStop[] = [{ lat: from.lat, lon: from.lon, mode }];
  // Minus one is the start itself, from which no edge has been driven yet.
  let at = -1;
  while (at < edges.length - 2) {
    let next = Math.min(at + 24, edges.length - 2);
    const leads = () => {
      const leg =
        at < 0
          ? router.find(from, endOf(next))
          : router.find(endOf(at), endOf(next), { after: edges.slice(0, at + 1) });
      return leg !== undefined && leg.edges.join() === edges.slice(Math.max(at, 0), next + 1).join();
    };
    while (next > at + 1 && !leads()) next = at + ((next - at) >> 1);
    // Another road is quicker than the edge itself: a stop in its middle keeps to it.
    if (next === at + 1 && !leads()) stops.push({ ...middleOf(graph, edges[next]!), mode });
    const { lat, lon } = endOf(next);
    stops.push({ lat, lon, mode });
    at = next;
  }
  const home = at < 0 ? router.find(from, to) : router.find(endOf(at), to, { after: edges.slice(0, at + 1) });
  if (home?.edges.join() !== edges.slice(Math.max(at, 0)).join())
    stops.push({ ...middleOf(graph, edges.at(-1)!), mode });
  return [...stops, { lat: to.lat, lon: to.lon, mode }];
}

/** The place half-way along an edge. */
export function middleOf(graph: RoadGraph, edge: number): Place {
  return placesAlong(edgeLine(graph, edge))(edgeMetres(graph, edge) / 2);
}
