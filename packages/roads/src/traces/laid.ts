import { metresBetween } from '../geometry';
import { edgeLine, edgeMetres, type RoadGraph } from '../graph/graph';
import type { Snapped } from '../graph/snap';
import { edgesOfStretch } from '../route/router';
import type { Fix } from './fix';
import type { Arc, Step } from './lattice';
import type { Reached } from './reach-search';

/** One road a fix may belong to. */
export interface Candidate {
  /** A state of the automaton of restrictions, and the edge it stands on. */
  readonly state: number;
  readonly edge: number;
  /** Metres from the beginning of the edge. */
  readonly offset: number;
}

/** A fix with the roads it may belong to, and what joins them to those of the fix before. */
export interface Laid extends Step {
  readonly fix: Fix;
  readonly candidates: readonly Candidate[];
  readonly arcs: readonly Driven[];
}

export interface Driven extends Arc {
  /** The last edge come to, or undefined where the edge stays the same. */
  readonly reached: Reached | undefined;
  /** Whether the car turned round in the road. */
  readonly turned: boolean;
}

/** How far ways and the straight lines between their ends differ, in metres. */
export const waySpread = (straight: number): number => 8 + 0.12 * straight;

/** A place of a stretch on each edge that leads over it. */
export const candidatesOn = (graph: RoadGraph, { stretch, offset }: Snapped): readonly Candidate[] =>
  edgesOfStretch(graph, stretch).map((edge) => ({
    state: edge,
    edge,
    offset: graph.edgeAlong[edge] ? offset : edgeMetres(graph, edge) - offset,
  }));

/** The place so many metres along an edge. */
export function placeOn(graph: RoadGraph, edge: number, offset: number): readonly [lat: number, lon: number] {
  const line = edgeLine(graph, edge);
  let left = offset;
  for (let i = 0; i + 1 < line.length; i++) {
    const [[latA, lonA], [latB, lonB]] = [line[i]!, line[i + 1]!];
    const length = metresBetween(latA, lonA, latB, lonB);
    if (left <= length) {
      const share = length > 0 ? left / length : 0;
      return [latA + share * (latB - latA), lonA + share * (lonB - lonA)];
    }
    left -= length;
  }
  return line.at(-1)!;
}
