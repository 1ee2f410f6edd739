import type { RoadGraph } from './graph';

/**
 * Follows a drive edge by edge and tells which may come next. A state stands for the last edge and for how far the drive is
 * within a row of edges that may not be completed; states below `edgeCount` are edges without such a past. Built as the
 * automaton of A. Aho and M. Corasick (Efficient string matching, 1975) over the rows.
 */
export interface BanAutomaton {
  readonly stateCount: number;
  /** The edge a state stands on. */
  readonly stateEdge: Int32Array;
  /** The state after driving on to an edge, or -1 where that is forbidden. */
  readonly next: (state: number, edge: number) => number;
}

/** The automaton of forbidden rows of edges, each of two edges or more. */
export function banAutomaton({ edgeCount }: RoadGraph, words: readonly (readonly number[])[]): BanAutomaton {
  const stateEdge: number[] = [];
  for (let e = 0; e < edgeCount; e++) stateEdge.push(e);
  /** Children within rows, whether a row ends, and where a past that fits no longer falls back to. */
  const children: (Map<number, number> | undefined)[] = [];
  const ends = new Set<number>();
  const parent = new Map<number, number>();
  for (const word of words) {
    let state = word[0]!;
    for (const edge of word.slice(1)) {
      const known = (children[state] ??= new Map<number, number>());
      let child = known.get(edge);
      if (child === undefined) {
        child = stateEdge.push(edge) - 1;
        known.set(edge, child);
        parent.set(child, state);
      }
      state = child;
    }
    ends.add(state);
  }
  const fall = new Map<number, number>();
  const fallOf = (state: number): number => fall.get(state) ?? -1;
  const step = (state: number, edge: number): number => {
    for (let at = state; at >= 0; at = at < edgeCount ? -1 : fallOf(at)) {
      const child = children[at]?.get(edge);
      if (child !== undefined) return child;
    }
    return edge;
  };
  // Children are numbered after their parents, so that shorter pasts come first within each row's tree level by level.
  const byDepth = [...parent.keys()].sort((a, b) => depthOf(parent, a) - depthOf(parent, b) || a - b);
  for (const state of byDepth) {
    const above = parent.get(state)!;
    const edge = stateEdge[state]!;
    const to = above < edgeCount ? edge : step(fallOf(above), edge);
    fall.set(state, to);
    if (ends.has(to)) ends.add(state);
  }
  return {
    stateCount: stateEdge.length,
    stateEdge: Int32Array.from(stateEdge),
    next: (state, edge) => {
      const to = step(state, edge);
      return ends.has(to) ? -1 : to;
    },
  };
}

/** Visits the edges that may follow a state, with the states they lead to; turning round only where nothing else is left. */
export function followers({ edgeTo, edgeBack, out, outStart }: RoadGraph, { stateEdge, next }: BanAutomaton) {
  return (state: number, visit: (edge: number, next: number) => void): void => {
    const edge = stateEdge[state]!;
    const vertex = edgeTo[edge]!;
    const back = edgeBack[edge]!;
    const [first, last] = [outStart[vertex]!, outStart[vertex + 1]!];
    for (let i = first; i < last; i++) {
      const to = out[i]!;
      if (to === back && last - first > 1) continue;
      const then = next(state, to);
      if (then >= 0) visit(to, then);
    }
  };
}

function depthOf(parent: ReadonlyMap<number, number>, state: number): number {
  let depth = 0;
  for (let at = parent.get(state); at !== undefined; at = parent.get(at)) depth++;
  return depth;
}
