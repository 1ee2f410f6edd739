import { edgesFrom, type RoadGraph } from './graph';

/**
 * The strongly connected part each vertex belongs to: from anywhere in a part one may drive to anywhere else in it and back
 * (R. Tarjan, Depth-first search and linear graph algorithms, 1972; written without recursion).
 */
export function stronglyConnected(graph: RoadGraph): { readonly part: Int32Array; readonly count: number } {
  const { vertexCount, edgeTo, out, outStart } = graph;
  const index = new Int32Array(vertexCount).fill(-1);
  const low = new Int32Array(vertexCount);
  const part = new Int32Array(vertexCount).fill(-1);
  const next = new Int32Array(vertexCount);
  const stack: number[] = [];
  const path: number[] = [];
  let visited = 0;
  let count = 0;
  for (let root = 0; root < vertexCount; root++) {
    if (index[root] !== -1) continue;
    path.push(root);
    while (path.length > 0) {
      const v = path.at(-1)!;
      if (index[v] === -1) {
        index[v] = low[v] = visited++;
        next[v] = outStart[v]!;
        stack.push(v);
      }
      if (next[v]! < outStart[v + 1]!) {
        const to = edgeTo[out[next[v]!++]!]!;
        if (index[to] === -1) path.push(to);
        else if (part[to] === -1) low[v] = Math.min(low[v]!, index[to]!);
        continue;
      }
      path.pop();
      const above = path.at(-1);
      if (above !== undefined) low[above] = Math.min(low[above]!, low[v]!);
      if (low[v] !== index[v]) continue;
      for (;;) {
        const member = stack.pop()!;
        part[member] = count;
        if (member === v) break;
      }
      count++;
    }
  }
  return { part, count };
}

/** Vertices where a road ends and one can only turn round. */
export function deadEnds(graph: RoadGraph): readonly number[] {
  const found: number[] = [];
  for (let v = 0; v < graph.vertexCount; v++) if (graph.arms[v] === 1 && edgesFrom(graph, v).length > 0) found.push(v);
  return found;
}

/** For each part its vertices, largest first, and among equals the one of the lowest vertex. */
export function partsOf(graph: RoadGraph): readonly (readonly number[])[] {
  const { part, count } = stronglyConnected(graph);
  const parts: number[][] = Array.from({ length: count }, () => []);
  part.forEach((at, vertex) => parts[at]!.push(vertex));
  return parts.sort((a, b) => b.length - a.length || a[0]! - b[0]!);
}
