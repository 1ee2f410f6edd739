import { turnBetween } from '@jasperwren/roads/geometry';
import { edgeMetres, isAlong, isJunction, wayOf, type RoadGraph } from '@jasperwren/roads/graph/graph';
import { signs } from '@jasperwren/roads/road-tags';
import type { Side } from '@jasperwren/roads/graph/side';
import type { DelayKind, Delays } from '@jasperwren/roads/delays';
import { paceOf, signsMet, timeModel } from '@jasperwren/roads/route/time-model';
import type { MatchedPiece } from '@jasperwren/roads/traces/piece';
import { between } from '../routes/along-line';

/** How often a delay was met, and the seconds lost by it in all. */
export type MeasuredDelays = Readonly<Partial<Record<DelayKind, readonly [count: number, seconds: number]>>>;

/** A junction is driven from so many metres before it to so many after it. */
const before = 100;
const after = 20;
/** Signs stand up to this many metres before their junction. */
const signWithin = 35;
/** Fixes farther apart than this, in milliseconds, or roads less sure than this, measure nothing. */
const gapMs = 5000;
const leastSure = 0.95;
/** Nobody waits longer at a junction than this, in seconds: the car was parked. */
const longest = 180;

/**
 * What was lost at the junctions of a trace, by what stands there: the time over the stretch round a junction, less what it takes at the
 * usual pace. Junctions that follow so closely that they cannot be told apart are left out.
 */
export function delaysOf(graph: RoadGraph, side: Side, pieces: readonly MatchedPiece[]): MeasuredDelays {
  const found: Partial<Record<DelayKind, [number, number]>> = {};
  for (const { path, sure, times } of pieces) {
    const inverse = times.map(([at, metres]) => [metres, at] as const);
    const junctions = junctionsOf(graph, side, path.edges, path.start);
    junctions.forEach(({ kind, edge, metres }, i) => {
      const [from, to] = [metres - before, metres + after];
      if (kind === undefined || from < 0 || to > path.metres) return;
      const neighbours = [junctions[i - 1], junctions[i + 1]];
      if (neighbours.some((one) => one && one.metres > from - after && one.metres < to + after)) return;
      if (sure[edge]! < leastSure || sure[edge + 1]! < leastSure) return;
      const inside = times.filter(([, at]) => at >= from && at <= to);
      if (inside.length < 4 || inside.some(([at], k) => k > 0 && at - inside[k - 1]![0] > gapMs)) return;
      const lost = (between(inverse, to) - between(inverse, from)) / 1000 - usualSeconds(graph, path.edges, edge);
      if (lost > longest) return;
      const sum = (found[kind] ??= [0, 0]);
      sum[0]++;
      sum[1] += Math.max(0, lost);
    });
  }
  return found;
}

/** Seconds over the stretch round a junction at the usual pace. */
function usualSeconds(graph: RoadGraph, edges: readonly number[], edge: number): number {
  const seconds = (at: number, metres: number) => metres / (paceOf(graph, edges[at]!) / 3.6);
  return seconds(edge, before) + seconds(edge + 1, after);
}

interface Junction {
  /** What stands there; undefined where nothing of the model or several things do. */
  readonly kind: DelayKind | undefined;
  /** Place within the path's edges of the edge that leads to it. */
  readonly edge: number;
  readonly metres: number;
}

/** The junctions of a path at which something may be lost, in order. */
function junctionsOf(graph: RoadGraph, side: Side, edges: readonly number[], start: number): readonly Junction[] {
  const found: Junction[] = [];
  let metres = -start;
  for (let i = 0; i + 1 < edges.length; i++) {
    const edge = edges[i]!;
    const length = edgeMetres(graph, edge);
    metres += length;
    const met = signsMet(graph, edge, isAlong(graph, edge));
    const early = met.some(({ metres: at, bits }) => bits !== 0 && at < length - signWithin && at > length - before);
    const bits = met.reduce((all, one) => (one.metres >= length - signWithin ? all | one.bits : all), 0);
    const kind = kindAt(graph, side, edge, edges[i + 1]!, bits);
    if (kind !== undefined) found.push({ kind: early ? undefined : kind, edge: i, metres });
  }
  return found;
}

function kindAt(graph: RoadGraph, side: Side, edge: number, next: number, bits: number): DelayKind | undefined {
  if (graph.edgeBack[edge] === next) return undefined;
  if (bits & signs.signals) return 'signals';
  if (bits & signs.stop) return 'stop';
  if (bits & signs.mini) return 'mini';
  const [from, to] = [wayOf(graph, edge), wayOf(graph, next)];
  if (to.roundabout && !from.roundabout) return 'ringEntry';
  if (from.roundabout || !isJunction(graph, graph.edgeTo[edge]!)) return undefined;
  const turn = turnBetween(graph.bearingIn[edge]!, graph.bearingOut[next]!);
  if (Math.abs(turn) < 40) return bits & signs.giveWay ? 'giveWay' : undefined;
  return turn > 0 === (side === 'right') ? 'nearTurn' : 'acrossTurn';
}

/** So many passes by common practice count as much as what was measured. */
const priorPasses = 20;

/**
 * Seconds lost by kind as a school's drives measured them, drawn towards the usual where there are few.
 * @param all what each trace measured
 */
export function learntDelays(all: readonly MeasuredDelays[]): Delays {
  const sums: Partial<Record<DelayKind, [number, number]>> = {};
  for (const one of all)
    for (const [kind, [count, seconds]] of Object.entries(one) as [DelayKind, readonly [number, number]][]) {
      const sum = (sums[kind] ??= [0, 0]);
      sum[0] += count;
      sum[1] += seconds;
    }
  return Object.fromEntries(
    (Object.entries(sums) as [DelayKind, [number, number]][]).map(([kind, [count, seconds]]) => [
      kind,
      Number(((seconds + priorPasses * timeModel[kind]) / (count + priorPasses)).toFixed(1)),
    ]),
  );
}
