import type { RoadGraph } from '../graph/graph';
import type { Path, Router } from '../route/router';
import type { Weights } from '../route/time-model';

/** So many ways are looked at, at most. */
const most = 30_000;

/** Every way from a vertex back to it that drives no road twice and takes no longer than so many seconds. For small nets only. */
export function* trailsFrom(
  graph: RoadGraph,
  router: Router,
  time: Weights,
  vertex: number,
  seconds: number,
): Generator<Path> {
  const { edgeTo, edgeStretch, metres, out, outStart } = graph;
  const stack: { readonly edges: readonly number[]; readonly cost: number }[] = [
    ...out.subarray(outStart[vertex], outStart[vertex + 1]),
  ].map((edge) => ({ edges: [edge], cost: time.edge[edge]! }));
  for (let seen = 0; stack.length > 0 && seen < most; seen++) {
    const { edges, cost } = stack.pop()!;
    if (cost > seconds) continue;
    const last = edges.at(-1)!;
    if (edgeTo[last] === vertex) {
      const whole = edges.reduce((sum, edge) => sum + metres[edgeStretch[edge]!]!, 0);
      yield { edges, start: 0, end: metres[edgeStretch[last]!]!, metres: whole, cost };
    }
    const used = new Set(edges.map((edge) => edgeStretch[edge]!));
    for (const next of router.follow(edges))
      if (!used.has(edgeStretch[next]!))
        stack.push({ edges: [...edges, next], cost: cost + time.turn(last, next) + time.edge[next]! });
  }
}
