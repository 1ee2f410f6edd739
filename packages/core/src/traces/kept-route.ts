import type { RoadGraph } from '@jasperwren/roads/graph/graph';
import { edgeMetres } from '@jasperwren/roads/graph/graph';
import type { Path } from '@jasperwren/roads/route/router';

/** A stretch that was driven beside the planned route. */
export interface Detour {
  /** Metres along what was driven from which on it lay beside the route, and up to where. */
  readonly from: number;
  /** Missing where the route was not come back to. */
  readonly to?: number;
}

/** Beside the route for less than this, in metres, is the width of a junction. */
const shortest = 40;

/**
 * Where a drive left the planned route and came back to it. A wrong turn is no fault by itself.
 * @param planned the edges of the route
 */
export function detoursOf(graph: RoadGraph, driven: Path, planned: readonly number[]): readonly Detour[] {
  const route = new Set(planned);
  if (!driven.edges.some((edge) => route.has(edge))) return [{ from: 0 }];
  const found: Detour[] = [];
  let metres = -driven.start;
  let left: number | undefined;
  for (const edge of driven.edges) {
    if (route.has(edge)) {
      if (left !== undefined && metres - left >= shortest) found.push({ from: Math.max(0, left), to: metres });
      left = undefined;
    } else left ??= metres;
    metres += edgeMetres(graph, edge);
  }
  if (left !== undefined && driven.metres - left >= shortest) found.push({ from: Math.max(0, left) });
  return found;
}
