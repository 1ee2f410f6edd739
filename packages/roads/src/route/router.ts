import FlatQueue from 'flatqueue';
import { degreeMetres } from '../geometry';
import { banAutomaton, followers } from '../graph/bans';
import { wayOf, type RoadGraph } from '../graph/graph';
import { bansOf } from '../graph/restrictions';
import type { Snapped } from '../graph/snap';
import type { Weights } from './time-model';

// Looked up once: every vertex of a network is asked for.
const { abs, hypot, max, min } = Math;

/** A way over the roads: its edges in order, from a place on the first to a place on the last. */
export interface Path {
  readonly edges: readonly number[];
  /** Metres from the beginning of the first edge to the start, and of the last edge to the end. */
  readonly start: number;
  readonly end: number;
  readonly metres: number;
  /** By the weights it was sought with. */
  readonly cost: number;
}

/** A vertex as the start or the end of a way. */
export interface AtVertex {
  readonly vertex: number;
  readonly lat: number;
  readonly lon: number;
}

/** Where a way begins or ends: a place on a road, or a vertex, reached and left by whichever road suits. */
export type End = Snapped | AtVertex;

export interface Router {
  /**
   * The way of least cost between two places that breaks no restriction, turns round at dead ends only and crosses no road
   * that is open to those with an end there; nothing where there is none.
   */
  readonly find: (from: End, to: End, options?: Search) => Path | undefined;
  /** Least cost to the end of every edge from a place, `Infinity` where one does not get. */
  readonly spread: (from: End) => Float64Array;
  /** Which edges may follow a row of edges. */
  readonly follow: (edges: readonly number[]) => readonly number[];
  /** Whether a row of edges may be driven one after the other. */
  readonly isLegal: (edges: readonly number[]) => boolean;
}

export interface Search {
  /** Factors on the cost of edges, at least 1. */
  readonly factors?: Float64Array;
  /** What was driven before, its last edge the one the start lies on (or ends at): the way goes on from there. */
  readonly after?: readonly number[];
}

/** A router over a graph. It keeps its working arrays: one router serves one search at a time. */
export function makeRouter(graph: RoadGraph, weights: Weights): Router {
  const { edgeCount, edgeTo, out, outStart, edgeStretch, metres } = graph;
  const automaton = banAutomaton(graph, bansOf(graph).words);
  const { stateCount, stateEdge } = automaton;
  const local = Uint8Array.from({ length: edgeCount }, (_, e) => Number(wayOf(graph, e).access === 'destination'));
  // Where some roads are for those with an end there, states stand twice: before and after the last of the open roads.
  const layered = local.includes(1);
  const size = layered ? 2 * stateCount : stateCount;
  const cost = new Float64Array(size);
  const previous = new Int32Array(size);
  const stamp = new Int32Array(size);
  const settled = new Int32Array(size);
  const queue = new FlatQueue<number>();
  const estimate = leastCost(graph, weights);
  let now = 0;

  const eachNext = followers(graph, automaton);

  const lengthOf = (edge: number) => metres[edgeStretch[edge]!]!;
  /** Share of an edge that lies before a place on its stretch. */
  const shareAt = (edge: number, at: Snapped) => {
    const length = lengthOf(edge);
    const share = length === 0 ? 0 : at.offset / length;
    return graph.edgeAlong[edge] ? share : 1 - share;
  };

  function find(from: End, to: End, { factors, after }: Search = {}): Path | undefined {
    now++;
    queue.clear();
    const least = estimate(to);
    const weightOf = (edge: number) => weights.edge[edge]! * (factors?.[edge] ?? 1);
    const goal = 'vertex' in to ? to.vertex : -1;
    const targets = 'vertex' in to ? [] : edgesOfStretch(graph, to.stretch);
    let best = Infinity;
    /** The edge a way ends within, or -1 where it ends with the state before. */
    let bestLast = -1;
    let bestBefore = -1;
    const reach = (at: number, value: number, before: number) => {
      if (stamp[at] === now && cost[at]! <= value) return;
      stamp[at] = now;
      cost[at] = value;
      previous[at] = before;
      const rest = value + least(edgeTo[stateEdge[layered ? at >> 1 : at]!]!);
      if (rest < best) queue.push(at, rest);
    };
    for (const { state, share } of starts(from, after)) {
      const edge = stateEdge[state]!;
      if (
        'vertex' in to ? share === 1 && edgeTo[edge] === goal : targets.includes(edge) && shareAt(edge, to) >= share
      ) {
        const direct = 'vertex' in to ? 0 : (shareAt(edge, to) - share) * weightOf(edge);
        if (direct < best) {
          best = direct;
          bestLast = edge;
          bestBefore = -1;
        }
      }
      reach(layered ? state * 2 : state, (1 - share) * weightOf(edge), -1);
    }
    while (queue.length > 0) {
      if (queue.peekValue()! >= best) break;
      const at = queue.pop()!;
      if (settled[at] === now) continue;
      settled[at] = now;
      const state = layered ? at >> 1 : at;
      const arriving = layered ? at & 1 : 0;
      const edge = stateEdge[state]!;
      const value = cost[at]!;
      if (edgeTo[edge] === goal) {
        best = value;
        bestLast = -1;
        bestBefore = at;
        break;
      }
      eachNext(state, (next, nextState) => {
        let layer = arriving;
        if (layered) {
          if (arriving && !local[next]) return;
          if (!local[edge] && local[next]) layer = 1;
        }
        const turned = value + weights.turn(edge, next);
        if ('stretch' in to && targets.includes(next)) {
          const whole = turned + shareAt(next, to) * weightOf(next);
          if (whole < best) {
            best = whole;
            bestLast = next;
            bestBefore = at;
          }
        }
        reach(layered ? nextState * 2 + layer : nextState, turned + weightOf(next), at);
      });
    }
    if (best === Infinity) return undefined;
    const edges = bestLast < 0 ? [] : [bestLast];
    for (let at = bestBefore; at >= 0; at = previous[at]!) edges.push(stateEdge[layered ? at >> 1 : at]!);
    edges.reverse();
    const [first, last] = [edges[0]!, edges.at(-1)!];
    const start = 'vertex' in from ? (after ? lengthOf(first) : 0) : shareAt(first, from) * lengthOf(first);
    const end = 'vertex' in to ? lengthOf(last) : shareAt(last, to) * lengthOf(last);
    const whole = edges.reduce((sum, edge) => sum + lengthOf(edge), 0);
    return { edges, start, end, metres: whole - start - (lengthOf(last) - end), cost: best };
  }

  /** The states a way may begin in, with the share of their edge that lies behind. */
  function starts(
    from: End,
    after: readonly number[] | undefined,
  ): readonly { readonly state: number; readonly share: number }[] {
    if (after) {
      const state = walk(after);
      return state < 0 ? [] : [{ state, share: 'vertex' in from ? 1 : shareAt(after.at(-1)!, from) }];
    }
    if ('vertex' in from)
      return [...out.subarray(outStart[from.vertex], outStart[from.vertex + 1])].map((state) => ({ state, share: 0 }));
    return edgesOfStretch(graph, from.stretch).map((state) => ({ state, share: shareAt(state, from) }));
  }

  function spread(from: End): Float64Array {
    now++;
    queue.clear();
    const least = new Float64Array(edgeCount).fill(Infinity);
    const reach = (state: number, value: number) => {
      if (stamp[state] === now && cost[state]! <= value) return;
      stamp[state] = now;
      cost[state] = value;
      queue.push(state, value);
    };
    for (const { state, share } of starts(from, undefined))
      reach(state, (1 - share) * weights.edge[stateEdge[state]!]!);
    while (queue.length > 0) {
      const state = queue.pop()!;
      if (settled[state] === now) continue;
      settled[state] = now;
      const edge = stateEdge[state]!;
      least[edge] = min(least[edge]!, cost[state]!);
      eachNext(state, (next, nextState) =>
        reach(nextState, cost[state]! + weights.turn(edge, next) + weights.edge[next]!),
      );
    }
    return least;
  }

  function walk(edges: readonly number[]): number {
    let state = edges[0] ?? -1;
    for (const edge of edges.slice(1)) {
      let next = -1;
      eachNext(state, (to, then) => {
        if (to === edge) next = then;
      });
      if (next < 0) return -1;
      state = next;
    }
    return state;
  }

  return {
    find,
    spread,
    isLegal: (edges) => edges.length === 0 || walk(edges) >= 0,
    follow: (edges) => {
      const state = walk(edges);
      const next: number[] = [];
      if (state >= 0) eachNext(state, (edge) => next.push(edge));
      return next;
    },
  };
}

/** The edges of a stretch: one, or two where both directions are open. */
export function edgesOfStretch({ edgeStretch, edgeCount }: RoadGraph, stretch: number): readonly number[] {
  // Edges stand in the order of their stretches.
  let low = 0;
  let high = edgeCount;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (edgeStretch[middle]! < stretch) low = middle + 1;
    else high = middle;
  }
  const found: number[] = [];
  for (let e = low; e < edgeCount && edgeStretch[e] === stretch; e++) found.push(e);
  return found;
}

/** A cost that no way from a vertex to a place can be below: the straight line at the least cost of a metre. */
function leastCost({ source, vertexNode }: RoadGraph, { leastPerMetre }: Weights) {
  let highest = 0;
  let lowest = 90;
  for (const lat of source.lat) {
    highest = max(highest, abs(lat));
    lowest = min(lowest, abs(lat));
  }
  // A degree of longitude is shortest far from the equator, one of latitude near it; a thousandth for the flat triangle.
  const x = degreeMetres(highest).lon * 0.999 * leastPerMetre;
  const y = degreeMetres(lowest).lat * 0.999 * leastPerMetre;
  return (to: End) => (vertex: number) => {
    const node = vertexNode[vertex]!;
    return hypot((source.lon[node]! - to.lon) * x, (source.lat[node]! - to.lat) * y);
  };
}
