import { turnBetween } from '../geometry';
import { edgeMetres, edgeNodes, edgesFrom, isAlong, isJunction, wayOf, type RoadGraph } from '../graph/graph';
import type { Side } from '../graph/side';
import { roadClasses, signs } from '../road-tags';
import type { Path } from '../route/router';
import { signsMet } from '../route/time-model';
import { lanesFor, type Lanes, type Turn } from './lanes';

/** What stands at a junction and helps to name it. */
export type Landmark = 'signals' | 'crossroads' | 'end-of-road';

interface Common {
  /** Metres from the start of the path to the junction, and to where it is left (a roundabout's exit). */
  readonly metres: number;
  readonly after: number;
  /** Place within the path's edges of the edge that leads to the junction. */
  readonly edge: number;
  /** The road that is taken. */
  readonly name?: string;
  /** Where it is signed to. */
  readonly toward?: string;
  readonly lanes?: Lanes;
}

/** A place on a way where a driver must be told what to do. */
export type Decision = Common &
  (
    | { readonly kind: 'turn'; readonly turn: 'left' | 'right'; readonly at?: Landmark }
    | { readonly kind: 'bear'; readonly turn: 'left' | 'right' }
    | { readonly kind: 'slip'; readonly turn: 'left' | 'right' }
    | {
        readonly kind: 'roundabout' | 'mini';
        readonly turn: Turn | 'back';
        /** The exit to take, counted from the entry, and how many there are to count. */
        readonly exit: number;
        readonly exits: number;
        /** Openings passed before the exit that look like exits and are none: gates and private roads. */
        readonly notExits: number;
        /** Metres driven on the ring. */
        readonly ring: number;
      }
    | { readonly kind: 'turn-round' }
  );

/** From this many degrees on, a way on is a turn; below, it is the road ahead. */
const turnFrom = 45;
/** Two ways on that differ by less are a fork, of which neither is simply ahead. */
const forkBelow = 40;
/** Signals belong to a junction they stand up to this many metres before. */
const signBefore = 35;

const rank = (graph: RoadGraph, edge: number) => {
  const { roadClass, link } = wayOf(graph, edge);
  return roadClasses.indexOf(roadClass) + (link ? 0.5 : 0);
};

/** Every decision of a path, in order. */
export function decisionsOf(graph: RoadGraph, { edges, start }: Path, side: Side): readonly Decision[] {
  const found: Decision[] = [];
  let metres = -start;
  for (let i = 0; i + 1 < edges.length; i++) {
    const edge = edges[i]!;
    metres += edgeMetres(graph, edge);
    const next = edges[i + 1]!;
    if (wayOf(graph, next).roundabout && !wayOf(graph, edge).roundabout) {
      const { decision, last } = roundabout(graph, edges, i, metres);
      if (decision) found.push(decision);
      // The decision ends where the ring is left; what lies on it says nothing more.
      for (let k = i + 1; k <= last; k++) metres += edgeMetres(graph, edges[k]!);
      i = last;
      continue;
    }
    const decision = decide(graph, edge, next, side);
    if (decision) found.push({ ...decision, ...named(graph, edge, next, decision), metres, after: metres, edge: i });
  }
  return found;
}

type Bare = Decision extends infer D ? (D extends Decision ? Omit<D, keyof Common> : never) : never;

function named(graph: RoadGraph, before: number, after: number, decision: Bare): Partial<Common> {
  const { name, ref, destination } = wayOf(graph, after);
  const from = wayOf(graph, before);
  const road = name ?? ref;
  const turn: Turn = 'turn' in decision && decision.turn !== 'back' ? decision.turn : 'ahead';
  const lanes = lanesFor(isAlong(graph, before) ? from.turnLanes : from.turnLanesBack, turn);
  return {
    ...(road !== undefined && { name: road }),
    ...(destination !== undefined && { toward: destination.replaceAll(';', ', ') }),
    ...(lanes && { lanes }),
  };
}

/** The ways on at the end of an edge that a driver sees and may take, without the way back. */
const choices = (graph: RoadGraph, edge: number) =>
  [...edgesFrom(graph, graph.edgeTo[edge]!)].filter((next) => next !== graph.edgeBack[edge]);

const turnOf = (graph: RoadGraph, before: number, after: number) =>
  turnBetween(graph.bearingIn[before]!, graph.bearingOut[after]!);

const sideOf = (degrees: number): 'left' | 'right' => (degrees < 0 ? 'left' : 'right');

function decide(graph: RoadGraph, edge: number, next: number, side: Side): Bare | undefined {
  const vertex = graph.edgeTo[edge]!;
  const node = graph.vertexNode[vertex]!;
  if (graph.source.signs[node]! & signs.mini) return mini(graph, edge, next, side);
  if (next === graph.edgeBack[edge]) return { kind: 'turn-round' };
  if (!isJunction(graph, vertex)) return undefined;
  const ways = choices(graph, edge);
  const turn = turnOf(graph, edge, next);
  const [from, to] = [wayOf(graph, edge), wayOf(graph, next)];
  const others = ways.filter((other) => other !== next);
  const ahead = others.filter((other) => Math.abs(turnOf(graph, edge, other)) < turnFrom);
  if (to.link && !from.link && Math.abs(turn) < turnFrom && ahead.length > 0)
    return { kind: 'slip', turn: sideOf(turn - turnOf(graph, edge, ahead[0]!)) };
  const at = landmark(graph, edge, ways);
  if (Math.abs(turn) >= turnFrom) {
    const bends = from.name !== undefined && from.name === to.name && ahead.length === 0;
    const priority = others.every((other) => rank(graph, other) > rank(graph, next));
    if (bends && priority && others.every((other) => Math.abs(turnOf(graph, edge, other)) > Math.abs(turn)))
      return undefined;
    return { kind: 'turn', turn: sideOf(turn), ...(at && { at }) };
  }
  if (ahead.length === 0) return undefined;
  const rival = ahead.reduce((a, b) => (Math.abs(turnOf(graph, edge, a)) < Math.abs(turnOf(graph, edge, b)) ? a : b));
  const rivalTurn = turnOf(graph, edge, rival);
  const same = (other: number) => {
    const way = wayOf(graph, other);
    return way.name !== undefined && way.name === from.name;
  };
  // The road goes on by its name, or is plainly the larger one: silence.
  if (same(next) && !same(rival)) return undefined;
  if (!same(rival) && rank(graph, next) < rank(graph, rival) && Math.abs(turn) <= Math.abs(rivalTurn)) return undefined;
  if (!same(rival) && Math.abs(rivalTurn) - Math.abs(turn) > forkBelow) return undefined;
  return { kind: 'bear', turn: sideOf(turn - rivalTurn) };
}

function landmark(graph: RoadGraph, edge: number, ways: readonly number[]): Landmark | undefined {
  const vertex = graph.edgeTo[edge]!;
  if (signsBefore(graph, edge) & signs.signals) return 'signals';
  if (graph.arms[vertex]! >= 4 && ways.length >= 2) return 'crossroads';
  return ways.every((way) => Math.abs(turnOf(graph, edge, way)) >= turnFrom) ? 'end-of-road' : undefined;
}

/** The signs at the end of an edge and shortly before it. */
function signsBefore(graph: RoadGraph, edge: number): number {
  const from = edgeMetres(graph, edge) - signBefore;
  return signsMet(graph, edge, isAlong(graph, edge)).reduce(
    (all, { bits, metres }) => (metres >= from ? all | bits : all),
    0,
  );
}

function mini(graph: RoadGraph, edge: number, next: number, side: Side): Bare {
  const sign = side === 'left' ? 1 : -1;
  // The first exit is the one on the traffic's own side; the road one came by is the last.
  const order = [...edgesFrom(graph, graph.edgeTo[edge]!)].sort(
    (a, b) =>
      Number(a === graph.edgeBack[edge]) - Number(b === graph.edgeBack[edge]) ||
      sign * (turnOf(graph, edge, a) - turnOf(graph, edge, b)),
  );
  const back = next === graph.edgeBack[edge];
  return {
    kind: 'mini',
    turn: back ? 'back' : roundTurn(turnOf(graph, edge, next)),
    exit: order.indexOf(next) + 1,
    exits: order.length,
    notExits: 0,
    ring: 0,
  };
}

/** Exits up to this many degrees off the way in are said to be ahead. */
const roundAhead = 55;

function roundTurn(degrees: number): Turn | 'back' {
  if (Math.abs(degrees) > 160) return 'back';
  return Math.abs(degrees) < roundAhead ? 'ahead' : sideOf(degrees);
}

function roundabout(
  graph: RoadGraph,
  edges: readonly number[],
  entry: number,
  metres: number,
): { readonly decision: Decision | undefined; readonly last: number } {
  const before = edges[entry]!;
  let exit = 0;
  let notExits = 0;
  let ring = 0;
  const isExit = (edge: number) => !wayOf(graph, edge).roundabout;
  let i = entry + 1;
  for (; i < edges.length && wayOf(graph, edges[i]!).roundabout; i++) {
    const edge = edges[i]!;
    ring += edgeMetres(graph, edge);
    const nodes = edgeNodes(graph, edge);
    for (const node of nodes.slice(1)) notExits += graph.closedArms[node]!;
    const taken = edges[i + 1];
    if (taken !== undefined && isExit(taken)) {
      exit += 1;
      notExits -= graph.closedArms[nodes.at(-1)!]!;
      break;
    }
    exit += [...edgesFrom(graph, graph.edgeTo[edge]!)].filter(isExit).length;
  }
  const taken = edges[i + 1];
  // A path that ends on the ring leaves it nowhere.
  if (taken === undefined) return { decision: undefined, last: Math.min(i, edges.length - 1) };
  const after = edges[i]!;
  const turn = turnBetween(graph.bearingIn[before]!, graph.bearingOut[taken]!);
  const back = graph.edgeBack[before] === taken;
  const bare: Bare = {
    kind: 'roundabout',
    turn: back ? 'back' : roundTurn(turn),
    exit,
    exits: exitsOf(graph, edges[entry + 1]!),
    notExits,
    ring,
  };
  const words = { ...named(graph, after, taken, bare), ...lanesOnEntry(graph, before, bare) };
  return { decision: { ...bare, ...words, metres, after: metres + ring, edge: entry }, last: i };
}

function lanesOnEntry(graph: RoadGraph, before: number, bare: Bare): { readonly lanes?: Lanes } {
  const way = wayOf(graph, before);
  const turn = 'turn' in bare && bare.turn !== 'back' ? bare.turn : 'right';
  const lanes = lanesFor(isAlong(graph, before) ? way.turnLanes : way.turnLanesBack, turn);
  return lanes ? { lanes } : {};
}

/** How many exits a ring has. */
function exitsOf(graph: RoadGraph, first: number): number {
  let exits = 0;
  let edge = first;
  const seen = new Set<number>();
  while (!seen.has(edge)) {
    seen.add(edge);
    const outs = [...edgesFrom(graph, graph.edgeTo[edge]!)];
    exits += outs.filter((out) => !wayOf(graph, out).roundabout).length;
    const on = outs.find((out) => wayOf(graph, out).roundabout && out !== graph.edgeBack[edge]);
    if (on === undefined) break;
    edge = on;
  }
  return exits;
}
