import { turnBetween } from '../geometry';
import { edgeMetres, edgesFrom, wayOf, type RoadGraph } from '../graph/graph';
import type { Side } from '../graph/side';
import type { Path } from '../route/router';
import { paceOf } from '../route/time-model';
import { kmhPerMph, metresPerYard } from '../units';
import { decisionsOf, type Decision } from './decisions';

/** Distances by speed: from this many km/h on, this many metres before the junction. */
export type Ladder = readonly (readonly [kmh: number, metres: number])[];

const ladder = (steps: readonly (readonly [mph: number, yards: number])[]): Ladder =>
  steps.map(([mph, yards]) => [mph * kmhPerMph, yards * metresPerYard]);

/** When directions are spoken. */
export interface CallTiming {
  /** Metres before a junction at which a call begins, by speed. */
  readonly first: Ladder;
  /** The call is said again this many seconds before the junction; nothing: once only. */
  readonly againSeconds?: number;
  /** Between a call and its junction there are at least this many seconds, else it is said with the call before. */
  readonly leastSeconds: number;
}

/** How and when directions are spoken. */
export interface CallStyle extends CallTiming {
  readonly speaker: 'instructor' | 'device';
  /** Between two steps of the ladder the distance is in proportion; otherwise that of the step below. */
  readonly smooth: boolean;
}

/** An instructor: 150 to 200 yards, earlier when faster. Common practice. */
export const instructorStyle: CallStyle = {
  speaker: 'instructor',
  first: ladder([
    [20, 150],
    [40, 200],
    [60, 350],
    [70, 450],
  ]),
  smooth: true,
  leastSeconds: 7,
};

/** A navigation device: about 100 yards at a crawl, 200 in town, 300 at 30 to 40 mph, 800 at 50 and more. Common practice. */
export const deviceStyle: CallStyle = {
  speaker: 'device',
  first: ladder([
    [0, 100],
    [15, 200],
    [28, 300],
    [50, 800],
  ]),
  smooth: false,
  againSeconds: 4,
  leastSeconds: 6,
};

/** What is said at a point of a way. */
export interface Call {
  /** Metres from the start of the way at which it is said. */
  readonly at: number;
  /** Metres from there to the junction. */
  readonly distance: number;
  readonly decision: Decision;
  /** A second junction so close that it is said along with the first. */
  readonly then?: Decision;
  /** Turnings to the same side between the call and the junction, the junction's own counted: 2 is the second. */
  readonly nth: number;
  /** Said before already, or on the way round a large roundabout. */
  readonly again?: 'again' | 'exit';
}

/** On a ring driven for at least this many metres, the exit is announced on the way round. */
const largeRing = 60;
/** A call begins no sooner than this many metres after the junction before. */
const clear = 10;

/** Metres before a junction at which a call begins at a speed in km/h. */
export function leadAt({ first, smooth }: CallStyle, kmh: number): number {
  const at = first.findLastIndex(([from]) => kmh >= from);
  if (at < 0) return first[0]![1];
  const [from, metres] = first[at]!;
  const above = first[at + 1];
  if (!smooth || !above) return metres;
  return metres + ((kmh - from) / (above[0] - from)) * (above[1] - metres);
}

/** The calls of a path, in the order they are said. */
export function callsOf(graph: RoadGraph, path: Path, side: Side, style: CallStyle): readonly Call[] {
  const decisions = decisionsOf(graph, path, side);
  const calls: Call[] = [];
  let behind = 0;
  for (let i = 0; i < decisions.length; i++) {
    const decision = decisions[i]!;
    const kmh = paceOf(graph, path.edges[decision.edge]!);
    const at = Math.max(0, behind, decision.metres - leadAt(style, kmh));
    const next = decisions[i + 1];
    const then = next && isClose(graph, path, decision, next, style) ? next : undefined;
    const distance = decision.metres - at;
    calls.push({
      at,
      distance,
      decision,
      ...(then && { then }),
      nth: nthTurning(graph, path, decision, at),
    });
    const again = decision.metres - ((style.againSeconds ?? 0) * kmh) / 3.6;
    if (style.againSeconds !== undefined && again > at + 30)
      calls.push({
        at: again,
        distance: decision.metres - again,
        decision,
        nth: 1,
        again: 'again',
        ...(then && { then }),
      });
    if (decision.kind === 'roundabout' && decision.ring >= largeRing) {
      const exit = decision.after - Math.min(40, decision.ring / 2);
      calls.push({ at: exit, distance: decision.after - exit, decision, nth: 1, again: 'exit' });
    }
    behind = decision.after + clear;
    if (then) {
      i++;
      behind = then.after + clear;
    }
  }
  return calls;
}

/** Whether a junction comes too soon after another for a call of its own. */
function isClose(graph: RoadGraph, path: Path, before: Decision, next: Decision, style: CallStyle): boolean {
  const kmh = paceOf(graph, path.edges[next.edge]!);
  const metres = next.metres - before.after - clear;
  return (metres / kmh) * 3.6 < style.leastSeconds;
}

/** Which turning to its side a turn is, counted from a point of the way. */
function nthTurning(graph: RoadGraph, { edges, start }: Path, decision: Decision, at: number): number {
  if (decision.kind !== 'turn' || decision.at === 'end-of-road') return 1;
  let nth = 1;
  let metres = -start;
  for (let i = 0; i < decision.edge; i++) {
    const edge = edges[i]!;
    metres += edgeMetres(graph, edge);
    if (metres <= at + clear) continue;
    const passes = [...edgesFrom(graph, graph.edgeTo[edge]!)].some((out) => {
      if (out === edges[i + 1] || out === graph.edgeBack[edge]) return false;
      const turn = turnBetween(graph.bearingIn[edge]!, graph.bearingOut[out]!);
      return (decision.turn === 'left' ? turn < -40 : turn > 40) && !wayOf(graph, out).roundabout;
    });
    if (passes) nth++;
  }
  return nth;
}
