import type { FeatureKind } from '../features/features';
import { edgeLimit, edgesFrom, isAlong, isJunction, wayOf, type RoadGraph } from '../graph/graph';
import { signs } from '../road-tags';
import { isNarrow, signsMet } from '../route/time-model';
import { degreeMetres } from '../geometry';

/** Where on the roads a feature may be met: edges by kind. Turns are met anywhere and have none. */
export function sitesOf(graph: RoadGraph): ReadonlyMap<FeatureKind, readonly number[]> {
  const sites = new Map<FeatureKind, number[]>();
  const add = (kind: FeatureKind, edge: number) => {
    const list = sites.get(kind);
    if (list) list.push(edge);
    else sites.set(kind, [edge]);
  };
  const bySign: readonly (readonly [number, FeatureKind])[] = [
    [signs.signals, 'signals'],
    [signs.stop, 'stop'],
    [signs.giveWay, 'give-way'],
    [signs.crossing, 'crossing'],
    [signs.raised, 'raised'],
    [signs.mini, 'mini-roundabout'],
    [signs.brow, 'brow'],
  ];
  const schools = nearSchools(graph);
  for (let e = 0; e < graph.edgeCount; e++) {
    const way = wayOf(graph, e);
    for (const { bits } of signsMet(graph, e, isAlong(graph, e)))
      for (const [bit, kind] of bySign) if (bits & bit) add(kind, e);
    const vertex = graph.edgeTo[e]!;
    const outs = edgesFrom(graph, vertex);
    const limit = edgeLimit(graph, e);
    if (way.roundabout && outs.some((out) => !wayOf(graph, out).roundabout)) {
      for (const kind of ['roundabout-left', 'roundabout-ahead', 'roundabout-right'] as const) add(kind, e);
      if ((way.lanes ?? 1) > 1) add('roundabout-lanes', e);
    }
    if (way.link) add('slip-road', e);
    const oneWay = way.flow !== 'both' && !way.roundabout && !way.link;
    const large = ['motorway', 'trunk', 'primary', 'secondary'].includes(way.roadClass);
    if (oneWay && large && limit >= 60) add('dual-carriageway', e);
    if (oneWay && !large) add('one-way', e);
    if (isNarrow(way)) add('narrow', e);
    if (isNarrow(way) && limit >= 80) add('fast-lane', e);
    if (way.steep) add('steep', e);
    if (schools.has(graph.edgeFrom[e]!) || schools.has(vertex)) add('school', e);
    if (isJunction(graph, vertex) && graph.arms[vertex]! >= 4) add('crossroads', e);
    if (outs.some((out) => Math.abs(edgeLimit(graph, out) - limit) > 1 && out !== graph.edgeBack[e]))
      add('limit-change', e);
  }
  return sites;
}

function nearSchools({ source, vertexNode, vertexCount }: RoadGraph): ReadonlySet<number> {
  const near = new Set<number>();
  for (const { lat, lon } of source.schools) {
    const degree = degreeMetres(lat);
    for (let v = 0; v < vertexCount; v++) {
      const node = vertexNode[v]!;
      if (Math.hypot((source.lat[node]! - lat) * degree.lat, (source.lon[node]! - lon) * degree.lon) < 130) near.add(v);
    }
  }
  return near;
}
