import FlatQueue from 'flatqueue';
import { banAutomaton, followers } from '../graph/bans';
import { edgeMetres, type RoadGraph } from '../graph/graph';
import { bansOf } from '../graph/restrictions';
import type { Weights } from '../route/time-model';

/** A place of the search: a state of the automaton of restrictions, and how it was come to. */
export interface Reached {
  readonly state: number;
  readonly edge: number;
  /** Metres and seconds from where the search began to the beginning of the edge. */
  readonly metres: number;
  readonly seconds: number;
  readonly before: Reached | undefined;
}

/** Short ways from one place to all others near it. */
export interface ReachSearch {
  /** The edge a state stands on. */
  readonly edgeOf: (state: number) => number;
  /**
   * Every state whose edge begins within so many metres of an edge's end, by the quickest way to it. Turning round is
   * left to whoever asks; restrictions hold.
   * @param metresLeft from where one is to the end of the edge
   * @param factorOf a factor on the seconds of an edge
   */
  readonly from: (
    state: number,
    metresLeft: number,
    within: number,
    factorOf?: (edge: number) => number,
  ) => ReadonlyMap<number, Reached>;
}

export function reachSearch(graph: RoadGraph, { edge: seconds, turn }: Weights): ReachSearch {
  const automaton = banAutomaton(graph, bansOf(graph).words);
  const { stateEdge } = automaton;
  const eachNext = followers(graph, automaton);
  const queue = new FlatQueue<Reached>();
  return {
    edgeOf: (state) => stateEdge[state]!,
    from(start, metresLeft, within, factorOf) {
      const found = new Map<number, Reached>();
      const settled = new Set<number>();
      queue.clear();
      const weight = (edge: number) => seconds[edge]! * (factorOf?.(edge) ?? 1);
      const goOn = (state: number, metres: number, time: number, before: Reached | undefined) => {
        if (metres > within) return;
        const edge = stateEdge[state]!;
        eachNext(state, (to, next) => {
          if (settled.has(next)) return;
          const later = time + turn(edge, to);
          const known = found.get(next);
          if (known && known.seconds <= later) return;
          const reached = { state: next, edge: to, metres, seconds: later, before };
          found.set(next, reached);
          queue.push(reached, later);
        });
      };
      const first = stateEdge[start]!;
      const whole = edgeMetres(graph, first);
      goOn(start, metresLeft, whole > 0 ? (weight(first) * metresLeft) / whole : 0, undefined);
      while (queue.length > 0) {
        const reached = queue.pop()!;
        if (settled.has(reached.state)) continue;
        settled.add(reached.state);
        const { state, edge } = reached;
        goOn(state, reached.metres + edgeMetres(graph, edge), reached.seconds + weight(edge), reached);
      }
      return found;
    },
  };
}

/** The edges on the way to a place of a search, without the one it began on. */
export function edgesTo(reached: Reached | undefined): readonly number[] {
  const edges: number[] = [];
  for (let at = reached; at; at = at.before) edges.push(at.edge);
  return edges.reverse();
}
