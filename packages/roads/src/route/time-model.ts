import { metresBetween, turnBetween } from '../geometry';
import { edgeLimit, edgeMetres, isAlong, isJunction, wayOf, type RoadGraph } from '../graph/graph';
import type { Side } from '../graph/side';
import { signs, type RoadClass } from '../road-tags';

// Looked up once: every turn of a network is asked for.
const { abs, max, min } = Math;

/** How long driving takes: common practice of a learner's pace; what a school's drives lost at junctions takes its place. */
export interface TimeModel {
  /** Share of the limit that is reached on the whole, by class of road. */
  readonly pace: Readonly<Record<RoadClass, number>>;
  /** Pace is no faster than this where two cars cannot pass, and on loose surfaces, in km/h. */
  readonly narrowKmh: number;
  readonly unpavedKmh: number;
  /** Seconds lost at what stands on the road. */
  readonly signals: number;
  readonly stop: number;
  readonly giveWay: number;
  readonly crossing: number;
  readonly mini: number;
  readonly raised: number;
  /** Seconds lost by a turn over the near side, and by one across the traffic. */
  readonly nearTurn: number;
  readonly acrossTurn: number;
  readonly ringEntry: number;
  /** Seconds lost by turning round. */
  readonly turnRound: number;
}

export const timeModel: TimeModel = {
  pace: {
    motorway: 0.92,
    trunk: 0.88,
    primary: 0.82,
    secondary: 0.78,
    tertiary: 0.72,
    unclassified: 0.66,
    road: 0.66,
    residential: 0.66,
    living_street: 0.75,
    service: 0.6,
    track: 0.6,
  },
  narrowKmh: 45,
  unpavedKmh: 35,
  signals: 16,
  stop: 8,
  giveWay: 5,
  crossing: 2,
  mini: 4,
  raised: 2,
  nearTurn: 4,
  acrossTurn: 9,
  ringEntry: 6,
  turnRound: 25,
};

/** What a search weighs: a cost for each edge, one for each turn, and the least cost of a metre. */
export interface Weights {
  readonly edge: Float64Array;
  readonly turn: (before: number, after: number) => number;
  readonly leastPerMetre: number;
}

/** Metres of way. */
export function byDistance(graph: RoadGraph): Weights {
  const edge = Float64Array.from({ length: graph.edgeCount }, (_, e) => edgeMetres(graph, e));
  return { edge, turn: () => 0, leastPerMetre: 1 };
}

/** Seconds by the model, with the delays that stand in the roads. */
export function byTime(graph: RoadGraph, side: Side): Weights {
  const model: TimeModel = { ...timeModel, ...graph.source.delays };
  const edge = new Float64Array(graph.edgeCount);
  let fastest = 0;
  for (let e = 0; e < graph.edgeCount; e++) {
    const speed = paceOf(graph, e, model) / 3.6;
    fastest = max(fastest, speed);
    edge[e] = edgeMetres(graph, e) / speed + delayOn(graph, e, model);
  }
  return { edge, turn: (before, after) => turnDelay(graph, side, before, after, model), leastPerMetre: 1 / fastest };
}

/** The pace on an edge in km/h, without delays. */
export function paceOf(graph: RoadGraph, edge: number, model: TimeModel = timeModel): number {
  const way = wayOf(graph, edge);
  const pace = edgeLimit(graph, edge) * model.pace[way.roadClass];
  const narrow = isNarrow(way) ? model.narrowKmh : Infinity;
  return max(5, min(pace, narrow, way.unpaved ? model.unpavedKmh : Infinity));
}

/** Whether two cars cannot pass each other on a road of both directions. */
export const isNarrow = (way: { readonly flow: string; readonly lanes?: number; readonly width?: number }): boolean =>
  way.flow === 'both' && (way.lanes === 1 || (way.width !== undefined && way.width < 4));

/** The signs one meets on an edge, with their metres from its beginning, without those that stand there. */
export function signsMet(graph: RoadGraph, edge: number, along: boolean) {
  const { source, stretchNodes, stretchStart, edgeStretch } = graph;
  const s = edgeStretch[edge]!;
  const [first, last] = [stretchStart[s]!, stretchStart[s + 1]! - 1];
  const met: { readonly node: number; readonly bits: number; readonly metres: number }[] = [];
  let metres = 0;
  const step = along ? 1 : -1;
  for (let i = along ? first + 1 : last - 1; along ? i <= last : i >= first; i += step) {
    const node = stretchNodes[i]!;
    const before = stretchNodes[i - step]!;
    metres += metresBetween(source.lat[before]!, source.lon[before]!, source.lat[node]!, source.lon[node]!);
    const bits = source.signs[node]!;
    if (bits && !facesAway(bits, along)) met.push({ node, bits, metres });
  }
  return met;
}

const facesAway = (bits: number, along: boolean) =>
  (bits & (signs.along | signs.against)) !== 0 && !(bits & (along ? signs.along : signs.against));

function delayOn(graph: RoadGraph, edge: number, model: TimeModel): number {
  let seconds = 0;
  for (const { bits } of signsMet(graph, edge, isAlong(graph, edge))) {
    if (bits & signs.signals) seconds += model.signals;
    if (bits & signs.stop) seconds += model.stop;
    if (bits & signs.giveWay) seconds += model.giveWay;
    if (bits & signs.crossing) seconds += model.crossing;
    if (bits & signs.mini) seconds += model.mini;
    if (bits & signs.raised) seconds += model.raised;
  }
  return seconds;
}

function turnDelay(graph: RoadGraph, side: Side, before: number, after: number, model: TimeModel): number {
  if (graph.edgeBack[before] === after) return model.turnRound;
  if (!isJunction(graph, graph.edgeTo[before]!)) return 0;
  const [from, to] = [wayOf(graph, before), wayOf(graph, after)];
  if (to.roundabout) return from.roundabout ? 0 : model.ringEntry;
  if (from.roundabout) return 0;
  const turn = turnBetween(graph.bearingIn[before]!, graph.bearingOut[after]!);
  if (abs(turn) < 40) return 0;
  return turn > 0 === (side === 'right') ? model.nearTurn : model.acrossTurn;
}

/** Factors on the expected time, by hour of the day: common practice of a small town. */
export const dayFactors: readonly (readonly [fromHour: number, factor: number])[] = [
  [0, 0.92],
  [7, 1.06],
  [8, 1.18],
  [9.5, 1],
  [15, 1.12],
  [16.5, 1.2],
  [18, 1.03],
  [20, 0.94],
];

/** The factor on the expected time at an hour from 0 up to 24. */
export const dayFactor = (hour: number): number => dayFactors.findLast(([from]) => hour >= from)?.[1] ?? 1;

/** How far times of single drives lie from the expected one, as a share: four of five lie within. */
export const timeSpread = 0.08;
