import type { DroppedRestriction, Restriction, RestrictionProblem } from '../source';
import { edgesFrom, type RoadGraph } from './graph';

/** Turn restrictions of a graph: rows of edges that may not be driven one after the other. */
export interface Bans {
  readonly words: readonly (readonly number[])[];
  /** Restrictions that bind. */
  readonly kept: number;
  readonly dropped: readonly DroppedRestriction[];
}

/** What the restrictions of the roads forbid on their graph. */
export function bansOf(graph: RoadGraph): Bans {
  const { restrictions, dropped } = graph.source;
  const lookup = new WayEdges(graph);
  const words: number[][] = [];
  const problems: DroppedRestriction[] = [...dropped];
  /** Rows that the `only` ones demand, by what comes before the choice. */
  const demanded = new Map<string, { readonly before: readonly number[]; readonly allowed: Set<number> }>();
  let kept = 0;
  for (const restriction of restrictions) {
    const rows = rowsOf(graph, lookup, restriction);
    if (typeof rows === 'string') {
      problems.push({ id: restriction.id, reason: rows });
      continue;
    }
    kept++;
    if (!restriction.kind.startsWith('only_')) {
      words.push(...rows.map((row) => [...row]));
      continue;
    }
    for (const row of rows) {
      // The way from the first edge onto a way between is free; from there on the row must be kept to.
      for (let i = row.length > 2 ? 2 : 1; i < row.length; i++) {
        const before = row.slice(0, i);
        const key = before.join(' ');
        const demand = demanded.get(key) ?? { before, allowed: new Set() };
        demand.allowed.add(row[i]!);
        demanded.set(key, demand);
      }
    }
  }
  for (const { before, allowed } of demanded.values())
    for (const edge of edgesFrom(graph, graph.edgeTo[before.at(-1)!]!))
      if (!allowed.has(edge)) words.push([...before, edge]);
  return { words, kept, dropped: problems };
}

/** Edges by the number of their way. */
class WayEdges {
  private readonly edges = new Map<number, number[]>();
  private readonly known = new Set<number>();
  private readonly nodes = new Map<number, number>();

  constructor({ source, edgeCount, edgeStretch, stretchWay }: RoadGraph) {
    for (const { id } of source.ways) this.known.add(id);
    if (source.restrictions.length === 0) return;
    for (let e = 0; e < edgeCount; e++) {
      const { id } = source.ways[stretchWay[edgeStretch[e]!]!]!;
      const list = this.edges.get(id);
      if (list) list.push(e);
      else this.edges.set(id, [e]);
    }
    source.ids.forEach((id, node) => this.nodes.set(id, node));
  }

  of(way: number): readonly number[] {
    return this.edges.get(way) ?? [];
  }

  node(id: number): number | undefined {
    return this.nodes.get(id);
  }

  /** Why a way has no edges, where it has none. */
  problem(way: number): RestrictionProblem | undefined {
    if (this.edges.has(way)) return undefined;
    return this.known.has(way) ? 'not-for-cars' : 'member-missing';
  }
}

function rowsOf(
  graph: RoadGraph,
  lookup: WayEdges,
  { from, to, via, kind }: Restriction,
): readonly (readonly number[])[] | RestrictionProblem {
  const between = 'ways' in via ? via.ways : [];
  for (const way of [...from, ...between, ...to]) {
    const problem = lookup.problem(way);
    // A restriction into a closed road forbids nothing more than the road does.
    if (problem) return problem;
  }
  const first = from.flatMap((way) => lookup.of(way));
  const last = new Set(to.flatMap((way) => lookup.of(way)));
  let rows: number[][];
  if ('node' in via) {
    const node = lookup.node(via.node);
    if (node === undefined) return 'member-missing';
    const vertex = graph.nodeVertex[node]!;
    if (vertex < 0) return 'not-joined';
    rows = first.filter((edge) => graph.edgeTo[edge] === vertex).map((edge) => [edge]);
  } else {
    rows = first.flatMap((edge) => alongWays(graph, lookup, [edge], via.ways));
  }
  const uTurn = kind.endsWith('_u_turn');
  const found = rows.flatMap((row) =>
    [...edgesFrom(graph, graph.edgeTo[row.at(-1)!]!)]
      .filter((edge) => last.has(edge) && (uTurn || edge !== graph.edgeBack[row.at(-1)!]))
      .map((edge) => [...row, edge]),
  );
  return found.length > 0 ? found : 'not-joined';
}

/** A row of edges driven on over the ways between, each from end to end where the next begins. */
function alongWays(graph: RoadGraph, lookup: WayEdges, row: readonly number[], ways: readonly number[]): number[][] {
  const [way, ...rest] = ways;
  if (way === undefined) return [[...row]];
  const own = new Set(lookup.of(way));
  const done: number[][] = [];
  const walk = (sofar: readonly number[], seen: ReadonlySet<number>) => {
    for (const edge of edgesFrom(graph, graph.edgeTo[sofar.at(-1)!]!)) {
      const stretch = graph.edgeStretch[edge]!;
      if (!own.has(edge) || seen.has(stretch)) continue;
      const next = [...sofar, edge];
      done.push(...alongWays(graph, lookup, next, rest));
      walk(next, new Set(seen).add(stretch));
    }
  };
  walk(row, new Set());
  return done;
}
