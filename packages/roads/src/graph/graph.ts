import { bearing, metresBetween } from '../geometry';
import { signs } from '../road-tags';
import { isDrivable, type RoadSource, type RoadWay } from '../source';

/**
 * Roads as a directed graph in flat arrays. A *stretch* is a piece of one way between two vertices; an *edge* is a stretch in
 * a direction one may drive. A vertex is a node where drivable roads meet, or where a way begins or ends.
 */
export interface RoadGraph {
  readonly source: RoadSource;
  readonly vertexCount: number;
  readonly edgeCount: number;
  readonly stretchCount: number;
  /** The node of each vertex, and the vertex of each node or -1. */
  readonly vertexNode: Int32Array;
  readonly nodeVertex: Int32Array;
  /** How many stretches end at each vertex: one is a dead end, two a mere joint, three and more a junction. */
  readonly arms: Uint8Array;
  /** Ends of closed roads (private, agricultural) at each node: seen there, never driven. */
  readonly closedArms: Uint8Array;
  /** The nodes of each stretch: `stretchNodes` from `stretchStart[s]` up to `stretchStart[s + 1]`. */
  readonly stretchStart: Int32Array;
  readonly stretchNodes: Int32Array;
  readonly stretchWay: Int32Array;
  /** Length of each stretch in metres. */
  readonly metres: Float64Array;
  readonly edgeStretch: Int32Array;
  /** 1 where an edge runs along the nodes of its stretch, 0 against them. */
  readonly edgeAlong: Uint8Array;
  readonly edgeFrom: Int32Array;
  readonly edgeTo: Int32Array;
  /** The same stretch driven the other way, or -1 where it may not be. */
  readonly edgeBack: Int32Array;
  /** Edges that leave each vertex: `out` from `outStart[v]` up to `outStart[v + 1]`. */
  readonly outStart: Int32Array;
  readonly out: Int32Array;
  /** Bearings at the beginning and the end of each edge, in degrees from north. */
  readonly bearingOut: Float32Array;
  readonly bearingIn: Float32Array;
}

/** The graph of roads that cars may drive. */
export function buildGraph(source: RoadSource): RoadGraph {
  const nodeCount = source.ids.length;
  const drivable = source.ways.map((way, at) => [way, at] as const).filter(([way]) => isDrivable(way));
  const nodeVertex = findVertices(
    source,
    drivable.map(([way]) => way),
  );
  let vertexCount = 0;
  for (let node = 0; node < nodeCount; node++) if (nodeVertex[node] === 0) nodeVertex[node] = vertexCount++;
  const vertexNode = new Int32Array(vertexCount);
  nodeVertex.forEach((vertex, node) => {
    if (vertex >= 0) vertexNode[vertex] = node;
  });

  const stretchStart: number[] = [0];
  const stretchNodes: number[] = [];
  const stretchWay: number[] = [];
  for (const [way, at] of drivable) {
    let run: number[] = [];
    const close = () => {
      if (run.length > 1) {
        for (const node of run) stretchNodes.push(node);
        stretchStart.push(stretchNodes.length);
        stretchWay.push(at);
      }
    };
    for (const node of way.nodes) {
      if (source.signs[node]! & signs.barred) {
        run = [];
        continue;
      }
      run.push(node);
      if (run.length > 1 && nodeVertex[node]! >= 0) {
        close();
        run = [node];
      }
    }
  }
  const stretchCount = stretchWay.length;
  const metres = new Float64Array(stretchCount);
  const edgeStretch: number[] = [];
  const edgeAlong: number[] = [];
  const arms = new Uint8Array(vertexCount);
  for (let s = 0; s < stretchCount; s++) {
    const way = source.ways[stretchWay[s]!]!;
    for (let i = stretchStart[s]!; i + 1 < stretchStart[s + 1]!; i++)
      metres[s]! += nodeMetres(source, stretchNodes[i]!, stretchNodes[i + 1]!);
    const first = nodeVertex[stretchNodes[stretchStart[s]!]!]!;
    const last = nodeVertex[stretchNodes[stretchStart[s + 1]! - 1]!]!;
    arms[first]!++;
    arms[last]!++;
    if (way.flow !== 'against') {
      edgeStretch.push(s);
      edgeAlong.push(1);
    }
    if (way.flow !== 'along') {
      edgeStretch.push(s);
      edgeAlong.push(0);
    }
  }
  const edgeCount = edgeStretch.length;
  const edgeFrom = new Int32Array(edgeCount);
  const edgeTo = new Int32Array(edgeCount);
  const edgeBack = new Int32Array(edgeCount).fill(-1);
  const bearingOut = new Float32Array(edgeCount);
  const bearingIn = new Float32Array(edgeCount);
  const outStart = new Int32Array(vertexCount + 1);
  for (let e = 0; e < edgeCount; e++) {
    const s = edgeStretch[e]!;
    const nodes = stretchNodes.slice(stretchStart[s], stretchStart[s + 1]);
    if (!edgeAlong[e]) nodes.reverse();
    edgeFrom[e] = nodeVertex[nodes[0]!]!;
    edgeTo[e] = nodeVertex[nodes.at(-1)!]!;
    bearingOut[e] = bearingNear(source, nodes);
    bearingIn[e] = (bearingNear(source, nodes.reverse()) + 180) % 360;
    outStart[edgeFrom[e]! + 1]!++;
    // Both directions of a stretch stand one after the other.
    if (e > 0 && edgeStretch[e - 1] === s) {
      edgeBack[e] = e - 1;
      edgeBack[e - 1] = e;
    }
  }
  for (let v = 0; v < vertexCount; v++) outStart[v + 1]! += outStart[v]!;
  const out = new Int32Array(edgeCount);
  const fill = outStart.slice();
  for (let e = 0; e < edgeCount; e++) out[fill[edgeFrom[e]!]!++] = e;
  return {
    source,
    vertexCount,
    edgeCount,
    stretchCount,
    vertexNode,
    nodeVertex,
    arms,
    closedArms: closedArmsOf(source),
    stretchStart: Int32Array.from(stretchStart),
    stretchNodes: Int32Array.from(stretchNodes),
    stretchWay: Int32Array.from(stretchWay),
    metres,
    edgeStretch: Int32Array.from(edgeStretch),
    edgeAlong: Uint8Array.from(edgeAlong),
    edgeFrom,
    edgeTo,
    edgeBack,
    outStart,
    out,
    bearingOut,
    bearingIn,
  };
}

/** 0 for each node that is a vertex, -1 for the others. */
function findVertices({ ids, signs: bits }: RoadSource, ways: readonly RoadWay[]): Int32Array {
  const vertex = new Int32Array(ids.length).fill(-1);
  const seen = new Uint8Array(ids.length);
  for (const { nodes } of ways) {
    for (const node of nodes) {
      if (seen[node]) vertex[node] = 0;
      seen[node] = 1;
    }
    vertex[nodes[0]!] = 0;
    vertex[nodes.at(-1)!] = 0;
    // A barrier cuts a road in two dead ends; the piece up to it ends at the node before.
    nodes.forEach((node, i) => {
      if (!(bits[node]! & signs.barred)) return;
      if (i > 0) vertex[nodes[i - 1]!] = 0;
      if (i + 1 < nodes.length) vertex[nodes[i + 1]!] = 0;
    });
  }
  ids.forEach((_, node) => {
    if (bits[node]! & signs.barred) vertex[node] = -1;
  });
  return vertex;
}

function closedArmsOf({ ways, ids }: RoadSource): Uint8Array {
  const closed = new Uint8Array(ids.length);
  for (const way of ways) {
    if (isDrivable(way)) continue;
    way.nodes.forEach((node, i) => {
      closed[node]! += i === 0 || i === way.nodes.length - 1 ? 1 : 2;
    });
  }
  return closed;
}

const nodeMetres = ({ lat, lon }: RoadSource, a: number, b: number) =>
  metresBetween(lat[a]!, lon[a]!, lat[b]!, lon[b]!);

/** A driver sees the way a road takes over its first metres, not over a kink of one. */
const seen = 12;

/** Bearing of a line of nodes at its beginning. */
function bearingNear(source: RoadSource, nodes: readonly number[]): number {
  const { lat, lon } = source;
  const first = nodes[0]!;
  let metres = 0;
  let to = first;
  for (let i = 1; i < nodes.length && metres < seen; i++) {
    metres += nodeMetres(source, nodes[i - 1]!, nodes[i]!);
    to = nodes[i]!;
  }
  return bearing(lat[first]!, lon[first]!, lat[to]!, lon[to]!);
}

/** The way an edge is a piece of. */
export const wayOf = (graph: RoadGraph, edge: number): RoadWay =>
  graph.source.ways[graph.stretchWay[graph.edgeStretch[edge]!]!]!;

/** Whether an edge runs along its way's nodes. */
export const isAlong = (graph: RoadGraph, edge: number): boolean => graph.edgeAlong[edge] === 1;

/** Length of an edge in metres. */
export const edgeMetres = (graph: RoadGraph, edge: number): number => graph.metres[graph.edgeStretch[edge]!]!;

/** Limit on an edge in km/h. */
export function edgeLimit(graph: RoadGraph, edge: number): number {
  const { limit, limitBack } = wayOf(graph, edge);
  return isAlong(graph, edge) ? limit : (limitBack ?? limit);
}

/** Nodes of an edge in the order they are driven. */
export function edgeNodes(graph: RoadGraph, edge: number): Int32Array {
  const s = graph.edgeStretch[edge]!;
  const nodes = graph.stretchNodes.slice(graph.stretchStart[s], graph.stretchStart[s + 1]);
  return isAlong(graph, edge) ? nodes : nodes.reverse();
}

/** Edges that leave a vertex. */
export const edgesFrom = ({ out, outStart }: RoadGraph, vertex: number): Int32Array =>
  out.subarray(outStart[vertex], outStart[vertex + 1]);

/** Whether roads meet at a vertex. */
export const isJunction = ({ arms }: RoadGraph, vertex: number): boolean => arms[vertex]! >= 3;

/** The places of a stretch, in the order of its way. */
export function stretchLine(
  { source, stretchStart, stretchNodes }: RoadGraph,
  stretch: number,
): readonly (readonly [lat: number, lon: number])[] {
  const nodes = stretchNodes.subarray(stretchStart[stretch], stretchStart[stretch + 1]);
  return Array.from(nodes, (node) => [source.lat[node]!, source.lon[node]!] as const);
}

/** The places of an edge, in the direction it is driven. */
export function edgeLine(graph: RoadGraph, edge: number): readonly (readonly [lat: number, lon: number])[] {
  const { lat, lon } = graph.source;
  return Array.from(edgeNodes(graph, edge), (node) => [lat[node]!, lon[node]!] as const);
}
