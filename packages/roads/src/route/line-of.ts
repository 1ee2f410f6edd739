import { type Place, metresBetween } from '../geometry';
import { type RoadGraph, edgeNodes } from '../graph/graph';
import type { Path } from './router';

/** The places a path passes, from its start to its end. */
export function lineOf(
  graph: RoadGraph,
  path: Path,
  from: Place,
  to: Place,
): readonly (readonly [lat: number, lon: number])[] {
  const { lat, lon } = graph.source;
  const line: (readonly [number, number])[] = [[from.lat, from.lon]];
  path.edges.forEach((edge, i) => {
    const nodes = edgeNodes(graph, edge);
    const first = i === 0;
    const last = i === path.edges.length - 1;
    let metres = 0;
    nodes.forEach((node, k) => {
      if (k > 0) metres += metresBetween(lat[nodes[k - 1]!]!, lon[nodes[k - 1]!]!, lat[node]!, lon[node]!);
      if (first && metres <= path.start) return;
      if (last && metres >= path.end) return;
      // The end of one edge is the beginning of the next.
      if (!first && k === 0) return;
      line.push([lat[node]!, lon[node]!]);
    });
  });
  line.push([to.lat, to.lon]);
  return line;
}
