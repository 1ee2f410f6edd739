import type { Place } from '../geometry';
import { deadEnds, partsOf } from './components';
import { edgesFrom, isJunction, wayOf, type RoadGraph } from './graph';

/** A part of the roads that one cannot drive to from the rest and back. */
export interface PartApart extends Place {
  /** Places in it where three or more roads meet. */
  readonly junctions: number;
  /** Names of its roads, those met first first; empty where none has a name. */
  readonly names: readonly string[];
}

/** Where a road ends and one can only turn round. */
export interface DeadEnd extends Place {
  readonly name?: string;
}

/** What of the roads is hard to drive to. */
export interface Reach {
  readonly apart: readonly PartApart[];
  readonly deadEnds: readonly DeadEnd[];
}

/** The parts apart that hold a junction, largest first and without the largest of all, and every dead end. */
export function reachOf(graph: RoadGraph): Reach {
  const parts = partsOf(graph)
    .map((vertices) => ({ vertices, junctions: vertices.filter((vertex) => isJunction(graph, vertex)).length }))
    .filter(({ junctions }) => junctions > 0)
    .sort((a, b) => b.junctions - a.junctions);
  return {
    apart: parts.slice(1).map(({ vertices, junctions }) => ({
      junctions,
      names: [...new Set(vertices.flatMap((vertex) => namesAt(graph, vertex)))],
      ...placeOf(graph, vertices[0]!),
    })),
    deadEnds: deadEnds(graph).map((vertex) => {
      const [name] = namesAt(graph, vertex);
      return { ...placeOf(graph, vertex), ...(name !== undefined && { name }) };
    }),
  };
}

const namesAt = (graph: RoadGraph, vertex: number): readonly string[] =>
  [...edgesFrom(graph, vertex)].flatMap((edge) => wayOf(graph, edge).name ?? []);

function placeOf({ source, vertexNode }: RoadGraph, vertex: number): Place {
  const node = vertexNode[vertex]!;
  return { lat: source.lat[node]!, lon: source.lon[node]! };
}
