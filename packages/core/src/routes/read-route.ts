import { callsOf, type Call, type CallStyle } from '@jasperwren/roads/directions/calls';
import { countFeatures, featuresOf, type Feature, type FeatureKind } from '@jasperwren/roads/features/features';
import { metresBetween, project, type Place } from '@jasperwren/roads/geometry';
import { buildGraph, edgeLimit, edgeLine, edgeMetres, type RoadGraph } from '@jasperwren/roads/graph/graph';
import { trafficSide, type Side } from '@jasperwren/roads/graph/side';
import { finder, type Finder, type Snapped } from '@jasperwren/roads/graph/snap';
import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { lineOf, makeRouter, type End, type Path, type Router } from '@jasperwren/roads/route/router';
import { byTime, dayFactors, timeSpread, type Weights } from '@jasperwren/roads/route/time-model';
import { endAt, joinPaths, repeatedShare } from '@jasperwren/roads/route/via';
import type { RoadSource } from '@jasperwren/roads/source';
import type { LegMode, RouteStop } from './driving-route';

/** A graph with all that is needed to drive on it. */
export interface Roads {
  readonly graph: RoadGraph;
  readonly side: Side;
  readonly time: Weights;
  readonly router: Router;
  readonly finder: Finder;
}

/** Makes a graph of roads ready. Takes a second for 100,000 edges. */
export function openGraph(source: RoadSource): Roads {
  const graph = buildGraph(source);
  const side = trafficSide(source);
  const time = byTime(graph, side);
  return { graph, side, time, router: makeRouter(graph, time), finder: finder(graph) };
}

/** What a mock test of about 40 minutes wants to meet at least once or more often. Common practice. */
export const mockTestWants: Readonly<Partial<Record<FeatureKind, number>>> = {
  'left-turn': 6,
  'right-turn': 6,
  'give-way': 3,
  stop: 1,
  signals: 2,
  crossroads: 2,
  'mini-roundabout': 1,
  'roundabout-ahead': 1,
  'roundabout-right': 1,
  crossing: 2,
  'limit-change': 4,
  'dual-carriageway': 1,
  narrow: 1,
};

export interface ReadLeg {
  readonly mode: LegMode;
  /** Metres and seconds from the start of the route. */
  readonly from: number;
  readonly to: number;
  readonly fromSeconds: number;
  readonly toSeconds: number;
}

/** A call with its places: where it is said, and the junction. */
export interface PlacedCall extends Call {
  readonly said: Place;
  readonly junction: Place;
}

/** What a route is on its roads. */
export interface RouteReading {
  readonly line: readonly (readonly [lat: number, lon: number])[];
  readonly legs: readonly ReadLeg[];
  readonly metres: number;
  /** Expected, without regard to the time of day, and the range over the day. */
  readonly seconds: number;
  readonly range: { readonly from: number; readonly to: number };
  /** Seconds driven by signs or by a device. */
  readonly independent: number;
  readonly features: readonly (Feature & Place & { readonly seconds: number })[];
  readonly counts: Readonly<Partial<Record<FeatureKind, number>>>;
  readonly missing: readonly { readonly kind: FeatureKind; readonly wanted: number; readonly found: number }[];
  readonly calls: readonly PlacedCall[];
  /** Share of its length driven twice. */
  readonly repeated: number;
  /** Limits along it: from so many metres on, km/h. */
  readonly limits: readonly (readonly [metres: number, kmh: number])[];
  /** Seconds from the start at metres from the start, a pair for each edge. */
  readonly pace: readonly (readonly [metres: number, seconds: number])[];
  /** The directed roads it leads over, as edges of the graph. */
  readonly edges: readonly number[];
  /** The leg that cannot be driven, counted from 0; what stands above is of the legs before it. */
  readonly broken?: { readonly leg: number; readonly problem: RoadsProblem };
}

/** A reading, or why not even the first leg can be driven. */
export type AnyReading = RouteReading | { readonly broken: NonNullable<RouteReading['broken']> };

/** What is otherwise than usual. */
export interface Circumstances {
  /** The car is on its way already: where, and on which edge. It stands for the first stop. */
  readonly car?: { readonly at: Snapped; readonly edge: number };
  /** Stretches of the graph that are closed today. */
  readonly closed?: ReadonlySet<number>;
}

/** No detour is so long that a closed road were the better way. */
const closedFactor = 1e6;

/** A route through stops, read on its roads. */
export function readRoute(
  roads: Roads,
  stops: readonly RouteStop[],
  style: CallStyle,
  { car, closed }: Circumstances = {},
): AnyReading {
  const { graph, side, router } = roads;
  const factors = closed && Float64Array.from(graph.edgeStretch, (stretch) => (closed.has(stretch) ? closedFactor : 1));
  const ends: End[] = [];
  const legEnds: number[] = [];
  let path: Path | undefined;
  let broken: RouteReading['broken'];
  for (let i = 0; i < stops.length; i++) {
    try {
      ends.push(i === 0 && car ? car.at : endAt(graph, roads.finder, stops[i]!, 200));
      if (i === 0) continue;
      const after = path?.edges ?? (car && [car.edge]);
      const leg = router.find(ends[i - 1]!, ends[i]!, { ...(after && { after }), ...(factors && { factors }) });
      if (!leg || leg.edges.slice(1).some((edge) => closed?.has(graph.edgeStretch[edge]!)))
        throw new RoadsError({ code: 'noWay' });
      path = path ? joinPaths(path, leg) : leg;
      legEnds.push(path.metres);
    } catch (error) {
      if (!(error instanceof RoadsError)) throw error;
      broken = { leg: Math.max(0, i - 1), problem: error.problem };
      break;
    }
  }
  if (!path) return { broken: broken ?? { leg: 0, problem: { code: 'noWay' } } };
  const clock = clockOf(roads, path);
  const line = lineOf(graph, path, ends[0]!, ends[legEnds.length]!);
  const at = placesAlong(line);
  const legs = legEnds.map((to, i): ReadLeg => {
    const from = i === 0 ? 0 : legEnds[i - 1]!;
    return { mode: stops[i]!.mode, from, to, fromSeconds: clock.at(from), toSeconds: clock.at(to) };
  });
  const features = featuresOf(graph, path, side).map((feature) => ({
    ...feature,
    ...at(feature.metres),
    seconds: clock.at(feature.metres),
  }));
  const counts = countFeatures(features);
  const seconds = clock.at(path.metres);
  const overDay = dayFactors.map(([, factor]) => factor);
  return {
    line,
    legs,
    metres: path.metres,
    seconds,
    range: { from: seconds * Math.min(...overDay) * (1 - timeSpread / 2), to: seconds * Math.max(...overDay) },
    independent: legs
      .filter(({ mode }) => mode !== 'directions')
      .reduce((sum, leg) => sum + leg.toSeconds - leg.fromSeconds, 0),
    features,
    counts,
    missing: (Object.entries(mockTestWants) as [FeatureKind, number][])
      .map(([kind, wanted]) => ({ kind, wanted, found: counts[kind] ?? 0 }))
      .filter(({ wanted, found }) => found < wanted),
    calls: callsOf(graph, path, side, style).map((call) => ({
      ...call,
      said: at(call.at),
      junction: at(call.decision.metres),
    })),
    repeated: repeatedShare(graph, path),
    limits: limitsOf(graph, path),
    pace: clock.pairs,
    edges: path.edges,
    ...(broken && { broken }),
  };
}

/** Seconds from the start by metres from the start. */
function clockOf({ graph, time }: Roads, { edges, start, end, metres: whole }: Path) {
  const pairs: (readonly [number, number])[] = [[0, 0]];
  let metres = -start;
  let seconds = 0;
  edges.forEach((edge, i) => {
    const length = edgeMetres(graph, edge);
    const from = i === 0 ? start : 0;
    const to = i === edges.length - 1 ? end : length;
    if (i > 0) seconds += time.turn(edges[i - 1]!, edge);
    seconds += length === 0 ? 0 : (time.edge[edge]! * (to - from)) / length;
    metres += length;
    pairs.push([Math.min(metres, whole), seconds]);
  });
  return { pairs, at: (at: number) => between(pairs, at) };
}

/** A value between pairs that rise, in proportion. */
export function between(pairs: readonly (readonly [x: number, y: number])[], x: number): number {
  const after = pairs.findIndex(([from]) => from >= x);
  if (after < 0) return pairs.at(-1)?.[1] ?? 0;
  const [x2, y2] = pairs[after]!;
  const [x1, y1] = pairs[after - 1] ?? [x2, y2];
  return x2 === x1 ? y2 : y1 + ((x - x1) / (x2 - x1)) * (y2 - y1);
}

/** How many metres along a line the point of it lies that is nearest to a place, and how far off that is. */
export function nearestAlong(
  line: readonly (readonly [lat: number, lon: number])[],
  place: Place,
): { readonly metres: number; readonly off: number } {
  let [best, along] = [{ metres: 0, off: Infinity }, 0];
  for (let i = 1; i < line.length; i++) {
    const [[aLat, aLon], [bLat, bLon]] = [line[i - 1]!, line[i]!];
    const length = metresBetween(aLat, aLon, bLat, bLon);
    const { share, metres: off } = project(place, aLat, aLon, bLat, bLon);
    if (off < best.off) best = { metres: along + share * length, off };
    along += length;
  }
  return best;
}

/** Gives the place so many metres along a line. */
export function placesAlong(line: readonly (readonly [lat: number, lon: number])[]): (metres: number) => Place {
  const sums = [0];
  for (let i = 1; i < line.length; i++)
    sums.push(sums[i - 1]! + metresBetween(line[i - 1]![0], line[i - 1]![1], line[i]![0], line[i]![1]));
  return (metres) => {
    let low = 0;
    let high = sums.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (sums[middle]! < metres) low = middle + 1;
      else high = middle;
    }
    const [lat, lon] = line[low]!;
    const before = line[low - 1];
    if (!before) return { lat, lon };
    const share = Math.max(0, Math.min(1, (metres - sums[low - 1]!) / Math.max(sums[low]! - sums[low - 1]!, 1e-9)));
    return { lat: before[0] + share * (lat - before[0]), lon: before[1] + share * (lon - before[1]) };
  };
}

function limitsOf(graph: RoadGraph, { edges, start }: Path): RouteReading['limits'] {
  const limits: (readonly [number, number])[] = [];
  let metres = -start;
  for (const edge of edges) {
    const limit = edgeLimit(graph, edge);
    if (limits.at(-1)?.[1] !== limit) limits.push([Math.max(0, metres), limit]);
    metres += edgeMetres(graph, edge);
  }
  return limits;
}

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
function middleOf(graph: RoadGraph, edge: number): Place {
  return placesAlong(edgeLine(graph, edge))(edgeMetres(graph, edge) / 2);
}
