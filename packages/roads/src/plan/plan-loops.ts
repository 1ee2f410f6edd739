import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { countFeatures, featuresOf, type FeatureKind } from '../features/features';
import { stronglyConnected } from '../graph/components';
import type { RoadGraph } from '../graph/graph';
import type { Side } from '../graph/side';
import { RoadsError } from '../problem';
import { edgesOfStretch, type End, type Path, type Router } from '../route/router';
import type { Weights } from '../route/time-model';
import { pathCost, pathThrough, repeatedShare, sharedWith } from '../route/via';
import { sitesOf } from './sites';
import { trailsFrom } from './trails';
import type { Loop, LoopWish, Planning, Unmet } from './loop';
import { byAngle, changed, firstStops, type Stop } from './loop-stops';

/** The time may miss the wish by this share, and roads may be driven twice on this share of the metres, at no loss. */
const timeSlack = 0.05;
const repeatSlack = 0.06;
/** Loops share at most about this much with one before. */
const shareSlack = 0.45;
/** Trials for each loop. */
const trials = 220;
/** A net of no more edges is small. */
const smallNet = 64;
/** Roads that were driven cost so many times more. */
const again = 3;
const before = 1.6;

interface Candidate {
  readonly stops: readonly Stop[];
  readonly loop: Omit<Loop, 'unmet'>;
  readonly loss: number;
}

/**
 * Loops of about so many minutes from a place and back to it, of roads that may be driven, each unlike those before: found by a
 * search that changes one stop at a time and keeps what is better, or now and then what is not (simulated annealing, S. Kirkpatrick
 * and others, 1983). The same seed gives the same loops. Throws a `RoadsError` (`noWay`) where no loop exists.
 */
export function planLoops(
  graph: RoadGraph,
  router: Router,
  time: Weights,
  side: Side,
  { from, minutes, wants = {}, prefers = [], avoids = [], over = [], loops = 3, seed }: LoopWish,
  { onProgress, shouldStop }: Planning = {},
): readonly Loop[] {
  const random = xoroshiro128plus(seed);
  const below = (count: number) => uniformInt(random, 0, count - 1);
  const chance = () => below(1_000_000) / 1_000_000;
  const seconds = minutes * 60;
  const reach = router.spread(from);
  const { part } = stronglyConnected(graph);
  const home = homePart(graph, from, part);
  const usable = (edge: number, within: number) =>
    reach[edge]! < within && part[graph.edgeTo[edge]!] === home && part[graph.edgeFrom[edge]!] === home;
  const sites = new Map<FeatureKind, readonly number[]>();
  const nearest = new Map<FeatureKind, number>();
  for (const [kind, edges] of sitesOf(graph)) {
    sites.set(
      kind,
      edges.filter((edge) => usable(edge, seconds * 0.5)),
    );
    nearest.set(
      kind,
      edges.reduce(
        (least, edge) => (part[graph.edgeTo[edge]!] === home ? Math.min(least, reach[edge]!) : least),
        Infinity,
      ),
    );
  }
  const anywhere = Array.from({ length: graph.edgeCount }, (_, e) => e).filter((e) => usable(e, seconds * 0.5));
  if (anywhere.length === 0) throw new RoadsError({ code: 'noWay' });
  const wished = [...(Object.keys(wants) as FeatureKind[]), ...prefers].filter(
    (kind) => (sites.get(kind)?.length ?? 0) > 0,
  );
  const pick = (): Stop => {
    const list = wished.length > 0 && chance() < 0.6 ? sites.get(wished[below(wished.length)]!)! : anywhere;
    return { ends: [atEnd(graph, list[below(list.length)]!)], wished: false };
  };
  const always = over.map((ends): Stop => ({ ends, wished: true }));
  const done: Candidate[] = [];
  for (let k = 0; k < loops; k++) {
    const earlier = done.map(({ loop }) => new Set(loop.path.edges.map((edge) => graph.edgeStretch[edge]!)));
    const factors = (sofar: readonly number[]) => {
      const factor = new Float64Array(graph.edgeCount).fill(1);
      const raise = (stretch: number, by: number) => {
        for (const edge of edgesOfStretch(graph, stretch)) factor[edge] = Math.max(factor[edge]!, by);
      };
      for (const set of earlier) for (const stretch of set) raise(stretch, before);
      for (const edge of sofar) raise(graph.edgeStretch[edge]!, again);
      return factor;
    };
    const judge = (stops: readonly Stop[]): Candidate | undefined => {
      let path: Path;
      try {
        path = pathThrough(router, [from, ...stops.flatMap(({ ends }) => ends), from], factors);
      } catch (error) {
        if (error instanceof RoadsError) return undefined;
        throw error;
      }
      return weigh(path, stops);
    };
    const weigh = (path: Path, stops: readonly Stop[]): Candidate => {
      const through = [from, ...stops.flatMap(({ ends }) => ends), from];
      const taken = pathCost(graph, time, path);
      const counts = countFeatures(featuresOf(graph, path, side));
      const repeated = repeatedShare(graph, path);
      const shared = Math.max(0, ...earlier.map((set) => sharedWith(graph, path, set)));
      const lacking = Object.entries(wants).reduce(
        (sum, [kind, count]) => sum + Math.max(0, count - (counts[kind as FeatureKind] ?? 0)) / count,
        0,
      );
      const disliked = avoids.reduce((sum, kind) => sum + (counts[kind] ?? 0), 0);
      const liked = prefers.reduce((sum, kind) => sum + Math.min(6, counts[kind] ?? 0), 0);
      const loss =
        12 * Math.max(0, Math.abs(taken / seconds - 1) - timeSlack) +
        1.5 * lacking +
        0.6 * disliked -
        0.04 * liked +
        5 * Math.max(0, repeated - repeatSlack) +
        4 * Math.max(0, shared - shareSlack) +
        0.2 * repeated;
      return { stops, loop: { path, through, seconds: taken, counts, repeated, shared }, loss };
    };
    const round = (stops: readonly Stop[]) =>
      chance() < 0.5 ? byAngle(from, stops) : byAngle(from, stops).toReversed();
    let now: Candidate | undefined;
    let best: Candidate | undefined;
    // On a small net all loops there are can be weighed.
    if (graph.edgeCount <= smallNet && 'vertex' in from && always.length === 0)
      for (const path of trailsFrom(graph, router, time, from.vertex, seconds * 1.5)) {
        const found = weigh(
          path,
          path.edges.slice(0, -1).map((edge) => ({ ends: [atEnd(graph, edge)], wished: false })),
        );
        if (!best || found.loss < best.loss) best = found;
      }
    for (let t = 0; t < trials; t++) {
      if (shouldStop?.()) break;
      onProgress?.((k + t / trials) / loops);
      const stops = now
        ? changed(now.stops, now.loop.seconds / seconds, below, chance, pick)
        : round([...always, ...Array.from({ length: firstStops(always.length, below) }, pick)]);
      const next = judge(chance() < 0.5 ? round(stops) : stops);
      if (!next) continue;
      const warmth = 0.6 * (1 - t / trials) ** 2;
      if (!now || next.loss <= now.loss || chance() < Math.exp((now.loss - next.loss) / Math.max(warmth, 1e-6)))
        now = next;
      if (!best || next.loss < best.loss) best = next;
      if (best.loss <= 0.2 * best.loop.repeated && prefers.length === 0 && best.loop.repeated < 0.02) break;
    }
    if (!best) break;
    done.push(best);
  }
  if (done.length === 0) throw new RoadsError({ code: 'noWay' });
  onProgress?.(1);
  return done.map(({ loop }) => ({ ...loop, unmet: unmetOf(wants, loop.counts, nearest) }));
}

function unmetOf(
  wants: NonNullable<LoopWish['wants']>,
  counts: Loop['counts'],
  nearest: ReadonlyMap<FeatureKind, number>,
): readonly Unmet[] {
  return (Object.entries(wants) as [FeatureKind, number][]).flatMap(([kind, wanted]) => {
    const found = counts[kind] ?? 0;
    if (found >= wanted) return [];
    const seconds = nearest.get(kind) ?? Infinity;
    return [{ kind, wanted, found, ...(seconds < Infinity && { nearest: seconds }) }];
  });
}

function atEnd({ source, edgeTo, vertexNode }: RoadGraph, edge: number): End {
  const vertex = edgeTo[edge]!;
  const node = vertexNode[vertex]!;
  return { vertex, lat: source.lat[node]!, lon: source.lon[node]! };
}

function homePart(graph: RoadGraph, from: End, part: Int32Array): number {
  if ('vertex' in from) return part[from.vertex]!;
  const node = graph.stretchNodes[graph.stretchStart[from.stretch]!]!;
  return part[graph.nodeVertex[node]!]!;
}
