import type { CallStyle } from '@jasperwren/roads/directions/calls';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import { metresBetween, type Place } from '@jasperwren/roads/geometry';
import { sitesOf } from '@jasperwren/roads/plan/sites';
import type { RouteStop } from './driving-route';
import { readRoute, type Roads, type RouteReading } from './read-route';

/** A stop that brings a feature into a route. */
export interface FeatureStop {
  readonly kind: FeatureKind;
  /** The leg it goes into, counted from 0. */
  readonly leg: number;
  readonly at: Place;
  /** Seconds the route takes longer with it. */
  readonly seconds: number;
}

/** So many of the places nearest to the route are tried for each kind. */
const tried = 5;

/**
 * For each kind that a route lacks the stop that brings it in at the least time, of the places nearest to the route; none where the
 * roads have none, or none of those tried helps.
 */
export function stopsFor(
  roads: Roads,
  stops: readonly RouteStop[],
  reading: RouteReading,
  kinds: readonly FeatureKind[],
  style: CallStyle,
): readonly FeatureStop[] {
  const sites = sitesOf(roads.graph);
  return kinds.flatMap((kind): readonly FeatureStop[] => {
    const near = nearestSites(roads, reading, sites.get(kind) ?? []);
    const helping = near.flatMap(({ leg, at }) => {
      const longer = readRoute(roads, stops.toSpliced(leg + 1, 0, { ...at, mode: stops[leg]!.mode }), style);
      if (!('line' in longer) || longer.broken) return [];
      if ((longer.counts[kind] ?? 0) <= (reading.counts[kind] ?? 0)) return [];
      return [{ kind, leg, at, seconds: longer.seconds - reading.seconds }];
    });
    return helping.length === 0 ? [] : [helping.reduce((a, b) => (b.seconds < a.seconds ? b : a))];
  });
}

/** The sites nearest to a route, each with the leg it lies nearest to. */
function nearestSites({ graph }: Roads, { line, legs, metres }: RouteReading, edges: readonly number[]) {
  const { source, edgeTo, vertexNode } = graph;
  const places = new Map<number, { readonly at: Place; readonly leg: number; readonly away: number }>();
  // A look at every so many points of the line is enough to find what lies near.
  const step = Math.max(1, Math.floor(line.length / 150));
  for (const edge of edges) {
    const node = vertexNode[edgeTo[edge]!]!;
    if (places.has(node)) continue;
    const at = { lat: source.lat[node]!, lon: source.lon[node]! };
    let best = { away: Infinity, index: 0 };
    for (let i = 0; i < line.length; i += step) {
      const away = metresBetween(line[i]![0], line[i]![1], at.lat, at.lon);
      if (away < best.away) best = { away, index: i };
    }
    const along = (best.index / Math.max(line.length - 1, 1)) * metres;
    const leg = Math.max(
      0,
      legs.findIndex(({ to }) => to >= along),
    );
    places.set(node, { at, leg, away: best.away });
  }
  return [...places.values()].sort((a, b) => a.away - b.away).slice(0, tried);
}
