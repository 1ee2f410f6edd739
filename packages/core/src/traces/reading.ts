import type { Place } from '@jasperwren/roads/geometry';
import { edgeLimit, edgeMetres, type RoadGraph } from '@jasperwren/roads/graph/graph';
import type { Side } from '@jasperwren/roads/graph/side';
import { paceOf } from '@jasperwren/roads/route/time-model';
import { measuredLine, placeOf, withinPath } from '@jasperwren/roads/traces/along-piece';
import type { Fix, LeftOut } from '@jasperwren/roads/traces/fix';
import type { Match } from '@jasperwren/roads/traces/match';
import { stretchKey } from '../places/familiarity';
import { passesOf, type Pass } from '../places/passes';
import { between } from '../routes/along-line';
import { harshBrakings, type Braking } from './braking';
import type { Steps, Times } from './speed';

/** A stretch of a drive on roads. */
export interface DrivenPiece {
  /** Places with their metres from the start of the piece. */
  readonly line: readonly (readonly [lat: number, lon: number, metres: number])[];
  readonly metres: number;
  readonly times: Times;
  /** How likely the road is the right one, from so many metres on. */
  readonly sure: readonly (readonly [metres: number, probability: number])[];
  /** Limits in km/h from so many metres on. */
  readonly limits: Steps;
  /** The usual pace of a learner in km/h from so many metres on. */
  readonly usual: Steps;
  readonly passes: readonly Pass[];
  /** The stretches it leads over, by their keys, from so many metres on. */
  readonly stretches: readonly (readonly [metres: number, key: string])[];
}

/** What a trace says: where the drive went on the roads. */
export interface TraceReading {
  readonly pieces: readonly DrivenPiece[];
  /** What lies on no road: when, and where. */
  readonly beside: readonly {
    readonly from: number;
    readonly to: number;
    readonly line: readonly (readonly [number, number])[];
  }[];
  /** Where it was braked hard, as far as the device measured speeds. */
  readonly brakings: readonly Braking[];
  /** Standard deviation of a fix in metres. */
  readonly noise: number;
  readonly fixes: number;
  readonly leftOut: LeftOut;
  readonly outOfOrder: number;
}

const round = (value: number, digits: number) => Number(value.toFixed(digits));

/** What a match says, in a form that can be kept and sent. Places to the decimetre, metres to the decimetre. */
export function readingOf(
  graph: RoadGraph,
  side: Side,
  match: Match,
  {
    fixes,
    leftOut,
    outOfOrder,
  }: { readonly fixes: readonly Fix[]; readonly leftOut: LeftOut; readonly outOfOrder: number },
): TraceReading {
  const pieces = match.pieces.map(({ path, sure, times }): DrivenPiece => {
    const limits: (readonly [number, number])[] = [];
    const usual: (readonly [number, number])[] = [];
    const stretches: (readonly [number, string])[] = [];
    const sureFrom: (readonly [number, number])[] = [];
    let metres = -path.start;
    path.edges.forEach((edge, i) => {
      const from = round(Math.max(0, metres), 1);
      stretches.push([from, stretchKey(graph, edge)]);
      const limit = edgeLimit(graph, edge);
      if (limits.at(-1)?.[1] !== limit) limits.push([from, limit]);
      const pace = round(paceOf(graph, edge), 1);
      if (usual.at(-1)?.[1] !== pace) usual.push([from, pace]);
      const chance = round(sure[i]!, 2);
      if (sureFrom.at(-1)?.[1] !== chance) sureFrom.push([from, chance]);
      metres += edgeMetres(graph, edge);
    });
    return {
      line: withinPath(measuredLine(graph, path), path.metres).map(
        ([lat, lon, at]) => [round(lat, 6), round(lon, 6), round(at, 1)] as const,
      ),
      metres: round(path.metres, 1),
      times: times.map(([at, along]) => [Math.round(at), round(along, 1)] as const),
      sure: sureFrom,
      limits,
      usual,
      passes: passesOf(graph, side, path, sure),
      stretches,
    };
  });
  const beside = match.unmatched.map(({ from, to }) => ({
    from,
    to,
    line: fixes
      .filter(({ at }) => at >= from && at <= to)
      .map(({ lat, lon }) => [round(lat, 6), round(lon, 6)] as const),
  }));
  return {
    pieces,
    beside,
    brakings: harshBrakings(fixes),
    noise: round(match.noise, 1),
    fixes: fixes.length,
    leftOut,
    outOfOrder,
  };
}

/** Where the car was at a moment. */
export interface Whereabouts extends Place {
  /** The piece, counted from 0, and the metres from its start. */
  readonly piece: number;
  readonly metres: number;
  /** It was within so many metres of there, in nineteen of twenty cases. */
  readonly within: number;
}

/** Fixes farther apart than this, in milliseconds, leave open where between them the car was. */
const gapMs = 4000;

/** Where the car was at a moment, in milliseconds as in the trace; undefined where the trace lies on no road then. */
export function whereAt(
  { pieces, noise }: Pick<TraceReading, 'pieces' | 'noise'>,
  at: number,
): Whereabouts | undefined {
  const piece = pieces.findIndex(({ times }) => times[0]![0] <= at && at <= times.at(-1)![0]);
  if (piece < 0) return undefined;
  const { times, line } = pieces[piece]!;
  const metres = between(times, at);
  const after = times.findIndex(([time]) => time >= at);
  const [before, next] = [times[Math.max(0, after - 1)]!, times[after]!];
  const open = next[0] - before[0] > gapMs ? Math.max(metres - before[1], next[1] - metres) : 0;
  return { ...placeOf(line)(metres), piece, metres, within: Math.round(1.96 * noise + open) };
}
