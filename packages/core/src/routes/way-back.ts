import type { CallStyle } from '@jasperwren/roads/directions/calls';
import { bearing, turnBetween, type Place } from '@jasperwren/roads/geometry';
import { edgeLine, edgeMetres, edgesFrom } from '@jasperwren/roads/graph/graph';
import type { Snapped } from '@jasperwren/roads/graph/snap';
import { edgesOfStretch } from '@jasperwren/roads/route/router';
import type { RouteStop } from './driving-route';
import { readRoute, type AnyReading, type PlacedCall, type Roads, type RouteReading } from './read-route';
import { placesAlong } from './along-line';

/** A car on the roads. */
export interface Car extends Place {
  /** Degrees clockwise from north; unknown while it stands. */
  readonly heading?: number;
}

/** A car is on one of the roads within this many metres. */
const onRoad = 60;
/** On the road passed by mistake a car has driven this many metres, or half of it. */
const passedBy = 40;

/**
 * A new way from where a car is through what is left of its route. It does not turn round in the road, and asks nobody why
 * the route was left.
 * @param rest the stops still ahead, in their order
 * @param closed stretches of the graph that are closed today
 */
export function wayBack(
  roads: Roads,
  car: Car,
  rest: readonly RouteStop[],
  style: CallStyle,
  closed?: ReadonlySet<number>,
): AnyReading {
  const on = roadOf(roads, car);
  const here: RouteStop = { lat: car.lat, lon: car.lon, mode: rest[0]?.mode ?? 'directions' };
  return readRoute(roads, [here, ...rest], style, { ...(on && { car: on }), ...(closed && { closed }) });
}

/** The stops that a car so many metres along its route has not passed yet. */
export const stopsAhead = (
  stops: readonly RouteStop[],
  { legs }: Pick<RouteReading, 'legs'>,
  metres: number,
): readonly RouteStop[] => stops.filter((_, i) => i > 0 && (legs[i - 1]?.to ?? Infinity) > metres);

/** The road a car drives on: the nearest that leads where it is heading. */
function roadOf({ graph, finder }: Roads, { heading, ...place }: Car): { at: Snapped; edge: number } | undefined {
  if (heading === undefined) return undefined;
  const choices = finder.near(place, onRoad, 6).flatMap((at) =>
    edgesOfStretch(graph, at.stretch).map((edge) => {
      const off = Math.abs(turnBetween(heading, directionAt(graph, edge, at)));
      // Ten degrees off count as much as two metres away.
      return { at, edge, off, cost: at.away + off / 5 };
    }),
  );
  const fitting = choices.filter(({ off }) => off < 60).sort((a, b) => a.cost - b.cost);
  return fitting[0] ?? choices.sort((a, b) => a.cost - b.cost)[0];
}

/** Where an edge leads at a place on it, in degrees from north. */
function directionAt(graph: Roads['graph'], edge: number, at: Snapped): number {
  const metres = graph.edgeAlong[edge] ? at.offset : edgeMetres(graph, edge) - at.offset;
  const along = placesAlong(edgeLine(graph, edge));
  const [from, to] = [along(Math.max(0, metres - 5)), along(metres + 5)];
  return bearing(from.lat, from.lon, to.lat, to.lon);
}

/**
 * Where a car is after its driver missed what a call asked for: on the straightest of the other roads from that junction.
 * Nothing where no other road may be taken there.
 */
export function afterMissing(
  { graph, router }: Roads,
  { edges }: Pick<RouteReading, 'edges'>,
  { decision }: Pick<PlacedCall, 'decision'>,
): Car | undefined {
  const before = edges[decision.edge]!;
  const driven = edges.slice(0, decision.edge + 1);
  const open = new Set(router.follow(driven));
  const others = [...edgesFrom(graph, graph.edgeTo[before]!)].filter(
    (edge) => open.has(edge) && edge !== edges[decision.edge + 1] && edge !== graph.edgeBack[before],
  );
  const straightness = (edge: number) => Math.abs(turnBetween(graph.bearingIn[before]!, graph.bearingOut[edge]!));
  const [taken] = others.sort((a, b) => straightness(a) - straightness(b));
  return taken === undefined ? undefined : carOn(graph, taken, Math.min(passedBy, edgeMetres(graph, taken) / 2));
}

/** Where a car is when its driver finds the road closed that a call leads into, and what is closed. */
export function beforeClosed(
  { graph }: Roads,
  { edges }: Pick<RouteReading, 'edges'>,
  { decision }: Pick<PlacedCall, 'decision'>,
): { readonly car: Car; readonly closed: ReadonlySet<number> } | undefined {
  const [before, into] = [edges[decision.edge]!, edges[decision.edge + 1]];
  if (into === undefined) return undefined;
  return {
    car: carOn(graph, before, Math.max(0, edgeMetres(graph, before) - 25)),
    closed: new Set([graph.edgeStretch[into]!]),
  };
}

/** A car so many metres along an edge, heading on. */
function carOn(graph: Roads['graph'], edge: number, metres: number): Car {
  const along = placesAlong(edgeLine(graph, edge));
  const [at, next] = [along(metres), along(metres + 5)];
  const heading =
    at.lat === next.lat && at.lon === next.lon ? graph.bearingIn[edge]! : bearing(at.lat, at.lon, next.lat, next.lon);
  return { ...at, heading };
}
