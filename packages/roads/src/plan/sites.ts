import { signKinds, stretchKindsOf, type FeatureKind } from '../features/features';
import { edgeLimit, edgesFrom, isAlong, isJunction, wayOf, type RoadGraph } from '../graph/graph';
import { signs } from '../road-tags';
import { signsMet } from '../route/time-model';

/** Where on the roads a feature may be met: edges by kind. Turns are met anywhere and have none. */
export function sitesOf(graph: RoadGraph): ReadonlyMap<FeatureKind, readonly number[]> {
  const sites = new Map<FeatureKind, number[]>();
  const add = (kind: FeatureKind, edge: number) => {
    const list = sites.get(kind);
    if (list) list.push(edge);
    else sites.set(kind, [edge]);
  };
  for (let e = 0; e < graph.edgeCount; e++) {
    const way = wayOf(graph, e);
    for (const { bits } of signsMet(graph, e, isAlong(graph, e))) {
      for (const [bit, kind] of signKinds) if (bits & bit) add(kind, e);
      if (bits & signs.mini) add('mini-roundabout', e);
    }
    for (const kind of stretchKindsOf(graph, e)) add(kind, e);
    const vertex = graph.edgeTo[e]!;
    const outs = edgesFrom(graph, vertex);
    const limit = edgeLimit(graph, e);
    if (way.roundabout && outs.some((out) => !wayOf(graph, out).roundabout)) {
      for (const kind of ['roundabout-left', 'roundabout-ahead', 'roundabout-right'] as const) add(kind, e);
      if ((way.lanes ?? 1) > 1) add('roundabout-lanes', e);
    }
    if (isJunction(graph, vertex) && graph.arms[vertex]! >= 4) add('crossroads', e);
    if (outs.some((out) => Math.abs(edgeLimit(graph, out) - limit) > 1 && out !== graph.edgeBack[e]))
      add('limit-change', e);
  }
  return sites;
}
