import { decisionsOf, type Decision } from '../directions/decisions';
import { degreeMetres, turnBetween } from '../geometry';
import { edgeLimit, edgeMetres, edgesFrom, isAlong, isJunction, wayOf, type RoadGraph } from '../graph/graph';
import type { Side } from '../graph/side';
import { roadClasses, signs } from '../road-tags';
import type { Path } from '../route/router';
import { isNarrow, signsMet } from '../route/time-model';

/** What a mock test wants of its roads, and what a route is counted for. */
export const featureKinds = [
  'left-turn',
  'right-turn',
  'give-way',
  'stop',
  'signals',
  'crossroads',
  'staggered',
  'mini-roundabout',
  'roundabout-left',
  'roundabout-ahead',
  'roundabout-right',
  'roundabout-lanes',
  'crossing',
  'raised',
  'limit-change',
  'dual-carriageway',
  'slip-road',
  'one-way',
  'narrow',
  'fast-lane',
  'school',
  'brow',
  'steep',
] as const;
export type FeatureKind = (typeof featureKinds)[number];

/** Something met on a way. */
export interface Feature {
  readonly kind: FeatureKind;
  /** Metres from the start. */
  readonly metres: number;
  /** Length of those that are stretches. */
  readonly length?: number;
}

/** Metres within which a school makes a stretch a school's. */
const schoolReach = 130;
/** Two side roads on opposite sides no farther apart are a staggered crossroads. */
const staggerWithin = 60;
/** A large one-way road with this limit, in km/h, is a carriageway of two. */
const fastRoad = 60;
/** A lane this fast, in km/h, that two cars cannot pass on. */
const fastLane = 80;

/** Everything a way has for a mock test, in the order it is met. */
export function featuresOf(graph: RoadGraph, path: Path, side: Side): readonly Feature[] {
  const found: Feature[] = [];
  const decisions = decisionsOf(graph, path, side);
  for (const decision of decisions)
    for (const kind of kindsOf(graph, path, decision)) found.push({ kind, metres: decision.metres });
  const runs = new Runs(found);
  let metres = -path.start;
  let limit: number | undefined;
  let end = 0;
  path.edges.forEach((edge, i) => {
    const length = edgeMetres(graph, edge);
    const last = i === path.edges.length - 1;
    const reached = last ? path.end : length;
    const now = edgeLimit(graph, edge);
    if (limit !== undefined && Math.abs(now - limit) > 1)
      found.push({ kind: 'limit-change', metres: Math.max(0, metres) });
    limit = now;
    for (const { bits, metres: at } of signsMet(graph, edge, isAlong(graph, edge))) {
      if (metres + at < 0 || at > reached) continue;
      for (const [bit, kind] of signKinds) if (bits & bit) found.push({ kind, metres: metres + at });
    }
    const from = Math.max(0, metres);
    const to = metres + reached;
    const here = stretchKindsOf(graph, edge);
    for (const kind of stretchKinds) runs.see(kind, here.has(kind), from);
    if (!last && crossesStraight(graph, path, i)) found.push({ kind: 'crossroads', metres: to });
    end = to;
    metres += length;
  });
  runs.end(end);
  return [...found, ...staggered(graph, path)].sort((a, b) => a.metres - b.metres);
}

/** How many of each kind. */
export function countFeatures(features: readonly Feature[]): Readonly<Partial<Record<FeatureKind, number>>> {
  const counts: Partial<Record<FeatureKind, number>> = {};
  for (const { kind } of features) counts[kind] = (counts[kind] ?? 0) + 1;
  return counts;
}

/** Features that a sign is, by its bit. A mini roundabout is a decision, and counted there. */
export const signKinds: readonly (readonly [bit: number, kind: FeatureKind])[] = [
  [signs.signals, 'signals'],
  [signs.stop, 'stop'],
  [signs.giveWay, 'give-way'],
  [signs.crossing, 'crossing'],
  [signs.raised, 'raised'],
  [signs.brow, 'brow'],
];

const stretchKinds = ['dual-carriageway', 'one-way', 'slip-road', 'narrow', 'fast-lane', 'school', 'steep'] as const;

/** Features that an edge is a piece of. */
export function stretchKindsOf(graph: RoadGraph, edge: number): ReadonlySet<FeatureKind> {
  const way = wayOf(graph, edge);
  const limit = edgeLimit(graph, edge);
  const oneWay = way.flow !== 'both' && !way.roundabout && !way.link;
  const is: Readonly<Record<(typeof stretchKinds)[number], boolean>> = {
    'dual-carriageway': oneWay && isLarge(way.roadClass) && limit >= fastRoad,
    'one-way': oneWay && !isLarge(way.roadClass),
    'slip-road': way.link === true,
    narrow: isNarrow(way),
    'fast-lane': isNarrow(way) && limit >= fastLane,
    school: nearSchool(graph, edge),
    steep: way.steep === true,
  };
  return new Set(stretchKinds.filter((kind) => is[kind]));
}

const isLarge = (roadClass: string) => ['motorway', 'trunk', 'primary', 'secondary'].includes(roadClass);

function kindsOf(graph: RoadGraph, { edges }: Path, decision: Decision): readonly FeatureKind[] {
  switch (decision.kind) {
    case 'turn':
      return [
        decision.turn === 'left' ? 'left-turn' : 'right-turn',
        ...(decision.at === 'crossroads' ? (['crossroads'] as const) : []),
      ];
    case 'mini':
      return ['mini-roundabout'];
    case 'roundabout': {
      const turn = decision.turn === 'back' ? 'right' : decision.turn;
      const ring = wayOf(graph, edges[decision.edge + 1]!);
      return [`roundabout-${turn}`, ...((ring.lanes ?? 1) > 1 ? (['roundabout-lanes'] as const) : [])];
    }
    default:
      return [];
  }
}

/** Stretches of a kind: seen piece by piece, said once for each run. */
class Runs {
  private readonly open = new Map<FeatureKind, number>();

  constructor(private readonly found: Feature[]) {}

  see(kind: FeatureKind, here: boolean, from: number): void {
    const since = this.open.get(kind);
    if (here && since === undefined) this.open.set(kind, from);
    else if (!here && since !== undefined) this.close(kind, since, from);
  }

  end(metres: number): void {
    for (const [kind, since] of this.open) this.close(kind, since, metres);
  }

  private close(kind: FeatureKind, since: number, to: number): void {
    this.open.delete(kind);
    this.found.push({ kind, metres: since, length: to - since });
  }
}

function nearSchool({ source, vertexNode, edgeFrom, edgeTo }: RoadGraph, edge: number): boolean {
  return source.schools.some(({ lat, lon }) => {
    const degree = degreeMetres(lat);
    return [edgeFrom[edge]!, edgeTo[edge]!].some((vertex) => {
      const node = vertexNode[vertex]!;
      return Math.hypot((source.lat[node]! - lat) * degree.lat, (source.lon[node]! - lon) * degree.lon) < schoolReach;
    });
  });
}

/** Sides of the roads that meet a way at a junction it goes straight over. */
function sidesAt(
  graph: RoadGraph,
  edges: readonly number[],
  i: number,
): { readonly left: boolean; readonly right: boolean } {
  const [edge, next] = [edges[i]!, edges[i + 1]!];
  const vertex = graph.edgeTo[edge]!;
  const sides = { left: false, right: false };
  if (!isJunction(graph, vertex) || wayOf(graph, edge).roundabout || wayOf(graph, next).roundabout) return sides;
  if (Math.abs(turnBetween(graph.bearingIn[edge]!, graph.bearingOut[next]!)) > 40) return sides;
  for (const out of edgesFrom(graph, vertex)) {
    if (out === next || out === graph.edgeBack[edge]) continue;
    const turn = turnBetween(graph.bearingIn[edge]!, graph.bearingOut[out]!);
    if (turn < -45) sides.left = true;
    if (turn > 45) sides.right = true;
  }
  return sides;
}

/** Straight over a road that is no smaller than one's own. */
function crossesStraight(graph: RoadGraph, { edges }: Path, i: number): boolean {
  const { left, right } = sidesAt(graph, edges, i);
  if (!left || !right) return false;
  const [edge, next] = [edges[i]!, edges[i + 1]!];
  const own = rankOf(graph, edge);
  return edgesFrom(graph, graph.edgeTo[edge]!).some(
    (out) => out !== next && out !== graph.edgeBack[edge] && rankOf(graph, out) <= own,
  );
}

const rankOf = (graph: RoadGraph, edge: number) => roadClasses.indexOf(wayOf(graph, edge).roadClass);

/** A road from one side and shortly after one from the other. */
function staggered(graph: RoadGraph, path: Path): readonly Feature[] {
  const found: Feature[] = [];
  let metres = -path.start;
  let before: { readonly side: 'left' | 'right'; readonly metres: number } | undefined;
  for (let i = 0; i + 1 < path.edges.length; i++) {
    metres += edgeMetres(graph, path.edges[i]!);
    const { left, right } = sidesAt(graph, path.edges, i);
    if (left === right) {
      if (left) before = undefined;
      continue;
    }
    const side = left ? 'left' : 'right';
    if (before && before.side !== side && metres - before.metres <= staggerWithin)
      found.push({ kind: 'staggered', metres: before.metres });
    before = { side, metres };
  }
  return found;
}
