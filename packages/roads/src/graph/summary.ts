import { signs } from '../road-tags';
import { isDrivable, type DroppedRestriction, type RoadSource } from '../source';
import { deadEnds, partsOf } from './components';
import { isJunction, type RoadGraph } from './graph';
import { bansOf, type Bans } from './restrictions';

/** What a file of roads holds; roads that cars may drive only. */
export interface RoadsSummary {
  /** Ways as they stand in the file. */
  readonly ways: number;
  /** Places where three or more roads meet. */
  readonly junctions: number;
  /** Stretches between vertices, each direction one may drive counted. */
  readonly edges: number;
  readonly km: number;
  readonly kmByClass: Readonly<Record<string, number>>;
  readonly oneWayKm: number;
  readonly roundabouts: number;
  readonly miniRoundabouts: number;
  readonly signals: number;
  readonly stops: number;
  readonly giveWays: number;
  readonly crossings: number;
  readonly schools: number;
  readonly restrictions: { readonly kept: number; readonly dropped: readonly DroppedRestriction[] };
  /** Strongly connected parts that hold a junction, largest first, by their number of junctions. */
  readonly components: readonly number[];
  readonly deadEnds: number;
  /** Places of ways whose node is not in the file. */
  readonly missingNodes: number;
}

/** Counts and lengths of a graph, kilometres to the metre. */
export function summarise(graph: RoadGraph, bans: Bans = bansOf(graph)): RoadsSummary {
  const { source, metres, stretchWay, stretchCount } = graph;
  const byClass = new Map<string, number>();
  let all = 0;
  let oneWay = 0;
  for (let s = 0; s < stretchCount; s++) {
    const way = source.ways[stretchWay[s]!]!;
    const length = metres[s]!;
    all += length;
    byClass.set(way.highway, (byClass.get(way.highway) ?? 0) + length);
    if (way.flow !== 'both') oneWay += length;
  }
  let junctions = 0;
  for (let v = 0; v < graph.vertexCount; v++) if (isJunction(graph, v)) junctions++;
  const onRoads = signsOnRoads(source);
  return {
    ways: new Set(source.ways.filter(isDrivable).map(({ id }) => id)).size,
    junctions,
    edges: graph.edgeCount,
    km: km(all),
    kmByClass: Object.fromEntries([...byClass].map(([name, length]) => [name, km(length)])),
    oneWayKm: km(oneWay),
    roundabouts: roundaboutsOf(source).length,
    miniRoundabouts: onRoads(signs.mini),
    signals: onRoads(signs.signals),
    stops: onRoads(signs.stop),
    giveWays: onRoads(signs.giveWay),
    crossings: onRoads(signs.crossing),
    schools: source.schools.length,
    restrictions: { kept: bans.kept, dropped: bans.dropped },
    components: partsOf(graph)
      .map((part) => part.filter((vertex) => isJunction(graph, vertex)).length)
      .filter((count) => count > 0)
      .sort((a, b) => b - a),
    deadEnds: deadEnds(graph).length,
    missingNodes: source.missingNodes,
  };
}

const km = (metres: number) => Math.round(metres) / 1000;

/** Counts nodes of drivable roads that bear a sign. */
function signsOnRoads({ ways, signs: bits }: RoadSource): (sign: number) => number {
  const used = new Set(ways.filter(isDrivable).flatMap(({ nodes }) => nodes));
  return (sign) => {
    let count = 0;
    for (const node of used) if (bits[node]! & sign) count++;
    return count;
  };
}

/** Rings, as the places of their ways: ways marked as a roundabout that touch one another are one ring. */
export function roundaboutsOf({ ways }: RoadSource): readonly (readonly number[])[] {
  const rings: { readonly ways: number[]; readonly nodes: Set<number> }[] = [];
  ways.forEach((way, at) => {
    if (!way.roundabout || !isDrivable(way)) return;
    const touching = rings.filter(({ nodes }) => way.nodes.some((node) => nodes.has(node)));
    const ring = { ways: [at], nodes: new Set(way.nodes) };
    for (const other of touching) {
      ring.ways.push(...other.ways);
      for (const node of other.nodes) ring.nodes.add(node);
      rings.splice(rings.indexOf(other), 1);
    }
    rings.push(ring);
  });
  return rings.map((ring) => ring.ways.sort((a, b) => a - b));
}
