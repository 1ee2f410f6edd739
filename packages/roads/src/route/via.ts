import type { RoadGraph } from '../graph/graph';
import type { Finder } from '../graph/snap';
import { degreeMetres, type Place } from '../geometry';
import { RoadsError } from '../problem';
import type { End, Path, Router } from './router';
import type { Weights } from './time-model';

/** A place this near a junction means the junction. */
const junctionReach = 22;

/**
 * The end of a way that a place stands for: the junction it lies at, or the nearest place on a road. Throws a `RoadsError`
 * (`notOnRoads`) where no road is within `within` metres.
 */
export function endAt(
  graph: RoadGraph,
  finder: Finder,
  place: Place,
  within = 400,
  which: 'from' | 'to' | 'via' = 'via',
): End {
  const [snapped] = finder.near(place, within);
  if (!snapped) throw new RoadsError({ code: 'notOnRoads', end: which, metres: within });
  const { source, stretchStart, stretchNodes, nodeVertex } = graph;
  const ends = [stretchNodes[stretchStart[snapped.stretch]!]!, stretchNodes[stretchStart[snapped.stretch + 1]! - 1]!];
  const degree = degreeMetres(place.lat);
  const away = (node: number) =>
    Math.hypot((source.lat[node]! - snapped.lat) * degree.lat, (source.lon[node]! - snapped.lon) * degree.lon);
  const nearest = ends.reduce((a, b) => (away(b) < away(a) ? b : a));
  if (away(nearest) <= junctionReach)
    return { vertex: nodeVertex[nearest]!, lat: source.lat[nearest]!, lon: source.lon[nearest]! };
  return snapped;
}

/**
 * The way through ends in order, each leg the way of least cost on from the last. Throws a `RoadsError` (`noWay`) where a leg
 * cannot be driven.
 */
export function pathThrough(
  router: Router,
  ends: readonly End[],
  factors?: (sofar: readonly number[]) => Float64Array,
): Path {
  let whole: Path | undefined;
  for (let i = 0; i + 1 < ends.length; i++) {
    const leg = router.find(ends[i]!, ends[i + 1]!, {
      ...(whole && { after: whole.edges }),
      ...(factors && { factors: factors(whole?.edges ?? []) }),
    });
    if (!leg) throw new RoadsError({ code: 'noWay' });
    whole = whole ? joinPaths(whole, leg) : leg;
  }
  if (!whole) throw new RoadsError({ code: 'noWay' });
  return whole;
}

/** A path and a leg that goes on from its last edge. */
export const joinPaths = (path: Path, leg: Path): Path => ({
  edges: [...path.edges, ...leg.edges.slice(1)],
  start: path.start,
  end: leg.end,
  metres: path.metres + leg.metres,
  cost: path.cost + leg.cost,
});

/** Cost of a path by other weights than it was sought with. */
export function pathCost(
  { metres, edgeStretch }: RoadGraph,
  { edge: weights, turn }: Weights,
  { edges, start, end }: Path,
): number {
  let cost = 0;
  edges.forEach((edge, i) => {
    const length = metres[edgeStretch[edge]!]!;
    const share = length === 0 ? 1 : ((i === edges.length - 1 ? end : length) - (i === 0 ? start : 0)) / length;
    cost += weights[edge]! * share;
    if (i > 0) cost += turn(edges[i - 1]!, edge);
  });
  return cost;
}

/** Share of a path's metres that lie on stretches it has driven before, from 0 to 1. */
export function repeatedShare({ metres, edgeStretch }: RoadGraph, { edges }: Path): number {
  const seen = new Set<number>();
  let again = 0;
  let all = 0;
  edges.forEach((edge, i) => {
    const stretch = edgeStretch[edge]!;
    const length = metres[stretch]!;
    all += length;
    // A way that ends on the stretch it began on closes its loop.
    if (seen.has(stretch) && i < edges.length - 1) again += length;
    seen.add(stretch);
  });
  return all === 0 ? 0 : again / all;
}

/** Share of a path's metres on stretches of a set, from 0 to 1. */
export const sharedWith = (graph: RoadGraph, { edges }: Path, stretches: ReadonlySet<number>): number =>
  shareOfStretches(
    graph,
    edges.map((edge) => graph.edgeStretch[edge]!),
    stretches,
  );

/** Share of the metres of some stretches, driven one after the other, that lie on those of a set, from 0 to 1. */
export function shareOfStretches(
  { metres }: Pick<RoadGraph, 'metres'>,
  driven: readonly number[],
  stretches: ReadonlySet<number>,
): number {
  let shared = 0;
  let all = 0;
  for (const stretch of driven) {
    all += metres[stretch]!;
    if (stretches.has(stretch)) shared += metres[stretch]!;
  }
  return all === 0 ? 0 : shared / all;
}
