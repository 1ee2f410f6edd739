import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { degreeMetres } from '../geometry';
import { edgeMetres, type RoadGraph } from '../graph/graph';
import type { Path } from '../route/router';
import { paceOf, type Weights } from '../route/time-model';
import { measuredLine } from './along-piece';
import type { Fix } from './fix';

/** How a drive is simulated. */
export interface SimulatedDrive {
  readonly seed: number;
  /** Milliseconds of the first fix. */
  readonly fromMs?: number;
  /** Between two fixes, in milliseconds; 1000 where it is left out. */
  readonly everyMs?: number;
  /** Standard deviation of the position along each axis, in metres; 0 where it is left out. */
  readonly noise?: number;
  /** How much of the error of one fix stays in the next, from 0 to 1; none where it is left out. */
  readonly lasting?: number;
  /** Seconds after the start without a fix, as in tunnels. */
  readonly gaps?: readonly (readonly [from: number, to: number])[];
  /** The pace as a factor on that of a learner by the model. */
  readonly pace?: number;
  /** Seconds after the start between which the car is made to stand. */
  readonly stands?: readonly (readonly [from: number, to: number])[];
  /** Seconds for which the car stands at the end with the device on. */
  readonly parked?: number;
}

/** A drive over a path as a device writes it down: a stand-in for one, the same for the same seed. */
export interface SimulatedTrace {
  readonly fixes: readonly Fix[];
  /** Where the car truly was: milliseconds, and metres from the start of the path. */
  readonly truth: readonly (readonly [at: number, metres: number])[];
}

/** Drives a path at the pace of the model: along each edge at its pace, standing at its end for what is lost there. */
export function simulateTrace(
  graph: RoadGraph,
  time: Weights,
  path: Path,
  {
    seed,
    fromMs = 0,
    everyMs = 1000,
    noise = 0,
    lasting = 0,
    gaps = [],
    stands = [],
    pace = 1,
    parked = 0,
  }: SimulatedDrive,
): SimulatedTrace {
  const random = xoroshiro128plus(seed);
  // Two uniform numbers make a normal one (G. E. P. Box and M. E. Muller, 1958).
  const normal = () =>
    Math.sqrt(-2 * Math.log(1 - uniformFloat64(random))) * Math.cos(2 * Math.PI * uniformFloat64(random));
  const clock = clockOf(graph, time, path, pace);
  const line = measuredLine(graph, path);
  const stood = (second: number) =>
    stands.reduce((sum, [from, to]) => sum + Math.max(0, Math.min(second, to) - from), 0);
  const whole = clock.at(-1)![0] + stands.reduce((sum, [from, to]) => sum + to - from, 0) + parked;
  const fixes: Fix[] = [];
  const truth: (readonly [number, number])[] = [];
  let east = noise * normal();
  let north = noise * normal();
  const fresh = noise * Math.sqrt(1 - lasting * lasting);
  let piece = 0;
  let tick = 0;
  for (let i = 0; i * (everyMs / 1000) <= whole; i++) {
    const second = i * (everyMs / 1000);
    east = lasting * east + fresh * normal();
    north = lasting * north + fresh * normal();
    const driven = second - stood(second);
    while (tick + 1 < clock.length - 1 && clock[tick + 1]![0] <= driven) tick++;
    const metres = inProportion(clock[tick]!, clock[tick + 1] ?? clock[tick]!, driven);
    truth.push([fromMs + second * 1000, metres]);
    if (gaps.some(([from, to]) => second > from && second < to)) continue;
    while (piece + 1 < line.length - 1 && line[piece + 1]![2] <= metres) piece++;
    const [[latA, lonA, from], [latB, lonB, to]] = [line[piece]!, line[piece + 1]!];
    const share = to > from ? (metres - from) / (to - from) : 0;
    const lat = latA + share * (latB - latA);
    const degree = degreeMetres(lat);
    fixes.push({
      at: fromMs + second * 1000,
      lat: lat + north / degree.lat,
      lon: lonA + share * (lonB - lonA) + east / degree.lon,
      ...(noise > 0 && { accuracy: noise }),
    });
  }
  return { fixes, truth };
}

/** Seconds and metres at every change of pace, for a car that drives a path at a pace. */
export function clockOf(graph: RoadGraph, time: Weights, { edges, start, end }: Path, pace: number) {
  const clock: (readonly [second: number, metres: number])[] = [[0, 0]];
  let second = 0;
  let metres = 0;
  edges.forEach((edge, i) => {
    const last = i === edges.length - 1;
    const length = edgeMetres(graph, edge);
    const driven = (last ? end : length) - (i === 0 ? start : 0);
    const moving = length / (paceOf(graph, edge) / 3.6);
    const lost = Math.max(0, time.edge[edge]! - moving) + (last ? 0 : time.turn(edge, edges[i + 1]!));
    second += length > 0 ? (moving * pace * driven) / length : 0;
    metres += driven;
    clock.push([second, metres]);
    if (!last && lost > 0.5) clock.push([(second += lost * pace), metres]);
  });
  return clock;
}

function inProportion([x1, y1]: readonly [number, number], [x2, y2]: readonly [number, number], x: number): number {
  return x2 > x1 ? y1 + Math.min(1, Math.max(0, (x - x1) / (x2 - x1))) * (y2 - y1) : y2;
}
