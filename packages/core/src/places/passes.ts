import { decisionsOf, type Decision } from '@jasperwren/roads/directions/decisions';
import type { Turn } from '@jasperwren/roads/directions/lanes';
import { featuresOf } from '@jasperwren/roads/features/features';
import { edgeMetres, edgeNodes, isJunction, wayOf, type RoadGraph } from '@jasperwren/roads/graph/graph';
import type { Side } from '@jasperwren/roads/graph/side';
import type { Path } from '@jasperwren/roads/route/router';

/** What a place is: a way over a junction, or a road between junctions. */
export const placeSorts = ['roundabout', 'mini', 'turn', 'slip', 'turn-round', 'crossing-over', 'road'] as const;
export type PlaceSort = (typeof placeSorts)[number];

/** A place where faults can be made: the same for everybody who drives over it the same way. */
export interface RoadPlace {
  /** The same in every version of the roads that keeps its nodes. */
  readonly id: string;
  readonly sort: PlaceSort;
  readonly turn?: Turn | 'back';
  /** The road one comes by and the one that is taken, as far as they have names. */
  readonly from?: string;
  readonly onto?: string;
  readonly lat: number;
  readonly lon: number;
}

/** The nodes of a way over a junction: the last before it, its own where it is come to, and the first after it; none of a road. */
export function nodesOfPlace({ id, sort }: Pick<RoadPlace, 'id' | 'sort'>): readonly number[] {
  return sort === 'road' ? [] : id.split('.').slice(1).map(Number);
}

/** One drive over a place. */
export interface Pass {
  readonly place: RoadPlace;
  /** From where on and up to where it is passed, in metres from the start of the path. */
  readonly from: number;
  readonly to: number;
}

/** A junction is driven from so many metres before it on. */
export const approach = 90;
/** Runs on a road that are shorter than this, in metres, belong to the junctions at their ends. */
const shortestRun = 60;

/**
 * Every place a path leads over, in order: the junctions where something has to be decided or given way, and the roads between.
 * @param sure how likely each edge of the path is; passes on edges that are not sure enough are left out
 */
export function passesOf(graph: RoadGraph, side: Side, path: Path, sure?: readonly number[]): readonly Pass[] {
  const junctions = junctionPasses(graph, side, path);
  const found = [...junctions, ...roadPasses(graph, path, junctions)].sort((a, b) => a.from - b.from);
  if (!sure) return found;
  const begins = beginsOf(graph, path);
  return found.filter(({ from, to }) => {
    const middle = (from + to) / 2;
    const edge = begins.findLastIndex((metres) => metres <= middle);
    return (sure[Math.max(0, edge)] ?? 0) >= leastSure;
  });
}

/** An edge that is less likely than this says nothing of a place. */
const leastSure = 0.8;

/** Metres from the start at which each edge begins. */
function beginsOf(graph: RoadGraph, { edges, start }: Path): readonly number[] {
  let metres = -start;
  return edges.map((edge) => {
    const begins = metres;
    metres += edgeMetres(graph, edge);
    return begins;
  });
}

function junctionPasses(graph: RoadGraph, side: Side, path: Path): readonly Pass[] {
  const decided = decisionsOf(graph, path, side);
  const passes = decided.map((decision): Pass => {
    const { metres, after, edge } = decision;
    return { place: placeOfDecision(graph, path, decision, edge), from: Math.max(0, metres - approach), to: after };
  });
  // Straight over a junction with lights, lines or a crossroads.
  const begins = beginsOf(graph, path);
  for (const { kind, metres } of featuresOf(graph, path, side)) {
    if (kind !== 'crossroads' && kind !== 'signals' && kind !== 'stop' && kind !== 'give-way') continue;
    const near = begins.findIndex((begin, i) => i > 0 && begin >= metres - 1 && begin <= metres + 40);
    if (near < 0 || !isJunction(graph, graph.edgeTo[path.edges[near - 1]!]!)) continue;
    const at = begins[near]!;
    if (passes.some(({ from, to }) => at >= from && at <= to + 1)) continue;
    const place = placeAt(graph, path, near - 1, near, { sort: 'crossing-over', turn: 'ahead' });
    passes.push({ place, from: Math.max(0, at - approach), to: at });
  }
  return passes;
}

function placeOfDecision(graph: RoadGraph, { edges }: Path, decision: Decision, before: number): RoadPlace {
  const path = { edges };
  switch (decision.kind) {
    case 'roundabout': {
      let last = before + 1;
      while (last + 1 < edges.length && wayOf(graph, edges[last]!).roundabout) last++;
      return placeAt(graph, path, before, last, { sort: 'roundabout', turn: decision.turn });
    }
    case 'mini':
      return placeAt(graph, path, before, before + 1, { sort: 'mini', turn: decision.turn });
    case 'turn':
    case 'bear':
      return placeAt(graph, path, before, before + 1, { sort: 'turn', turn: decision.turn });
    case 'slip':
      return placeAt(graph, path, before, before + 1, { sort: 'slip', turn: decision.turn });
    case 'turn-round':
      return placeAt(graph, path, before, before + 1, { sort: 'turn-round', turn: 'back' });
  }
}

function placeAt(
  graph: RoadGraph,
  { edges }: Pick<Path, 'edges'>,
  before: number,
  after: number,
  { sort, turn }: { readonly sort: PlaceSort; readonly turn: Turn | 'back' },
): RoadPlace {
  const { source, vertexNode, edgeTo } = graph;
  const node = vertexNode[edgeTo[edges[before]!]!]!;
  const [from, onto] = [nameOf(graph, edges[before]!), nameOf(graph, edges[after]!)];
  // The node one comes to, the one that follows after the junction and the one before it tell ways over it apart.
  const [come, go] = [edgeNodes(graph, edges[before]!).at(-2)!, edgeNodes(graph, edges[after]!)[1]!];
  return {
    id: [sort, source.ids[come], source.ids[node], source.ids[go]].join('.'),
    sort,
    turn,
    ...(from !== undefined && { from }),
    ...(onto !== undefined && { onto }),
    lat: source.lat[node]!,
    lon: source.lon[node]!,
  };
}

function nameOf(graph: RoadGraph, edge: number): string | undefined {
  const { name, ref } = wayOf(graph, edge);
  return name ?? ref;
}

/** Each run on one road, both ways being one place, outside the junctions. */
function roadPasses(graph: RoadGraph, path: Path, junctions: readonly Pass[]): readonly Pass[] {
  const { source } = graph;
  const begins = beginsOf(graph, path);
  const passes: Pass[] = [];
  const { edges } = path;
  for (let i = 0; i < edges.length;) {
    const way = wayOf(graph, edges[i]!);
    const name = way.name ?? way.ref;
    let k = i;
    while (k + 1 < edges.length && name !== undefined && nameOf(graph, edges[k + 1]!) === name) k++;
    const from = Math.max(0, begins[i]!);
    const to = Math.min(path.metres, begins[k]! + edgeMetres(graph, edges[k]!));
    const covered = junctions.reduce(
      (sum, one) => sum + Math.max(0, Math.min(to, one.to) - Math.max(from, one.from)),
      0,
    );
    if (name !== undefined && !way.roundabout && to - from - covered >= shortestRun) {
      const nodes = edgeNodes(graph, edges[(i + k) >> 1]!);
      const node = nodes[nodes.length >> 1]!;
      passes.push({
        place: { id: `road.${name}`, sort: 'road', onto: name, lat: source.lat[node]!, lon: source.lon[node]! },
        from,
        to,
      });
    }
    i = k + 1;
  }
  return passes;
}
