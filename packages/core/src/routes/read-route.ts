import { callsOf, type Call, type CallStyle } from '@jasperwren/roads/directions/calls';
import { countFeatures, featuresOf, type Feature, type FeatureKind } from '@jasperwren/roads/features/features';
import type { Place } from '@jasperwren/roads/geometry';
import { buildGraph, edgeLimit, edgeMetres, type RoadGraph } from '@jasperwren/roads/graph/graph';
import { trafficSide, type Side } from '@jasperwren/roads/graph/side';
import { finder, type Finder, type Snapped } from '@jasperwren/roads/graph/snap';
import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { makeRouter, type End, type Path, type Router } from '@jasperwren/roads/route/router';
import { lineOf } from '@jasperwren/roads/route/line-of';
import { byTime, dayFactors, timeSpread, type Weights } from '@jasperwren/roads/route/time-model';
import { endAt, joinPaths, repeatedShare } from '@jasperwren/roads/route/via';
import type { RoadSource } from '@jasperwren/roads/source';
import type { LegMode, RouteStop } from './driving-route';
import { between, placesAlong } from './along-line';

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
